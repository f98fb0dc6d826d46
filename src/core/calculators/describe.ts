import { formatIn, fromSI, unit } from "../quantity";
import { CALCULATORS } from "./book";
import {
  type Calculator,
  type CalculatorInput,
  type CalculatorOutput,
  CHAPTERS,
  type ChoiceInput,
  type Shown,
} from "./declaration";

const inUnit = (si: number, { units }: Shown): string => {
  const shown = unit(units.metric);
  // A bound is written as it was meant: 0.001 and not 1.00e-3.
  const figure = Number(fromSI(si, shown).toPrecision(6));
  return Math.abs(figure) >= 1e-3 && Math.abs(figure) < 1e7
    ? `${figure} ${shown.label}`.trim()
    : formatIn(si, shown);
};

const unitsOfField = ({ units }: Shown): string =>
  units.metric === units.us
    ? unit(units.metric).label || "–"
    : `${unit(units.metric).label} or ${unit(units.us).label}`;

/** More options than this are told by their first and their number. */
const MOST_OPTIONS = 30;

function optionsOf({ options }: ChoiceInput): string {
  const ids = options.map(({ id }) => `\`${id}\``);
  return ids.length <= MOST_OPTIONS
    ? ids.join(", ")
    : `${ids.slice(0, MOST_OPTIONS / 3).join(", ")} … ${ids.at(-1)}, ${ids.length} in all`;
}

function inputRow(input: CalculatorInput): string {
  const when =
    input.when === undefined ? "" : ` Only when \`${input.when.input}\` is ${input.when.is.join(" or ")}.`;
  const head = `| \`${input.name}\` | ${input.label}. ${input.help}${when} |`;
  switch (input.kind) {
    case "choice":
      return `${head} one of | ${optionsOf(input)} | ${input.usual ?? "required"} |`;
    case "list":
      return `${head} whole numbers | ${input.least} to ${input.most}, at most ${input.longest} | required |`;
    case "date":
      return `${head} ${input.withTime ? "day and time" : "day"} | ${input.withTime ? "2026-03-01T08:30" : "2026-03-01"} | ${input.optional ? "optional" : "required"} |`;
    case "measured": {
      const usual =
        input.usual === undefined ? (input.optional ? "optional" : "required") : inUnit(input.usual, input);
      return `${head} ${input.dimension}, ${unitsOfField(input)} | ${inUnit(input.least, input)} to ${inUnit(input.most, input)} | ${usual} |`;
    }
  }
}

const outputRow = (output: CalculatorOutput): string =>
  `| \`${output.name}\` | ${output.label} | ${output.kind === "named" ? "words" : `${output.dimension}, ${unitsOfField(output)}`} |`;

function describe(calculator: Calculator): string {
  const examples = calculator.examples.map(
    ({ source, inputs, outputs, verdict }) =>
      `- ${source}\n  ${Object.entries(inputs)
        .map(([name, text]) => `\`${name}: ${text}\``)
        .join(", ")} → ${Object.entries(outputs)
        .map(([name, text]) => `\`${name}: ${text}\``)
        .join(", ")}${verdict === undefined ? "" : `, ${verdict}`}`,
  );
  return [
    `### ${calculator.title} (\`${calculator.id}\`)`,
    calculator.says,
    `| Input | What it is | Dimension, units | Range | When left out |\n| --- | --- | --- | --- | --- |\n${calculator.inputs.map(inputRow).join("\n")}`,
    `| Output | What it is | Dimension, units |\n| --- | --- | --- |\n${calculator.outputs.map(outputRow).join("\n")}`,
    ...(calculator.tables ?? []).map(
      (table) =>
        `Table \`${table.name}\`, ${table.title}: ${table.columns.map(({ name }) => `\`${name}\``).join(", ")}.`,
    ),
    `Sources:\n\n${calculator.sources.map((source) => `- ${source}`).join("\n")}`,
    `Worked examples, which run as tests:\n\n${examples.join("\n")}`,
  ].join("\n\n");
}

/** The bench book as one page of Markdown, made from the declarations. */
export function benchBookPage(): string {
  const chapters = CHAPTERS.map((chapter) => {
    const inside = CALCULATORS.filter((each) => each.chapter === chapter);
    return `## ${chapter}\n\n${inside.map(describe).join("\n\n")}`;
  });
  return `# The bench book

Made from the declarations in \`src/core/calculators\` by \`./loftbell docs\`; do not edit. Every calculation is a screen at
\`/bench/{id}\` and a route, \`POST /api/v1/calculators/{id}\` with \`{inputs: {name: {value, unit}}}\`. Inputs take any unit of
their dimension; ranges and usual values stand here in metric units.

${chapters.join("\n\n")}
`;
}
