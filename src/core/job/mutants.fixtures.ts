import type { JobInputs } from "../formats";
import type { EndDifference, Harm } from "../world";
import { dryJob, wetJob } from "./job.fixtures";
import { alter, id, jobAt, kind, leaveOut, move, planOf } from "./proof.fixtures";
import { prove } from "./prove";
import type { Step, StepOf } from "./step";

/** Jobs that between them meet every rule. */
export const JOBS = {
  wet: wetJob({ policy: "what-was-disturbed" }),
  dry: dryJob(),
  mixer: jobAt("LD-M1", "ottermouth-spoolmix-25", "lido-water"),
  trap: jobAt("LD-T11", "lantern-bucket-20", "lido-steam", { reach: ["seat"] }),
  co2: jobAt("GC-SV2", "pell-frostgate-32", "gannet-co2"),
  stem: jobAt("GN-RV4A", "pell-guardian-t2", "gannet-low-side"),
  separator: jobAt("GC-RV5", "pell-guardian-c3", "gannet-co2"),
  regulator: jobAt("GC-HRV5", "pell-meter-h20", "gannet-co2", { build: "cone-small" }),
  beside: wetJob({
    policy: "what-was-disturbed",
    held: ["V-12", "V-15"].map((link) => ({ link, job: "job-2", valve: "NQ-H06" })),
  }),
  dryBeside: dryJob({
    held: ["V-11", "V-22"].map((link) => ({ link, job: "job-2", valve: "NQ-H02" })),
  }),
  softener: jobAt("LD-SF1", "ottermouth-brook-20", "lido-treatment"),
  pot: jobAt("GN-RV6", "pell-guardian-s1", "gannet-low-side"),
  preAction: jobAt("FS-PN1", "quillon-watchair-1", "ferry-shed"),
  booster: jobAt("SK-C1", "brae-skerrycheck-100", "skerry-booster"),
  cock: jobAt("RW-G21", "pell-ropewalk-20", "ropewalk-gas"),
  filter: jobAt("LD-IF1", "ottermouth-ironbrook-30", "lido-treatment"),
  /** Nothing that comes off holds water: only its power is shut. */
  coil: jobAt("LY-S1h", "harrow-pickle-15", "laundry-supply"),
  /** Only its gland is opened: nothing of the work moves it. */
  glandOnly: wetJob({ reach: ["gland-gasket"] }),
  engine: jobAt("FST-A1", "brae-swingout-3", undefined),
} satisfies Record<string, JobInputs>;
export type JobName = keyof typeof JOBS;
export const plans = Object.fromEntries(
  Object.entries(JOBS).map(([name, inputs]) => [name, planOf(inputs)]),
) as Record<JobName, ReturnType<typeof planOf>>;

export const proofOf = (
  job: JobName,
  change: (steps: readonly Step[]) => readonly Step[] = (steps) => steps,
) => prove({ ...plans[job], steps: change(plans[job].steps) }, JOBS[job]);

type Mutant = readonly [
  name: string,
  job: JobName,
  change: (steps: readonly Step[]) => readonly Step[],
  finds: Harm["kind"] | EndDifference["kind"],
];

