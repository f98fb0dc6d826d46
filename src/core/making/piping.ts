import type { Line, LineLink, LineNode, LineValve, Medium } from "../formats";

type Node = Omit<LineNode, "id" | "kind" | "elevation_m" | "at">;

/** A line under construction: what is put to it gets a name that is free. */
export class Piping {
  readonly #nodes: LineNode[];
  readonly #links: LineLink[];
  readonly #taken: Set<string>;

  constructor(private readonly line: Omit<Line, "nodes" | "links"> & Partial<Pick<Line, "nodes" | "links">>) {
    this.#nodes = [...(line.nodes ?? [])];
    this.#links = [...(line.links ?? [])];
    this.#taken = new Set([...this.#nodes, ...this.#links].map(({ id }) => id));
  }

  /** The first of V-1, V-2 … that nothing bears. */
  free(head: string): string {
    let number = 1;
    while (this.#taken.has(`${head}${number}`)) number += 1;
    this.#taken.add(`${head}${number}`);
    return `${head}${number}`;
  }

  node(id: string): LineNode {
    return this.#nodes.find((each) => each.id === id)!;
  }

  /** @param at where it is drawn · @param height m */
  put(
    kind: LineNode["kind"],
    head: string,
    at: readonly [number, number],
    height: number,
    more: Node = {},
  ): string {
    const id = this.free(head);
    this.#nodes.push({ id, kind, elevation_m: height, at: [at[0], at[1]], ...more });
    return id;
  }

  /** Says that two places are of the same piece of equipment: opened together. */
  tie(place: string, other: string): void {
    const index = this.#nodes.findIndex(({ id }) => id === place);
    const node = this.#nodes[index]!;
    this.#nodes[index] = { ...node, with: [...(node.with ?? []), other] };
  }

  valve(
    from: string,
    to: string,
    name: string,
    more: Partial<Pick<LineValve, "type" | "medium" | "stream" | "normally" | "access_min" | "bypass">> = {},
    head = "V-",
  ): string {
    const id = this.free(head);
    this.#links.push({
      kind: "valve",
      id,
      name,
      from,
      to,
      type: "ball",
      normally: "open",
      operable: true,
      lockable: true,
      access_min: 3,
      ...more,
    });
    return id;
  }

  pipe(from: string, to: string, dn_mm: number, length_m: number, medium?: Medium): void {
    const id = this.free("P");
    this.#links.push({
      kind: "pipe",
      id,
      from,
      to,
      dn_mm,
      length_m,
      ...(medium !== undefined && { medium }),
    });
  }

  check(from: string, to: string): void {
    this.#links.push({ kind: "check", id: this.free("CH-"), from, to });
  }

  trap(from: string, to: string): void {
    this.#links.push({ kind: "trap", id: this.free("TR-"), from, to });
  }

  cable(from: string, to: string): void {
    this.#links.push({ kind: "cable", id: this.free("E"), from, to, medium: "electricity" });
  }

  pump(from: string, to: string, name: string, motor: string): void {
    this.#links.push({ kind: "pump", id: this.free("PU-"), name, from, to, access_min: 2, motor });
  }

  done(): Line {
    const { nodes: _, links: __, ...head } = this.line;
    return { ...head, nodes: this.#nodes, links: this.#links };
  }
}
