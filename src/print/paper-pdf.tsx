import { Document, Image, Page, renderToBuffer, StyleSheet, Text, View } from "@react-pdf/renderer";
import type { PaperTask } from "@/server/papers/print-task";
import { type PaperBlock, type PaperRow, type Said, speaker } from "@/words";
import { Code } from "./code";
import { drawing } from "./drawings";
import { PLATE, registerFonts, SANS } from "./fonts";
import { printable } from "./printable";

type Of<Kind extends PaperBlock["kind"]> = Extract<PaperBlock, { kind: Kind }>;

const words = speaker().say.papers;

/** Height of the papers, pt (ISO 216, ANSI/ASME Y14.1). */
const HIGH = { A4: 841.89, LETTER: 792 } as const;
const SIDE = 40;
const INK = "#17242D";
const SOFT = "#4A5963";
const RULE = "#B9B4A4";
const TONES = {
  plain: { borderLeftWidth: 0, paddingLeft: 0 },
  go: { borderLeftColor: "#1F7A4D", borderLeftWidth: 4, paddingLeft: 8 },
  wait: { borderLeftColor: "#B07A00", borderLeftWidth: 4, paddingLeft: 8 },
  stop: { borderLeftColor: "#B3261E", borderLeftWidth: 4, paddingLeft: 8 },
} as const;

// A line's height is inherited as it was worked out, so it is said wherever a size is.
const size = (fontSize: number, lineHeight = 1.25) => ({ fontSize, lineHeight });

const styles = StyleSheet.create({
  page: {
    ...size(9),
    fontFamily: SANS,
    color: INK,
    paddingTop: 34,
    paddingBottom: 52,
    paddingHorizontal: SIDE,
  },
  head: { flexDirection: "row", borderBottomWidth: 1.5, borderBottomColor: INK, paddingBottom: 8, gap: 12 },
  headText: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  plate: { ...size(15), fontFamily: PLATE },
  title: { ...size(17), fontWeight: 700 },
  says: { ...size(9.5), marginTop: 2 },
  demonstration: { ...size(11), fontFamily: PLATE, marginTop: 6 },
  section: { marginTop: 10 },
  caption: {
    ...size(10.5),
    fontFamily: PLATE,
    color: SOFT,
    borderBottomWidth: 0.75,
    borderBottomColor: RULE,
    paddingBottom: 1.5,
  },
  pair: { flexDirection: "row", gap: 20 },
  half: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  row: {
    flexDirection: "row",
    gap: 8,
    paddingVertical: 2.5,
    borderBottomWidth: 0.4,
    borderBottomColor: RULE,
  },
  rowText: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  small: { ...size(8), color: SOFT },
  wrong: { ...size(8), color: "#B3261E", fontWeight: 700 },
  figure: { ...size(12), fontFamily: PLATE, maxWidth: "45%", textAlign: "right" },
  text: { marginTop: 8, paddingVertical: 3 },
  pictures: { flexDirection: "row", flexWrap: "wrap", gap: 8, marginTop: 4 },
  picture: { width: 160 },
  image: { width: 160, height: 120, objectFit: "contain", backgroundColor: "#EEEBE2" },
  // Its place is said from above: from below, a page that wraps leaves it out.
  foot: { ...size(8), color: SOFT, position: "absolute", left: SIDE },
  footPage: { ...size(8), color: SOFT, position: "absolute", right: SIDE, width: 90, textAlign: "right" },
  proof: { ...size(7.5), color: SOFT, marginTop: 3 },
});

/** A paper as PDF: heads, pieces, what it can be checked by, and on each page what it is and which one of how many. */
export async function paperPdf(task: PaperTask): Promise<Uint8Array> {
  registerFonts();
  const { paper, size: paperSize } = task;
  const { plate, title, says, demonstration, blocks, foot, opens } = paper;
  const footAt = { top: HIGH[paperSize] - 36 };
  return renderToBuffer(
    <Document title={`${plate}, ${title}`} creator="Loft Bell" language="en">
      <Page size={paperSize} style={styles.page}>
        <Text style={[styles.foot, footAt]} fixed>
          {printable(`${plate}, ${title}${demonstration ? `. ${words.demonstration}` : ""}`)}
        </Text>
        <Text
          style={[styles.footPage, footAt]}
          fixed
          render={({ pageNumber, totalPages }) => words.page(pageNumber, totalPages)}
        />
        <View style={styles.head}>
          <View style={styles.headText}>
            <Text style={styles.plate}>{printable(plate)}</Text>
            <Text style={styles.title}>{printable(title)}</Text>
            <Text style={styles.says}>{printable(says)}</Text>
          </View>
          {opens !== undefined && <Code opens={opens} side={82} />}
        </View>
        {demonstration && <Text style={styles.demonstration}>{words.demonstration}</Text>}
        {sideBySide(blocks).map((pair, index) =>
          pair.length === 1 ? (
            <Block key={index} block={pair[0]!} task={task} />
          ) : (
            <View key={index} style={styles.pair} wrap={false}>
              {pair.map((block, side) => (
                <View key={side} style={styles.half}>
                  <Block block={block} task={task} />
                </View>
              ))}
            </View>
          ),
        )}
        {foot.length > 0 && (
          <View style={styles.section} wrap={false}>
            {foot.map((line) => (
              <Text key={line} style={styles.proof}>
                {printable(line)}
              </Text>
            ))}
          </View>
        )}
      </Page>
    </Document>,
  );
}

