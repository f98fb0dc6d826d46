import { BUNDLE_PARTS, type Bundle, type BundleFile, type BundlePart } from "@/core/formats";

/** What is read, brought in and undone as one: so much that it takes a moment, and not longer. */
export type Piece = readonly BundleFile[];

/** A file of a bundle and what is in it: as its manifest says. */
export interface ReadPiece {
  readonly file: BundleFile;
  readonly bytes: Buffer;
}

/** Documents and logs of one piece. */
const AT_ONCE = 25;

/** The pieces of the chosen parts, in the order in which they lean on each other. */
export function piecesOf({ files }: Bundle, parts: ReadonlySet<BundlePart>): Piece[] {
  return BUNDLE_PARTS.filter((part) => parts.has(part)).flatMap((part) => {
    const of = files.filter((file) => file.part === part);
    const holding = (...kinds: readonly BundleFile["holds"][]) =>
      of.filter(({ holds }) => kinds.includes(holds));
    // A store comes with its ledger, a log with its photographs, a paper after its bytes.
    const together =
      part === "stores"
        ? holding("documents").map((file) => [file, ...holding("ledger")])
        : some(holding("documents"));
    const logs = some(holding("job")).map((jobs) => [
      ...jobs,
      ...holding("photograph").filter(({ path }) => jobs.some((job) => isOfJob(path, job.path))),
    ]);
    return [
      ...together,
      ...logs,
      ...some(holding("bytes")),
      ...holding("rows", "book").map((file) => [file]),
    ].filter((piece) => piece.length > 0);
  });
}

/** Photographs lie in a folder beside the log they are of. */
const isOfJob = (photo: string, job: string): boolean => photo.startsWith(`${job.replace(/\.json$/, "")}/`);

function some(files: readonly BundleFile[]): BundleFile[][] {
  const pieces: BundleFile[][] = [];
  for (let from = 0; from < files.length; from += AT_ONCE) pieces.push(files.slice(from, from + AT_ONCE));
  return pieces;
}
