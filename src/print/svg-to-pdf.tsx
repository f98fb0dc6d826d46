import { Circle, Ellipse, G, Line, Path, Rect, Svg, Text, Tspan } from "@react-pdf/renderer";
import { parseDocument } from "htmlparser2";
import type { ReactElement, ReactNode } from "react";
import { PLATE, SANS } from "./fonts";
import { INKS } from "./inks";
import { printable } from "./printable";

type Parsed = ReturnType<typeof parseDocument>["children"][number];
type Tag = Extract<Parsed, { attribs: unknown }>;

const isTag = (node: Parsed): node is Tag => "attribs" in node;

/** What the print knows to draw. Patterns are drawn plain: their ink says enough on paper. */
const DRAWN = {
  g: G,
  path: Path,
  rect: Rect,
  circle: Circle,
  ellipse: Ellipse,
  line: Line,
  text: Text,
  tspan: Tspan,
} as unknown as Readonly<Record<string, (props: Record<string, unknown>) => ReactElement>>;

const NUMBERS = /^-?\d+(\.\d+)?$/;
/** Of a browser alone, or said otherwise there. */
const LEFT_OUT = /^(aria-|data-|role$|tabindex$|class$|style$|vector-effect$|paint-order$|font-family$|id$)/;

/**
 * A drawing of the screen as one of the print: the same lines, its inks as by day.
 *
 * @param markup of one svg, as React writes it
 * @param most pt, within which it is fitted
 */
export function svgToPdf(
  markup: string,
  most: { readonly width: number; readonly height: number },
): ReactElement {
  const svg = firstSvg(parseDocument(markup, { xmlMode: true }).children);
  if (svg === undefined) throw new Error("there is no drawing in the markup");
  const viewBox = svg.attribs.viewBox ?? svg.attribs.viewbox ?? "";
  const [, , width = 1, height = 1] = viewBox.split(/\s+/).map(Number);
  const scale = Math.min(most.width / width, most.height / height, 0.75);
  return (
    <Svg viewBox={viewBox} style={{ width: width * scale, height: height * scale }}>
      {drawn(svg.children)}
    </Svg>
  );
}

function firstSvg(nodes: readonly Parsed[]): Tag | undefined {
  for (const node of nodes) {
    if (!isTag(node)) continue;
    const found = node.name === "svg" ? node : firstSvg(node.children);
    if (found !== undefined) return found;
  }
  return undefined;
}

function drawn(nodes: readonly Parsed[]): ReactNode[] {
  return nodes.flatMap((node, index): ReactNode[] => {
    if (node.type === "text") return [printable(node.data)];
    const Drawn = isTag(node) ? DRAWN[node.name] : undefined;
    if (!isTag(node) || Drawn === undefined) return [];
    return [
      <Drawn key={index} {...propsOf(node)}>
        {drawn(node.children)}
      </Drawn>,
    ];
  });
}

function propsOf({ name, attribs, parent }: Tag): Record<string, unknown> {
  const props = Object.fromEntries(
    Object.entries(attribs)
      .filter(([key]) => !LEFT_OUT.test(key))
      .map(([key, value]) => [camel(key), NUMBERS.test(value) ? Number(value) : inked(value)]),
  );
  if (name !== "text" && name !== "tspan") return props;
  const { fontSize, fontWeight, dy, ...rest } = props;
  const family = attribs["font-family"] ?? attribs.class;
  // A step down within a text is said from its top: the print knows no steps.
  const above = parent !== null && isTag(parent) ? Number(parent.attribs.y) : 0;
  return {
    ...rest,
    ...(dy !== undefined && { y: above + Number(dy) }),
    style: {
      ...(family !== undefined && { fontFamily: family.includes("plate") ? PLATE : SANS }),
      ...(fontSize !== undefined && { fontSize }),
      ...(fontWeight !== undefined && { fontWeight: Number(fontWeight) >= 600 ? 700 : 400 }),
    },
  };
}

const camel = (name: string): string =>
  name.replaceAll(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

/** An ink by the name that the screen has for it; a pattern by the ink beneath it. */
function inked(value: string): string {
  const [, name] = /^var\(--([\w-]+)\)$/.exec(value) ?? [];
  if (name !== undefined) return INKS.get(name) ?? "#17242d";
  if (value === "transparent") return "none";
  return value.startsWith("url(") ? "#d9d4c6" : value;
}
