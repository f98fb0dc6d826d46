"use client";

import { toast } from "sonner";
import type { Line, LineLink, LineNode } from "@/core/formats";
import { PIECES, withPiece } from "@/core/making";
import { SelectField } from "@/ui/kit/select-field";
import { LateTextField } from "@/ui/kit/text-field";
import { Panel } from "@/ui/page";
import { SchemaForm } from "@/ui/schema-form/schema-form";
import { changeLink, changeNode, linkOfKind, refuseId, remove, threeWayOf } from "./edit-line";
import { LINK, nodeSchema, OF_LINE, referencesOf } from "./item-fields";
import { TagField } from "./tag-field";
import type { LineEditing } from "./use-line-editor";

/** Everything about the place or link in hand. */
export function ItemForm({ editing }: { editing: LineEditing }) {
  const { line, inHand } = editing;
  const node = line.nodes.findIndex((each) => each.id === inHand);
  const link = line.links.findIndex((each) => each.id === inHand);
  if (node !== -1) return <NodeForm key={`node ${node}`} editing={editing} index={node} />;
  return link === -1 ? null : <LinkForm key={`link ${link}`} editing={editing} index={link} />;
}

/** What the line itself is: what runs in it, by which rule it is isolated, what it bears. */
export function LineForm({ editing: { line, given, change } }: { editing: LineEditing }) {
  return (
    <Panel title="The line">
      <SchemaForm
        {...given}
        references={() => undefined}
        schema={OF_LINE}
        value={line}
        path=""
        onChange={(value, typedAt) => change(value as Line, typedAt)}
      />
    </Panel>
  );
}

function NodeForm({ editing, index }: { editing: LineEditing; index: number }) {
  const { line, given, change, setInHand } = editing;
  const node = line.nodes[index]!;
  const put = (to: LineNode, typedAt?: string) => {
    change(changeNode(line, node.id, to), typedAt);
    setInHand(to.id);
  };
  return (
    <Panel title={`Place ${node.id}`}>
      <div className="flex flex-col gap-3">
        <IdField id={node.id} line={line} onRename={(id) => put({ ...node, id })} />
        <TagField
          value={node.asset}
          line={line.id}
          onChange={(tag) => {
            const { asset: _, ...bare } = node;
            put(tag === undefined ? bare : { ...bare, asset: tag }, `/nodes/${index}/asset`);
          }}
        />
        <SchemaForm
          {...given}
          references={referencesOf(line, node)}
          schema={nodeSchema(node.kind)}
          value={node}
          path={`/nodes/${index}`}
          onChange={(value, typedAt) => {
            const to = value as LineNode;
            put(
              to.kind === "three-way" ? { ...to, threeWay: to.threeWay ?? threeWayOf(line, to) } : to,
              typedAt,
            );
          }}
        />
        <AddPiece at={node} editing={editing} />
        <Remove id={node.id} with="and its links" editing={editing} />
      </div>
    </Panel>
  );
}

/** Hangs a piece of piping on the place in hand: a hydrant, a trap between its stops, a drain. */
function AddPiece({ at, editing: { line, change, setInHand } }: { at: LineNode; editing: LineEditing }) {
  const pieces = PIECES.filter(({ media }) => media.includes(at.medium ?? line.medium));
  if (pieces.length === 0) return null;
  return (
    <SelectField
      label="Hang a piece on it"
      value=""
      options={[{ id: "", name: "choose one" }, ...pieces.map(({ id, name }) => ({ id, name }))]}
      onChange={(id) => {
        const piece = pieces.find((each) => each.id === id);
        if (piece === undefined) return;
        const made = withPiece(line, piece, at.id);
        change(made.line);
        setInHand(made.stands);
      }}
    />
  );
}

function LinkForm({ editing, index }: { editing: LineEditing; index: number }) {
  const { line, given, change, setInHand } = editing;
  const link = line.links[index]!;
  const put = (to: LineLink, typedAt?: string) => {
    change(changeLink(line, link.id, to), typedAt);
    setInHand(to.id);
  };
  return (
    <Panel title={`Link ${link.id}`}>
      <div className="flex flex-col gap-3">
        <IdField id={link.id} line={line} onRename={(id) => put({ ...link, id })} />
        <SchemaForm
          {...given}
          references={referencesOf(line, undefined)}
          schema={LINK}
          value={link}
          path={`/links/${index}`}
          onChange={(value, typedAt) => {
            const to = value as LineLink;
            put(to.kind === link.kind ? to : linkOfKind(link, to.kind), typedAt);
          }}
        />
        <Remove id={link.id} editing={editing} />
      </div>
    </Panel>
  );
}

function IdField({ id, line, onRename }: { id: string; line: Line; onRename: (to: string) => void }) {
  return <LateTextField label="Id" value={id} refuse={(text) => refuseId(line, text)} onChange={onRename} />;
}

function Remove({ id, with: also = "", editing }: { id: string; with?: string; editing: LineEditing }) {
  const { line, change, undo } = editing;
  return (
    <button
      type="button"
      className="btn btn-stop w-full"
      onClick={() => {
        change(remove(line, id));
        toast(`${[id, also].join(" ").trim()} ${also === "" ? "is" : "are"} gone.`, {
          action: { label: "Undo", onClick: undo },
        });
      }}
    >
      Remove {id}
    </button>
  );
}