/** Lists no longer than this stand beside each other. */
const SHORT = 12;

const isShort = (block: PaperBlock | undefined): boolean =>
  block?.kind === "rows" && block.rows.length <= SHORT;

/** Short lists two by two, all else by itself. */
function sideBySide(blocks: readonly PaperBlock[]): (readonly PaperBlock[])[] {
  const set: PaperBlock[][] = [];
  for (const block of blocks) {
    const last = set.at(-1);
    if (last?.length === 1 && isShort(last[0]) && isShort(block)) last.push(block);
    else set.push([block]);
  }
  return set;
}

/** A sentence with its moments told in the zone of the task. */
function said(says: Said, zone: string): string {
  const day = { timeZone: zone, day: "numeric", month: "short", year: "numeric" } as const;
  const clock = { timeZone: zone, hour: "2-digit", minute: "2-digit", hourCycle: "h23" } as const;
  const told = says.map((piece) =>
    typeof piece === "string"
      ? piece
      : new Intl.DateTimeFormat("en-GB", piece.hour ? clock : piece.time ? { ...day, ...clock } : day).format(
          piece.at,
        ),
  );
  return printable(told.join(""));
}

function Block({ block, task }: { block: PaperBlock; task: PaperTask }) {
  switch (block.kind) {
    case "rows":
      return <Rows block={block} task={task} />;
    case "table":
      return <Table block={block} task={task} />;
    case "pictures":
      return <Pictures block={block} task={task} />;
    case "drawing":
      return <Drawing block={block} task={task} />;
    case "page":
      return <View break />;
    case "text":
      return (
        <View style={[styles.text, TONES[block.tone]]} wrap={false}>
          <Text>
            {block.lead !== undefined && <Text style={{ fontWeight: 700 }}>{printable(block.lead)}</Text>}
            {said(block.says, task.zone)}
          </Text>
        </View>
      );
  }
}

/** A heading never stands alone at the foot of a page. */
function Caption({ children }: { children: string }) {
  return (
    <Text style={styles.caption} minPresenceAhead={36}>
      {printable(children)}
    </Text>
  );
}

function Rows({ block: { title, rows, none }, task }: { block: Of<"rows">; task: PaperTask }) {
  return (
    <View style={styles.section}>
      <Caption>{title}</Caption>
      {rows.length === 0 && <Text style={[styles.small, { paddingVertical: 2.5 }]}>{printable(none)}</Text>}
      {rows.map((row, index) => (
        <View key={index} style={styles.row} wrap={false}>
          <View style={styles.rowText}>
            <RowText row={row} zone={task.zone} />
          </View>
          {row.figure !== undefined && <Text style={styles.figure}>{printable(row.figure)}</Text>}
        </View>
      ))}
    </View>
  );
}

function RowText({ row: { says, small, strong, wrong }, zone }: { row: PaperRow; zone: string }) {
  return (
    <>
      <Text {...(strong && { style: { fontWeight: 700 } })}>{said(says, zone)}</Text>
      {small !== undefined && <Text style={wrong ? styles.wrong : styles.small}>{said(small, zone)}</Text>}
    </>
  );
}

/** A row that is all to be written by hand is as high as a hand writes. */
const isByHand = (row: readonly PaperRow[]): boolean =>
  row.every(({ says }) => says.every((piece) => piece === ""));

function Table({ block: { title, columns, rows }, task }: { block: Of<"table">; task: PaperTask }) {
  const cell = (share: number) => ({ width: `${share}%`, paddingRight: 6 });
  return (
    <View style={styles.section}>
      <Caption>{title}</Caption>
      <View style={[styles.row, { borderBottomWidth: 0.75, gap: 0 }]} minPresenceAhead={24}>
        {columns.map((column) => (
          <Text key={column.title} style={[styles.small, cell(column.share)]}>
            {printable(column.title)}
          </Text>
        ))}
      </View>
      {rows.map((row, index) => (
        <View key={index} style={[styles.row, { gap: 0, minHeight: isByHand(row) ? 30 : 17 }]} wrap={false}>
          {columns.map((column, at) => (
            <View key={column.title} style={cell(column.share)}>
              {row[at] !== undefined && <RowText row={row[at]} zone={task.zone} />}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

function Drawing({ block: { title, of }, task }: { block: Of<"drawing">; task: PaperTask }) {
  const drawn = drawing(of, task);
  if (drawn === undefined) return null;
  return (
    <View style={styles.section} wrap={false}>
      <Caption>{title}</Caption>
      <View style={{ alignItems: "center", paddingTop: 4 }}>{drawn}</View>
    </View>
  );
}

function Pictures({ block: { title, pictures }, task }: { block: Of<"pictures">; task: PaperTask }) {
  return (
    <View style={styles.section}>
      <Caption>{title}</Caption>
      <View style={styles.pictures}>
        {pictures.map(({ photo, says }) => {
          const bytes = task.photos[photo];
          return (
            <View key={photo} style={styles.picture} wrap={false}>
              {bytes === undefined ? (
                <Text style={styles.wrong}>{words.notThere}</Text>
              ) : (
                <Image src={{ data: Buffer.from(bytes), format: "jpg" }} style={styles.image} />
              )}
              <Text style={styles.small}>{printable(says)}</Text>
            </View>
          );
        })}
      </View>
    </View>
  );
}