/** Each takes one rule of the compiler away; the proof has to find what that rule is for. */
export const MUTANTS: readonly Mutant[] = [
  ["zero is not read", "wet", leaveOut(kind("gauge")), "zero-not-proven"],
  [
    "zero is read on the live side",
    "wet",
    alter<StepOf<"gauge">>(kind("gauge"), (step) => ({ ...step, node: "SK" })),
    "stops-for-nothing",
  ],
  [
    "zero is read at a part that does not hang on the work",
    "booster",
    alter<StepOf<"gauge">>(kind("gauge"), (step) => ({ ...step, node: "g2" })),
    "reads-elsewhere",
  ],
  [
    "zero is read nowhere on the line",
    "co2",
    alter<StepOf<"gauge">>(kind("gauge"), ({ node: _, ...step }) => step),
    "nothing-to-read",
  ],
  [
    "zero is proven at one place only",
    "preAction",
    leaveOut((step) => kind("gauge", "hold")(step) && !id("prove:gauge", "prove:hold", "prove:again")(step)),
    "zero-not-proven",
  ],
  [
    "what let it out stands open while it is to show what creeps in",
    "wet",
    alter<StepOf<"hold">>(kind("hold"), (step) => ({ ...step, shutFirst: [] })),
    "wait-shows-nothing",
  ],
  ["one way in stays open", "wet", leaveOut(id("shut:V-12", "open:V-12")), "stops-for-nothing"],
  [
    "the way in is shut after the proof",
    "dry",
    move(kind("shut"), "behind", id("prove:again")),
    "stops-for-nothing",
  ],
  ["nobody is told before it goes out", "wet", leaveOut(kind("notify")), "fire-protection-out-unsaid"],
  [
    "they are told after it is shut",
    "wet",
    move(kind("notify"), "behind", id("shut:V-19")),
    "fire-protection-out-unsaid",
  ],
  ["users who lose their water are not told", "mixer", leaveOut(kind("notify")), "service-out-unsaid"],
  ["a drain is never opened", "wet", leaveOut(kind("drain", "shut-point")), "stops-for-nothing"],
  [
    "the drain is opened before the way in is shut",
    "wet",
    move(kind("drain"), "before", id("shut:V-12")),
    "let-out",
  ],
  ["what is left is not let out at the valve", "dry", leaveOut(kind("release")), "stops-for-nothing"],
  ["the drain is not shut before the line comes back", "wet", leaveOut(id("drain-shut:D2")), "let-out"],
  [
    "the drain is shut after the line came back",
    "wet",
    move(id("drain-shut:D2"), "behind", id("open:V-19")),
    "let-out",
  ],
  [
    "the vent is never shut",
    "wet",
    leaveOut((step) => kind("shut-point")(step) && step.id.startsWith("vent-shut")),
    "point-open",
  ],
  [
    "a bleed is never shut",
    "co2",
    leaveOut((step) => kind("shut-point")(step) && step.id.startsWith("bleed-shut")),
    "let-out",
  ],
  [
    "a bleed is opened before both barriers stand",
    "co2",
    move(kind("open-bleed"), "before", kind("shut")),
    "let-out",
  ],
  ["a way in stays shut at the end", "wet", leaveOut(id("open:V-15")), "link"],
  [
    "a lock stays on",
    "wet",
    alter<StepOf<"open">>(id("open:V-15"), (step) => ({ ...step, how: "leave-shut" })),
    "link",
  ],
  [
    "a way in is opened before the valve is whole",
    "wet",
    move(kind("open"), "before", kind("fit")),
    "let-out",
  ],
  ["the stem is not turned", "stem", leaveOut((step) => kind("shut")(step)), "stops-for-nothing"],
  ["the stem is not turned back", "stem", leaveOut(kind("open")), "stem"],
  ["the vessel is not pumped down", "pot", leaveOut(kind("pump-out")), "stops-for-nothing"],
  ["the pump is not started again", "booster", leaveOut(kind("start-pump")), "pump-stopped"],
  [
    "electricity is left on",
    "mixer",
    leaveOut((step) => kind("shut")(step) && step.id === "shut:LD-Q1"),
    "stops-for-nothing",
  ],
  ["it is not proven dead", "mixer", leaveOut(kind("dead")), "zero-not-proven"],
  [
    "power is back before the valve is closed",
    "mixer",
    move(id("open:LD-Q1"), "before", kind("fit")),
    "live-part-touched",
  ],
  [
    "a test comes after those who rely on it were told",
    "wet",
    move(kind("tell"), "before", (step) => kind("check")(step) && step.phase === "test"),
    "told-back-before-test",
  ],
  [
    "they are told before it is open",
    "wet",
    move(kind("tell"), "before", kind("open")),
    "told-back-too-soon",
  ],
  [
    "it is signed before it is open",
    "wet",
    move(kind("sign-off"), "before", kind("open")),
    "signed-while-out",
  ],
  [
    "a part comes off that another still holds",
    "wet",
    leaveOut((step) => kind("strip")(step) && step.id === "strip:gland-bolts"),
    "cannot-be-done",
  ],
  [
    "two parts come off in the wrong order",
    "wet",
    move(id("strip:gland-plate"), "before", id("strip:gland-bolts")),
    "cannot-be-done",
  ],
  [
    "a joint is not cracked before its bolts are out",
    "wet",
    leaveOut(kind("crack")),
    "opened-under-pressure",
  ],
  ["a part stays on the tray", "wet", leaveOut(id("fit:gland-plate")), "part-off"],
  ["a joint stays loose", "wet", leaveOut((step) => kind("tighten")(step)), "part-loose"],
  [
    "it is tightened before it is in",
    "wet",
    move(kind("tighten"), "before", id("fit:gland-bolts")),
    "cannot-be-done",
  ],
  [
    "a seal that was used goes back",
    "wet",
    alter<StepOf<"fit">>(kind("fit"), ({ renewal: _, ...step }) => step),
    "used-seal",
  ],
  [
    "a seal that lay open is left in",
    "trap",
    leaveOut((step) => /gasket/.test(step.part ?? "")),
    "used-seal",
  ],
  [
    "the wrench cannot show the pull",
    "wet",
    alter<StepOf<"tighten">>(kind("tighten"), (step) => ({
      ...step,
      passes: [{ percent: 100, torque_Nm: 900, circular: true }],
    })),
    "out-of-the-wrench",
  ],
  [
    "nobody is warned of what drops",
    "booster",
    alter<Step>(kind("strip"), (step) => ({ ...step, dangers: [] })),
    "no-warning-of-weight",
  ],
  [
    "a tool that spoils it is in the hand",
    "wet",
    alter<StepOf<"strip">>(kind("strip"), (step) => ({
      ...step,
      tools: [...step.tools, { id: "hammer", name: "Hammer", class: "hammer" }],
    })),
    "forbidden-tool",
  ],
  [
    "the valve does not stand as the next part needs it",
    "co2",
    leaveOut((step) => kind("position")(step) && step.phase === "strip"),
    "cannot-be-done",
  ],
  [
    "the valve is not left as service wants it",
    "co2",
    leaveOut((step) => kind("position")(step) && step.phase === "rebuild"),
    "position",
  ],
  [
    "what is to be noted is asked when it was moved",
    "co2",
    move(kind("mark"), "behind", kind("strip")),
    "asked-too-late",
  ],
  ["air is left in where a refrigerant comes", "co2", leaveOut(kind("evacuate")), "air-left-in"],
  ["liquid CO2 comes without vapour before it", "co2", leaveOut(kind("charge", "gate")), "ice"],
  ["nobody lets vapour in, so the gate stays shut", "co2", leaveOut(kind("charge")), "stops-for-nothing"],
  ["liquid comes before the gate", "co2", move(id("open:GC-V1"), "before", kind("charge")), "ice"],
  [
    "the leak is looked for with nothing in it",
    "co2",
    move(id("check:leak"), "before", kind("evacuate")),
    "not-so",
  ],
  [
    "the liquid is not let out before a vessel is drawn down",
    "separator",
    leaveOut(kind("liquid-out")),
    "ice",
  ],
  [
    "the outlet opens before the temperature is proven",
    "mixer",
    move(id("open:LD-W14"), "before", id("check:mixed-temp")),
    "scald",
  ],
  [
    "the mixer has no power when its outlet opens",
    "mixer",
    move(id("open:LD-Q1"), "behind", id("open:LD-W14")),
    "scald",
  ],
  [
    "a test runs that needs another place shut",
    "mixer",
    move(id("check:fail-safe"), "behind", id("open:LD-W14")),
    "not-so",
  ],
  ["what a test opened stays open", "mixer", leaveOut(kind("put-back")), "point-open"],
  [
    "priming water meets an actuator without air",
    "preAction",
    move(id("open:FS-T1"), "before", id("open:FS-T7")),
    "trips",
  ],
  [
    "the power is off before the valve lets its pressure out by it",
    "softener",
    move(kind("release"), "behind", kind("dead")),
    "cannot-be-done",
  ],
  [
    "a stem is turned under its cap",
    "stem",
    alter<StepOf<"shut">>(kind("shut"), (step) =>
      step.by.kind === "turning" ? { ...step, by: { ...step.by, capped: false } } : step,
    ),
    "cannot-be-done",
  ],
  [
    "a stem's cap stays off",
    "stem",
    alter<StepOf<"open">>(kind("open"), ({ capped: _, ...step }) => step),
    "cap-off",
  ],
  ["a header that others blow into is not blanked", "stem", leaveOut(kind("blank")), "header-open"],
  ["a blank is left in what it blows into", "stem", leaveOut(id("blank-out:outlet-gasket")), "vent-blanked"],
  [
    "a blank comes out with the work not done",
    "stem",
    move(id("blank-out:outlet-gasket"), "before", id("strip:valve")),
    "header-open",
  ],
  ["a blank is forgotten for good", "stem", leaveOut(id("blank-out:outlet-gasket")), "blank-in"],
  [
    "it is set under its cap",
    "regulator",
    move(id("fit:cap"), "before", id("fit:packing")),
    "cannot-be-done",
  ],
  [
    "it is looked at loose when it is tight",
    "booster",
    move(id("check:level"), "behind", kind("tighten")),
    "not-so",
  ],
  [
    "a mark is asked that a cover still hides",
    "mixer",
    move(id("mark:spool-mark"), "before", kind("strip")),
    "cannot-be-done",
  ],
  [
    "the valve is moved after its test",
    "wet",
    move((step) => kind("position")(step) && step.phase === "rebuild", "before", kind("tell")),
    "moved-after-test",
  ],
  [
    "who is without already by another job is not told",
    "dryBeside",
    leaveOut(kind("notify")),
    "fire-protection-out-unsaid",
  ],
  [
    "what another job holds is locked by that job alone",
    "beside",
    leaveOut(id("shut:V-12", "open:V-12")),
    "not-locked",
  ],
  [
    "it is signed while another job keeps it without water",
    "dryBeside",
    leaveOut(kind("others")),
    "signed-while-out",
  ],
  [
    "it is told back while another job keeps it without water",
    "dryBeside",
    leaveOut(kind("others")),
    "told-back-too-soon",
  ],
  [
    "what another job holds is opened",
    "beside",
    alter<StepOf<"open">>(id("open:V-12"), (step) => ({ ...step, how: "open" })),
    "anothers-lock",
  ],
  [
    "how it stands is believed as its sheet begins with, when it is taken apart",
    "wet",
    leaveOut((step) => kind("position")(step) && step.phase === "strip"),
    "cannot-be-done",
  ],
  [
    "how it stands is believed at the end",
    "glandOnly",
    leaveOut((step) => kind("position")(step) && step.phase === "rebuild"),
    "position",
  ],
  [
    "steam is let into cold pipe at once",
    "trap",
    alter<StepOf<"open">>(kind("open"), ({ warm_min: _, ...step }) => step),
    "hammer",
  ],
  ["a bypass is left open", "filter", leaveOut((step) => step.id === "bypass-shut:LD-R3"), "link"],
  ["a bypass is opened when all is shut already", "filter", leaveOut(kind("bypass")), "service-out-unsaid"],
  [
    "a coil is wired off before its power is off",
    "coil",
    move(kind("shut", "dead"), "behind", id("strip:coil")),
    "live-part-touched",
  ],
  [
    "a pump runs on when its way is shut",
    "mixer",
    leaveOut((step) => kind("stop-pump")(step) || kind("start-pump")(step)),
    "runs-against",
  ],
  ["what goes in new is not brought", "wet", leaveOut(kind("kit")), "not-brought"],
  ["work with the medium in the pipe is not agreed to", "cock", leaveOut(kind("live")), "not-agreed"],
];
