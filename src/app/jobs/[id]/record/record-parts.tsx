import { benchTitle } from "@/core/calculators";
import type { JobRecord } from "@/core/job";
import { pathOf } from "@/edge/client";
import { GET_PHOTO } from "@/edge/contracts/jobs";
import { Day } from "@/ui/when";
import {
  asFoundWords,
  certificateWords,
  depthWords,
  foundOfWords,
  foundWords,
  handedOverWords,
  leftoverWhy,
  newPartWords,
  notedAsk,
  quantity,
  renewalWhy,
  type Speaker,
  stepTitle,
} from "@/words";

/** What was found, done and left, part by part of the record. */
export function RecordParts({
  record,
  job,
  words,
}: {
  record: JobRecord;
  /** Its id, under which its photographs lie. */
  job: string;
  words: Speaker;
}) {
  return (
    <div className="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-2 print:grid-cols-2">
      <Block
        title="As found"
        rows={record.asFound.map((each) => asFoundWords(words, each))}
        none="Nothing was noted."
      />
      <Block
        title="As left"
        rows={record.asLeft.map((each) => foundOfWords(words, each))}
        none="No test was done."
      />
      {record.stands.length > 0 && (
        <Block
          title="It stands now"
          rows={record.stands.map((each) =>
            words.say.entries.asFound(notedAsk(words, each.about), each.noted),
          )}
          none=""
        />
      )}
      {record.handedOver !== undefined && (
        <Block
          title={words.say.entries.handOver.title}
          rows={[handedOverWords(words, record.handedOver), record.handedOver.says]}
          none=""
        />
      )}
      {record.depth !== undefined && (
        <Block title={words.say.depth.title} rows={depthWords(words, record.depth)} none="" />
      )}
      <Readings record={record} words={words} />
      <Parts record={record} words={words} />
      {record.worked.length > 0 && <Worked record={record} />}
      <Torques record={record} words={words} />
      {record.threads.length > 0 && (
        <Block
          title="On the threads"
          rows={record.threads.map((each) => `${each.part}: ${each.with.toLowerCase()}`)}
          none=""
        />
      )}
      {record.photos.length > 0 && <Photographs record={record} job={job} words={words} />}
      <Isolation record={record} />
      <Block title="People" rows={record.people} none="" />
      {record.signedOn.length > 0 && (
        <Block
          title="Who might do it"
          rows={record.signedOn.map(({ who, may, under }) =>
            [
              `${who}: ${certificateWords(words, may)}`,
              ...under.map((name) => words.say.entries.underEye(name)),
            ].join(", "),
          )}
          none=""
        />
      )}
      {record.second !== undefined && <Block title="Second signature" rows={[record.second.who]} none="" />}
      <Block
        title="Overrides"
        rows={record.overrides.map(
          (each) =>
            `${each.step === undefined ? "" : stepTitle(words, each.step)} ${each.by}: ${each.reason}`,
        )}
        none="None."
      />
    </div>
  );
}

function Block({ title, rows, none }: { title: string; rows: readonly string[]; none: string }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">{title}</h2>
      <ul className="dashed">
        {rows.length === 0 && <li className="py-1.5 text-soft">{none}</li>}
        {rows.map((row) => (
          <li key={row} className="py-1.5">
            {row}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What was read, when and by whom. */
function Readings({ record, words }: { record: JobRecord; words: Speaker }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">Readings</h2>
      <ul className="dashed">
        {record.readings.length === 0 && <li className="py-1.5 text-soft">None.</li>}
        {record.readings.map((reading) => (
          <li key={`${reading.at}${reading.what}`} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
            <span>
              {reading.step === undefined ? reading.what : stepTitle(words, reading.step)}
              <small className="block text-soft">
                <Day at={reading.at} time />, {reading.by}
              </small>
            </span>
            <b className="plate text-lead">{reading.typed}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What went in new, what was kept, what is left over. */
function Parts({ record, words }: { record: JobRecord; words: Speaker }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">Parts</h2>
      <ul className="dashed">
        {record.renewed.map((each) => (
          <li key={each.part} className="py-1.5">
            <b>New: {each.name}</b>
            <small className="block text-soft">{renewalWhy(words, each)}</small>
          </li>
        ))}
        {record.compared.map((each, index) => (
          <li key={index} className="py-1.5">
            Compared: {each.part}
            <small className={each.verdict.kind === "right" ? "block text-soft" : "block text-stop"}>
              {each.verdict.kind === "right"
                ? words.say.handling.newPart.rightOne(foundWords(words, each.found))
                : newPartWords(words, each.verdict)}
            </small>
          </li>
        ))}
        {record.kept.length > 0 && <li className="py-1.5">Kept and refitted: {record.kept.join(", ")}</li>}
        {record.leftovers.map((left) => (
          <li key={left.name} className="py-1.5">
            Left over: {left.name} × {left.quantity}
            <small className="block text-soft">{leftoverWhy(words, left)}</small>
          </li>
        ))}
        {record.renewed.length + record.kept.length === 0 && (
          <li className="py-1.5 text-soft">None renewed.</li>
        )}
      </ul>
    </section>
  );
}

/** What the bench book worked out on the job. */
function Worked({ record }: { record: JobRecord }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">Worked out</h2>
      <ul className="dashed">
        {record.worked.map((each) => (
          <li key={`${each.at}${each.output}`} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
            <span>
              {benchTitle(each.calculator, each.output) ?? each.calculator}
              <small className="block text-soft">
                <Day at={each.at} time />, {each.by}
              </small>
            </span>
            <b className="plate text-lead">{each.typed}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How tight each joint was made. */
function Torques({ record, words }: { record: JobRecord; words: Speaker }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">Torques</h2>
      <ul className="dashed">
        {record.torques.length === 0 && <li className="py-1.5 text-soft">None.</li>}
        {record.torques.map((each) => (
          <li key={each.part} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
            <span>
              {each.part}
              {each.bolts > 1 ? `, ${each.bolts} bolts, ${each.passes} passes` : ""}
            </span>
            <b className="plate text-lead">{quantity(words, each.torque_Nm, "torque")}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** As it was, in pictures. */
function Photographs({ record, job, words }: { record: JobRecord; job: string; words: Speaker }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">Photographs</h2>
      <ul className="mt-1 flex flex-wrap gap-2">
        {record.photos.map(({ photo, step }) => {
          const says = step === undefined ? "" : stepTitle(words, step);
          return (
            <li key={photo} className="w-36">
              {/* biome-ignore lint/performance/noImgElement: made small already, behind our own route */}
              <img
                src={pathOf(GET_PHOTO, { id: job, photo })}
                alt={says}
                className="h-28 w-36 rounded border border-rule object-cover"
              />
              <small className="block text-soft">{says}</small>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What was shut, under which lock, and when it was opened again. */
function Isolation({ record }: { record: JobRecord }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">Isolation</h2>
      <ul className="dashed">
        {record.closures.length === 0 && <li className="py-1.5 text-soft">Nothing was shut.</li>}
        {record.closures.map((each) => (
          <li key={each.link} className="py-1.5">
            <b>{each.link}</b>, lock {each.lock || "none"}
            <small className="block text-soft">
              shut <Day at={each.shutAt} time />;{" "}
              {each.openedAt === undefined ? (
                <b className="text-stop">still shut</b>
              ) : (
                <>
                  open <Day at={each.openedAt} time />
                </>
              )}
            </small>
          </li>
        ))}
      </ul>
    </section>
  );
}
