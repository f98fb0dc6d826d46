import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";
import { describe, expect, it } from "vitest";

/** The card of a job, and what is drawn beside it. */
const FOLDERS = ["job", "draw"].map((folder) => join(process.cwd(), "src", "ui", folder));
/** Drawn on pages of sheets, of the bench book and of valves alone. */
const ELSEWHERE = new Set(["axis-marks.tsx", "chapter-mark.tsx", "sparkline.tsx"]);
const FILES = FOLDERS.flatMap((folder) =>
  readdirSync(folder)
    .filter((name) => /\.tsx?$/.test(name) && !name.includes(".test.") && !ELSEWHERE.has(name))
    .map((name) => [name, join(folder, name)] as const),
);

/** Attributes of an element that somebody reads or hears. */
const READ = new Set([
  "alt",
  "aria-label",
  "button",
  "hint",
  "label",
  "placeholder",
  "says",
  "text",
  "title",
]);
const LETTERS = /\p{L}{2}/u;
/** A sentence, or the beginning of one: code has no such texts. */
const SENTENCE = /\p{Lu}\p{Ll}+ \p{Ll}|\p{Ll}{2,} \p{Ll}{2,} \p{Ll}{2,}/u;

/** Own words of a component: what a second language could not say otherwise. */
function ownWords(name: string, text: string): string[] {
  const found: string[] = [];
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const inClass = (node: ts.Node): boolean =>
    ts.isJsxAttribute(node)
      ? node.name.getText() === "className"
      : ts.isVariableDeclaration(node) || ts.isPropertyAssignment(node)
        ? /^(link|chip|shared|d|go|wait|brass|stop)$/.test(node.name.getText())
        : node.parent !== undefined && inClass(node.parent);
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node) && LETTERS.test(node.text)) found.push(node.text.trim());
    if (
      ts.isJsxAttribute(node) &&
      READ.has(node.name.getText()) &&
      node.initializer !== undefined &&
      ts.isStringLiteral(node.initializer) &&
      LETTERS.test(node.initializer.text)
    )
      found.push(node.initializer.text);
    const said =
      ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node);
    if (said && SENTENCE.test(node.text) && !inClass(node)) found.push(node.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return [...new Set(found)];
}

describe("the card of a job", () => {
  it.each(FILES)("%s has no words of its own: a second language is one more file of words", (name, path) => {
    expect(ownWords(name, readFileSync(path, "utf8"))).toEqual([]);
  });

  it("a label that a component says itself is found", () => {
    expect(ownWords("x.tsx", "const X = () => <p title={`a`}>Shut it</p>;")).toEqual(["Shut it"]);
    expect(ownWords("x.tsx", 'const X = () => <TextField label="Lock number" />;')).toEqual(["Lock number"]);
    expect(ownWords("x.tsx", 'const says = () => "Take the reading";')).toEqual(["Take the reading"]);
    const pattern = ["const says = (of: number) => `Wait for them $", "{of}`;"].join("");
    expect(ownWords("x.tsx", pattern)).toEqual(["Wait for them "]);
  });
});
