import { writeFileSync } from "node:fs";
import { benchBookPage } from "@/core/calculators";

/** Writes the pages of the documentation that are made from the code. */
writeFileSync(new URL("../docs/calculators.md", import.meta.url), benchBookPage());
console.log("docs/calculators.md written");
