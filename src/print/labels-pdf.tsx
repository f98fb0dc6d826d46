import { Document, Page, renderToBuffer, Text, View } from "@react-pdf/renderer";
import { labelPlace } from "@/core/papers";
import type { PrintedLabel, PrintTask } from "@/server/papers/print-task";
import { Code } from "./code";
import { PLATE, registerFonts, SANS } from "./fonts";
import { printable } from "./printable";

type LabelsTask = Extract<PrintTask, { kind: "labels" }>;

/** Points of a PDF in a millimetre. */
const PT = 72 / 25.4;
/** Free round what is printed on a label: no printer meets an edge to the millimetre. */
const MARGIN_MM = 2.5;

/** Labels where they lie on their sheet: as large as the paper says, so that they must not be printed "to fit". */
export async function labelsPdf({ sheet, skip, labels }: LabelsTask): Promise<Uint8Array> {
  registerFonts();
  const placed = labels.map((label, index) => ({ label, place: labelPlace(sheet, skip + index) }));
  const pages = Math.max(0, ...placed.map(({ place }) => place.page)) + 1;
  return renderToBuffer(
    <Document title="Labels" creator="Loft Bell" language="en">
      {Array.from({ length: pages }, (_, page) => (
        <Page key={page} size={[sheet.width_mm * PT, sheet.height_mm * PT]}>
          {placed
            .filter(({ place }) => place.page === page)
            .map(({ label, place }, index) => (
              <View
                key={index}
                style={{
                  position: "absolute",
                  left: place.x_mm * PT,
                  top: place.y_mm * PT,
                  width: sheet.label.width_mm * PT,
                  height: sheet.label.height_mm * PT,
                  padding: MARGIN_MM * PT,
                  flexDirection: "row",
                  gap: 5,
                }}
              >
                <LabelOf label={label} inner_mm={sheet.label.height_mm - 2 * MARGIN_MM} />
              </View>
            ))}
        </Page>
      ))}
    </Document>,
  );
}

/** A tag read from a step away is as large as its label allows. */
function LabelOf({
  label: { plate, name, place, opens },
  inner_mm,
}: {
  label: PrintedLabel;
  inner_mm: number;
}) {
  const side = Math.min(inner_mm, 34) * PT;
  const large = Math.max(10, Math.min(20, side / 4.4));
  return (
    <>
      <Code opens={opens} side={side} />
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 0, justifyContent: "center" }}>
        <Text
          style={{ fontFamily: PLATE, fontSize: plate.length > 12 ? large * 0.7 : large, lineHeight: 1.1 }}
        >
          {printable(plate)}
        </Text>
        <Text style={{ fontFamily: SANS, fontWeight: 700, fontSize: 7.5, lineHeight: 1.15, maxLines: 3 }}>
          {printable(name)}
        </Text>
        <Text style={{ fontFamily: SANS, fontSize: 6.5, lineHeight: 1.15, maxLines: 2 }}>
          {printable(place)}
        </Text>
      </View>
    </>
  );
}
