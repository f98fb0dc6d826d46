"use client";

import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { toast } from "sonner";
import type { Sheet } from "@/core/formats";
import { figuresOf, lacking, mayLack, ownSheet } from "@/core/making";
import { call } from "@/edge/client";
import { SAVE_SHEET } from "@/edge/contracts/documents";
import { DraftFound } from "@/ui/draft-found";
import { Axis } from "@/ui/draw/axis";
import { untouched } from "@/ui/draw/axis-part";
import { TextField } from "@/ui/kit/text-field";
import { Notice } from "@/ui/notice";
import { Page, Panel } from "@/ui/page";
import { useSettings } from "@/ui/settings";
import { useDraft } from "@/ui/use-draft";
import { FigureGroups } from "./figure-groups";
import { ItsParts } from "./its-parts";
import { readTold, type Told } from "./read-told";
import { WordsWithFigures } from "./words-with-figures";

/** A model of one's own told against the build of its family, which is drawn as it is told. */
export function OwnSheetForm({ template, family }: { template: Sheet; family: string }) {
  const router = useRouter();
  const { who } = useSettings();
  const [first] = useState<Told>(() => ({
    title: family,
    maker: "",
    model: "",
    by: who,
    source: "",
    lacks: [],
    typed: {},
    words: {},
    read: false,
  }));
  const [told, setTold] = useState(first);
  const [asked, setAsked] = useState(false);
  const [saving, setSaving] = useState(false);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const draft = useDraft(`own-sheet.${template.id}`, first, told);
  const may = useMemo(() => new Set(mayLack(template)), [template]);
  const build = useMemo(() => lacking(template, told.lacks), [template, told.lacks]);
  const figures = useMemo(() => figuresOf(build), [build]);
  const { own, wrong } = useMemo(() => readTold(build, told), [build, told]);
  const made = useMemo(() => ownSheet(template, own), [template, own]);
  const tell = (more: Partial<Told>) => {
    setTold({ ...told, ...more });
    setRefused([]);
  };
  const toggle = (part: string) => {
    if (!may.has(part)) return;
    const lacks = told.lacks.includes(part)
      ? told.lacks.filter((each) => each !== part)
      : [...told.lacks, part];
    tell({ lacks });
  };
  const problems = new Map(made.ok ? [] : made.error.map(({ path, message }) => [path, message]));
  const field = (name: "title" | "maker" | "model" | "by" | "source", message: string) => ({
    value: told[name],
    onChange: (to: string) => tell({ [name]: to }),
    error: asked && told[name].trim() === "" ? message : undefined,
  });
  const nameless = told.by.trim() === "" || told.source.trim() === "";
  const sentences = new Set(figures.flatMap(({ kind, key }) => (kind === "words" ? [key] : [])));
  const unsaid = new Set([...problems.keys(), ...Object.keys(wrong)].filter((key) => !sentences.has(key)));
  const unread = [...problems.keys()].some((key) => sentences.has(key));
  const open = unsaid.size + (unread ? 1 : 0) + (nameless ? 1 : 0);

  const save = async () => {
    setAsked(true);
    if (!made.ok || open > 0) {
      // The form is long: the first thing that lacks is brought into sight.
      setTimeout(() =>
        document
          .querySelector('#main [aria-invalid="true"], #main [data-unsaid]')
          ?.scrollIntoView({ block: "center" }),
      );
      return;
    }
    setSaving(true);
    const saved = await call(SAVE_SHEET, { query: { as: "new" }, body: made.value });
    setSaving(false);
    if (saved.ok) {
      draft.forget();
      toast.success("Your sheet is stored. Valves can be registered under it.");
      router.push(`/sheets/${encodeURIComponent(saved.value.id)}`);
      router.refresh();
    } else if (saved.error.kind === "refused") setRefused(saved.error.problems.map(({ message }) => message));
    else toast.error(`Not stored: ${saved.error.problems[0]?.message} What you did is kept on this device.`);
  };

  return (
    <Page
      title={`A sheet of your own: ${family.toLowerCase()}`}
      says="The build is that of its family. Its figures are yours alone: what your paper does not say is asked for on the job."
    >
      <DraftFound draft={draft} onTake={setTold} />
      <div className="grid grid-cols-1 items-start gap-4 lg:grid-cols-[300px_minmax(0,1fr)]">
        <section className="card flex h-[420px] flex-col overflow-hidden lg:sticky lg:top-3 lg:h-[calc(100dvh-90px)]">
          <h2 className="caption px-3.5 pt-3">As it is built</h2>
          <div className="min-h-0 flex-1">
            <Axis parts={untouched(build.parts)} onChoose={toggle} />
          </div>
        </section>
        <div className="flex min-w-0 flex-col gap-4">
          <Panel title="What stands on its plate">
            <div className="grid gap-3 sm:grid-cols-2">
              <TextField label="Maker" maxLength={120} {...field("maker", "Write whose it is.")} />
              <TextField label="Model" maxLength={120} {...field("model", "Write what it is called.")} />
              <TextField label="What you call it" maxLength={120} {...field("title", "Give it a name.")} />
              <TextField
                label="Who vouches for its figures"
                maxLength={120}
                {...field("by", "Say who has read the paper.")}
              />
              <div className="sm:col-span-2">
                <TextField
                  label="The paper they come from"
                  hint="It stands beside every figure on the card."
                  placeholder="e.g. Maker's service leaflet 12, page 3"
                  maxLength={400}
                  {...field("source", "Name the paper: without one a figure is nobody's.")}
                />
              </div>
            </div>
          </Panel>
          <ItsParts template={template} may={may} lacks={told.lacks} onToggle={toggle} />
          <FigureGroups
            sheet={build}
            figures={figures}
            typed={told.typed}
            wrong={wrong}
            missing={asked ? problems : new Map()}
            onType={(typed) => tell({ typed: { ...told.typed, ...typed } })}
          />
          <WordsWithFigures
            sheet={build}
            figures={figures}
            words={told.words}
            read={told.read}
            missing={asked && !told.read}
            onWords={(words) => tell({ words: { ...told.words, ...words }, read: false })}
            onRead={(read) => tell({ read })}
          />
          {refused.length > 0 && (
            <Notice tone="stop" live>
              <b>Not stored.</b> {refused.join(" ")}
            </Notice>
          )}
          <div className="card sticky bottom-2 z-10 flex flex-wrap items-center justify-between gap-3 p-3">
            <p aria-live="polite">
              {open === 0
                ? "Everything is said. It can be changed afterwards, part by part."
                : `${open} ${open === 1 ? "thing is" : "things are"} still to be said.`}
            </p>
            <button type="button" className="btn btn-go" disabled={saving} onClick={() => void save()}>
              {saving ? "Storing …" : "Make the sheet"}
            </button>
          </div>
        </div>
      </div>
    </Page>
  );
}
