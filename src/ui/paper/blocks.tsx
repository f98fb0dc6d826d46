import clsx from "clsx";
import type { PaperBlock, PaperRow } from "@/words";
import { Notice } from "../notice";
import { SaidText } from "./said";

type Of<Kind extends PaperBlock["kind"]> = Extract<PaperBlock, { kind: Kind }>;

/** The pieces of a paper, as they are read on a screen. @param photoAt where a photograph of it lies */
export function PaperBlocks({
  blocks,
  photoAt,
}: {
  blocks: readonly PaperBlock[];
  photoAt: (photo: string) => string;
}) {
  return blocks.map((block, index) => <BlockOf key={index} block={block} photoAt={photoAt} />);
}

function BlockOf({ block, photoAt }: { block: PaperBlock; photoAt: (photo: string) => string }) {
  switch (block.kind) {
    case "rows":
      return <Rows block={block} />;
    case "pictures":
      return <Pictures block={block} photoAt={photoAt} />;
    case "table":
      return (
        <section>
          <h2 className="caption">{block.title}</h2>
          <PaperTable block={block} />
        </section>
      );
    // The screens of the job and the line draw it, and can be moved.
    case "drawing":
      return null;
    case "page":
      return <hr className="no-print border-rule" />;
    case "text":
      return block.tone === "plain" ? (
        <p>
          <TextOf block={block} />
        </p>
      ) : (
        <Notice tone={block.tone}>
          <TextOf block={block} />
        </Notice>
      );
  }
}

export const TextOf = ({ block: { lead, says } }: { block: Of<"text"> }) => (
  <>
    {lead !== undefined && <b>{lead}</b>}
    <SaidText says={says} />
  </>
);

function Rows({ block: { title, rows, none } }: { block: Of<"rows"> }) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">{title}</h2>
      <ul className="dashed">
        {rows.length === 0 && <li className="py-1.5 text-soft">{none}</li>}
        {rows.map((row, index) => (
          <li key={index} className="grid grid-cols-[1fr_auto] gap-3 py-1.5">
            <span>
              <RowText row={row} />
            </span>
            {row.figure !== undefined && <b className="plate text-lead">{row.figure}</b>}
          </li>
        ))}
      </ul>
    </section>
  );
}

function RowText({ row: { says, small, strong, wrong } }: { row: PaperRow }) {
  return (
    <>
      {strong ? (
        <b>
          <SaidText says={says} />
        </b>
      ) : (
        <SaidText says={says} />
      )}
      {small !== undefined && (
        <small className={clsx("block", wrong ? "font-semibold text-stop" : "text-soft")}>
          <SaidText says={small} />
        </small>
      )}
    </>
  );
}

function Pictures({
  block: { title, pictures },
  photoAt,
}: {
  block: Of<"pictures">;
  photoAt: (photo: string) => string;
}) {
  return (
    <section className="break-inside-avoid">
      <h2 className="caption">{title}</h2>
      <ul className="mt-1 flex flex-wrap gap-2">
        {pictures.map(({ photo, says }) => (
          <li key={photo} className="w-36">
            {/* biome-ignore lint/performance/noImgElement: made small already, behind our own route */}
            <img
              src={photoAt(photo)}
              alt={says}
              className="h-28 w-36 rounded border border-rule object-cover"
            />
            <small className="block text-soft">{says}</small>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Its rows under its columns; what is empty is filled in by hand. */
export function PaperTable({ block: { columns, rows } }: { block: Of<"table"> }) {
  return (
    <table className="w-full border-collapse text-left">
      <thead>
        <tr className="text-fine text-soft">
          {columns.map(({ title, share }) => (
            <th
              key={title}
              style={{ width: `${share}%` }}
              className="border-rule border-b py-1 pr-2 font-normal"
            >
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr key={index} className="align-top">
            {row.map((cell, column) => (
              <td key={columns[column]?.title} className="min-w-8 border-rule border-b py-1.5 pr-2">
                <RowText row={cell} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
