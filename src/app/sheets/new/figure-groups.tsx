"use client";

import type { Sheet } from "@/core/formats";
import type { SheetFigure } from "@/core/making";
import { toleranceKey } from "@/core/making";
import { FigureField } from "@/ui/kit/figure-field";
import { TextField } from "@/ui/kit/text-field";
import { Panel } from "@/ui/page";
import { endsOf, measuredBy, type Typed } from "./read-told";
import { whereItStands } from "./where-it-stands";

interface Given {
  readonly sheet: Sheet;
  readonly typed: Readonly<Record<string, string>>;
  /** What cannot be read, by key. */
  readonly wrong: Readonly<Record<string, string>>;
  /** What is missing, by key, once it was asked for. */
  readonly missing: ReadonlyMap<string, string>;
  readonly onType: (typed: Readonly<Record<string, string>>) => void;
}

/** The figures of a model by what they are of: when it rings, what it is pulled to, what is allowed, what is waited. */
export function FigureGroups({ figures, ...given }: Given & { figures: readonly SheetFigure[] }) {
  const of = (...kinds: Typed["kind"][]) =>
    figures.filter((figure): figure is Typed => (kinds as string[]).includes(figure.kind));
  const rings = of("interval", "recheck");
  const ends = of("torque", "angle", "depth", "back-off");
  const limits = of("limits");
  const numbers = of("number");
  const noInterval = given.missing.get("/intervals");
  return (
    <>
      <Panel title="How often it is done">
        <p className="mb-3 text-soft">
          By your paper, your code or your site. Leave empty what is not done by the calendar.
        </p>
        <Fields {...given} figures={rings} />
        {noInterval !== undefined && (
          <p data-unsaid className="mt-2 font-semibold text-stop">
            {noInterval}
          </p>
        )}
      </Panel>
      {ends.length > 0 && (
        <Panel title="How far it is tightened">
          <p className="mb-3 text-soft">
            Leave empty what the paper does not say: it is asked for on the job.
          </p>
          <Fields {...given} figures={ends} />
        </Panel>
      )}
      {limits.length > 0 && (
        <Panel title="What is allowed">
          <p className="mb-3 text-soft">
            Leave empty what the paper does not say: it is held against the paper on site.
          </p>
          <Fields {...given} figures={limits} />
        </Panel>
      )}
      {numbers.length > 0 && (
        <Panel title="Waits, travels and tools">
          <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
            <p className="text-soft">How it is done with yours; each has to be said.</p>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() =>
                given.onType(
                  Object.fromEntries(
                    numbers.flatMap((figure) =>
                      figure.kind === "number" && (given.typed[figure.key] ?? "") === ""
                        ? [[figure.key, String(figure.value)]]
                        : [],
                    ),
                  ),
                )
              }
            >
              The empty ones are as in the template
            </button>
          </div>
          <Fields {...given} figures={numbers} />
        </Panel>
      )}
    </>
  );
}

function Fields({ figures, ...given }: Given & { figures: readonly Typed[] }) {
  return (
    <div className="grid items-end gap-3 sm:grid-cols-2">
      {figures.flatMap((figure) =>
        figure.kind === "limits"
          ? endsOf(figure).map((end) => (
              <OneFigure
                key={`${figure.key} ${end}`}
                {...given}
                figure={figure}
                name={`${figure.key} ${end}`}
                label={`${labelled(figure, given.sheet)}: at ${end === "low" ? "least" : "most"}`}
              />
            ))
          : [
              <OneFigure
                key={figure.key}
                {...given}
                figure={figure}
                name={figure.key}
                label={labelled(figure, given.sheet)}
              />,
              ...(figure.kind === "depth"
                ? [
                    <OneFigure
                      key={toleranceKey(figure.key)}
                      {...given}
                      figure={figure}
                      name={toleranceKey(figure.key)}
                      label={`${labelled(figure, given.sheet)}, give or take`}
                    />,
                  ]
                : []),
            ],
      )}
    </div>
  );
}

function OneFigure({
  figure,
  name,
  label,
  typed,
  wrong,
  missing,
  onType,
}: Given & { figure: Typed; name: string; label: string }) {
  const { dimension, unit, bare } = measuredBy(figure);
  const text = typed[name] ?? "";
  const error = wrong[name] ?? (text === "" ? missing.get(figure.key) : undefined);
  if (bare === true)
    return <TextField label={label} value={text} error={error} onChange={(to) => onType({ [name]: to })} />;
  return (
    <FigureField
      ofPaper
      label={label}
      dimension={dimension}
      figure={{ text, unit, source: { kind: "hand" } }}
      {...(figure.kind === "number" && { usual: String(figure.value) })}
      error={error}
      onFigure={(to) => onType({ [name]: to.text })}
    />
  );
}

/** What a figure is of, as the trade says it. */
function labelled(figure: Typed, sheet: Sheet): string {
  const part = (id: string) => sheet.parts.find((each) => each.id === id)?.name ?? id;
  switch (figure.kind) {
    case "interval":
      return `${figure.what}: every so many months`;
    case "recheck":
      return `${figure.what}: so many days after the job`;
    case "torque": {
      const end = sheet.parts.find(({ id }) => id === figure.part)?.fit?.end;
      const stated = end?.kind === "torque" ? `, thread ${end.stated.replace("-", " ")}` : "";
      return `${part(figure.part)}${onBuild(figure.build, sheet)}${stated}: pull to`;
    }
    case "angle":
      return `${part(figure.part)}${onBuild(figure.build, sheet)}: from contact turn by`;
    case "depth":
      return `${part(figure.part)}${onBuild(figure.build, sheet)}: sits at a depth of`;
    case "back-off":
      return `${part(figure.part)}${onBuild(figure.build, sheet)}: touch, and back off by`;
    case "limits":
      return (sheet.checks.find(({ id }) => id === figure.check)?.do ?? figure.check).replace(/\.$/, "");
    case "number":
      return whereItStands(figure.key, sheet);
  }
}

const onBuild = (build: string | undefined, { builds }: Sheet): string =>
  build === undefined ? "" : `, ${builds.find(({ id }) => id === build)?.name ?? build}`;
