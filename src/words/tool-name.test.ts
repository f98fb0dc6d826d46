import { describe, expect, it } from "vitest";
import type { Tool } from "@/core/formats";
import { librarySheet } from "@/core/job/job.fixtures";
import { notationOf } from "@/core/quantity";
import { speaker, toolName } from ".";

const tool = (more: Partial<Tool>): Tool => ({ id: "t", name: "Torque wrench", ...more });

describe("a tool by name", () => {
  it.each<[Partial<Tool>, string, string]>([
    [{}, "Torque wrench", "Torque wrench"],
    [
      { least_Nm: 20, most_Nm: 200 },
      "Torque wrench, 20 N·m to 200 N·m",
      "Torque wrench, 14.8 ft·lbf to 148 ft·lbf",
    ],
    [{ most_Nm: 60 }, "Torque wrench, up to 60 N·m", "Torque wrench, up to 44.3 ft·lbf"],
    [
      { name: "Pressure gauge", most_bar: 16 },
      "Pressure gauge, up to 16 bar g",
      "Pressure gauge, up to 232 psi g",
    ],
    [{ name: "Tripod", bears_kg: 150 }, "Tripod, bears 150 kg", "Tripod, bears 331 lb"],
    [{ name: "Seat tool", reach_m: 1.8 }, "Seat tool, reaches 1.8 m", "Seat tool, reaches 5.91 ft"],
    [{ name: "Ring spanner", size: "17 mm" }, "Ring spanner, 17 mm", "Ring spanner, 17 mm"],
    [
      { name: "Wrench", size: "half-inch drive", most_Nm: 100 },
      "Wrench, half-inch drive, up to 100 N·m",
      "Wrench, half-inch drive, up to 73.8 ft·lbf",
    ],
  ])("%j is %s, or %s", (more, metric, us) => {
    expect(toolName(speaker(), tool(more))).toBe(metric);
    expect(toolName(speaker(notationOf("us")), tool(more))).toBe(us);
  });

  it("no shipped sheet hides a range in the size a tool goes by", () => {
    let ranged = 0;
    for (const id of ["brae-quaywall-4", "quillon-harbour-5", "pell-frostgate-32", "lantern-bucket-20"])
      for (const each of librarySheet(id).tools) {
        expect(each.size ?? "").not.toMatch(/N·m|bar|psi|kg/);
        if (each.most_Nm !== undefined || each.most_bar !== undefined) ranged++;
      }
    expect(ranged).toBeGreaterThan(3);
  });
});
