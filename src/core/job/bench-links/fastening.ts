import { isGrade, threadNamed } from "../../fastening";
import { conditionOf } from "../compile/torque";
import { type BenchLink, figure, open, partOf, type Rule } from "./rule";

/** The sheet's torque with this circle's passes, this bolt, and what the wrench is set to with an extension. */
export const torque: Rule = (job, step) => {
  const full =
    step.kind === "tighten"
      ? step.passes.at(-1)?.torque_Nm
      : step.kind === "fit" || step.kind === "tighten-one"
        ? step.torque_Nm
        : undefined;
  if (full === undefined) return [];
  const bolts = step.kind === "tighten" ? step.bolts : step.kind === "fit" ? Math.max(step.count, 1) : 1;
  const part = partOf(job, step);
  const thread = threadNamed(part?.fastener?.thread ?? "");
  const grade = part?.fastener?.grade;
  const end = part?.fit?.end;
  const bolt: BenchLink["start"] =
    thread === undefined || !isGrade(grade)
      ? { grade: "unknown" }
      : {
          grade,
          diameter: `${figure(thread.diameter * 1000)} mm`,
          pitch: `${figure(thread.pitch * 1000)} mm`,
          condition:
            part?.fit === undefined
              ? "dry"
              : conditionOf(part.fit, end?.kind === "torque" ? end.stated : "dry"),
        };
  return [open("bolt-up", { by: "sheet", limit: `${figure(full)} N·m`, bolts: figure(bolts), ...bolt })];
};

/** The spanner for what has to come off, and the thread behind it. */
export const fastener: Rule = (job, step) => {
  const drive = step.kind === "strip" ? partOf(job, step)?.fastener?.drive : undefined;
  const flats = /^hex (\d+(?:\.\d+)?) mm$/.exec(drive ?? "")?.[1];
  return flats === undefined ? [] : [open("spanner-finder", { flats: `${flats} mm` })];
};

/** What goes on a thread, and when it holds. */
export const onThread: Rule = (job, step) => {
  if (step.kind !== "fit") return [];
  const thread = threadNamed(partOf(job, step)?.fastener?.thread ?? "");
  const diameter: BenchLink["start"] =
    thread === undefined ? {} : { diameter: `${figure(thread.diameter * 1000)} mm` };
  return [
    ...(step.rules.some((rule) => rule.kind === "locker") ? [open("locker-cure", diameter)] : []),
    ...(step.rules.some((rule) => rule.kind === "sealant") ? [open("taper-thread")] : []),
  ];
};
