import { checkSheet } from "@/core/build";
import { type JobDocument, readDocument, readJson } from "@/core/formats";
import { run, verifyChain } from "@/core/job";
import { checkLine } from "@/core/line";
import { err, ok, type Problem, type Result } from "@/core/result";
import { checkStore } from "@/core/store";
import { speaker, stripMessage } from "@/words";
import type { Services } from "../services";
import { checkTogether } from "./check-together";
import type { Incoming, IncomingFile, ReadFile } from "./incoming";
import { readCsv } from "./read-csv";

/** Reads and checks files as one set; every problem names its file and its place in it. */
export function readAll(services: Services, files: readonly IncomingFile[]): Result<ReadFile[], Problem[]> {
  if (files.length === 0)
    return err([{ path: "", message: "Choose at least one file: .json in an open format, or .csv." }]);
  const problems: Problem[] = [];
  const read = files.flatMap((file) => {
    const incoming = /\.csv$/i.test(file.name) ? readCsv(file.text) : readDocumentFile(file.text);
    if (incoming.ok) return [{ file: file.name, incoming: incoming.value }];
    problems.push(
      ...incoming.error.map((each) => ({ path: `${file.name}${each.path}`, message: each.message })),
    );
    return [];
  });
  if (problems.length > 0) return err(problems);
  const missing = checkTogether(services, read);
  return missing.length > 0 ? err(missing) : ok(read);
}

function readDocumentFile(text: string): Result<Incoming, Problem[]> {
  const value = readJson(text);
  if (!value.ok) return value;
  const document = readDocument(value.value);
  if (!document.ok) return document;
  switch (document.value.format) {
    case "loftbell.sheet":
      return checked({ kind: "sheet", value: document.value }, checkSheet(document.value));
    case "loftbell.line":
      return checked({ kind: "line", value: document.value }, checkLine(document.value));
    case "loftbell.store":
      return checked({ kind: "store", value: document.value }, checkStore(document.value));
    case "loftbell.job":
      return checked({ kind: "job", value: document.value }, checkJob(document.value));
  }
}

const checked = (incoming: Incoming, problems: Problem[]): Result<Incoming, Problem[]> =>
  problems.length > 0 ? err(problems) : ok(incoming);

function checkJob({ inputs, events }: JobDocument): Problem[] {
  const within = (part: string) => (each: Problem) => ({
    path: `/inputs/${part}${each.path}`,
    message: each.message,
  });
  const parts = [
    ...checkSheet(inputs.sheet).map(within("sheet")),
    ...(inputs.line === undefined ? [] : checkLine(inputs.line).map(within("line"))),
  ];
  if (parts.length > 0) return parts;
  const chain = verifyChain(inputs, events);
  if (!chain.ok) return [{ path: `/events/${chain.error.seq - 1}`, message: chain.error.message }];
  const ids = new Set(events.map(({ event }) => event.id));
  if (ids.size < events.length)
    return [{ path: "/events", message: "Two entries have the same id. Ask for the original." }];
  const whole = run(
    inputs,
    events.map((each) => each.event),
  );
  return whole.ok
    ? []
    : [{ path: "/inputs/reach", message: stripMessage(speaker(), whole.error, inputs.sheet) }];
}
