/**
 * Maximum flow from some nodes of a network to another (Dinic 1970): level graph by breadth-first search, then blocking flow by
 * depth-first search without recursion. Capacities are whole numbers; `UNLIMITED` never fills.
 */
export const UNLIMITED = 1_000_000_000;

export interface Flow {
  /** UNLIMITED or more: nothing limits the way from source to sink. */
  readonly value: number;
  /** Nodes still reachable from the sources after the flow: the smallest source side of any minimum cut. */
  readonly sourceSide: readonly number[];
}

/**
 * Lays a network out once, to be solved for several capacities: edge e joins tail[e] and head[e] and carries up to
 * capacity[2e] forward and capacity[2e + 1] backward. A solve touches only what lies between source and cut, and the
 * copies of whole arrays, which are memory moves.
 */
export function flowSolver(nodeCount: number, tail: Int32Array, head: Int32Array) {
  const edges = tail.length;
  const start = new Int32Array(nodeCount + 1);
  for (let e = 0; e < edges; e++) {
    start[tail[e]! + 1]! += 1;
    start[head[e]! + 1]! += 1;
  }
  for (let v = 0; v < nodeCount; v++) start[v + 1]! += start[v]!;
  // Arc 2e runs tail→head, arc 2e+1 head→tail.
  const fill = start.slice();
  const arcs = new Int32Array(2 * edges);
  const target = new Int32Array(2 * edges);
  const left = new Int32Array(2 * edges);
  for (let e = 0; e < edges; e++) {
    target[2 * e] = head[e]!;
    target[2 * e + 1] = tail[e]!;
    arcs[fill[tail[e]!]!++] = 2 * e;
    arcs[fill[head[e]!]!++] = 2 * e + 1;
  }
  const level = new Int32Array(nodeCount);
  const queue = new Int32Array(nodeCount);
  const cursor = new Int32Array(nodeCount);
  const path = new Int32Array(nodeCount);
  /** Nodes that the newest search has put into the queue. */
  let found = 0;

  const findLevels = (sources: readonly number[], sink: number): boolean => {
    level.fill(-1);
    found = 0;
    for (const source of sources) {
      if (level[source] === 0) continue;
      level[source] = 0;
      queue[found++] = source;
    }
    for (let at = 0; at < found && level[sink] === -1; at++) {
      const v = queue[at]!;
      for (let slot = start[v]!; slot < start[v + 1]!; slot++) {
        const arc = arcs[slot]!;
        const w = target[arc]!;
        if (left[arc]! > 0 && level[w] === -1) {
          level[w] = level[v]! + 1;
          queue[found++] = w;
        }
      }
    }
    return level[sink] !== -1;
  };

  /** Pushes what a level graph lets through from one source; what was pushed, UNLIMITED or more when nothing limits it. */
  const pushFrom = (source: number, sink: number): number => {
    let value = 0;
    let depth = 0;
    let v = source;
    for (;;) {
      if (v === sink) {
        let push = UNLIMITED;
        for (let i = 0; i < depth; i++) push = Math.min(push, left[path[i]!]!);
        let retreat = 0;
        for (let i = depth - 1; i >= 0; i--) {
          const arc = path[i]!;
          if (left[arc]! < UNLIMITED) left[arc]! -= push;
          if (left[arc ^ 1]! < UNLIMITED) left[arc ^ 1]! += push;
          if (left[arc] === 0) retreat = i;
        }
        value += push;
        if (value >= UNLIMITED) return value;
        depth = retreat;
        v = target[path[depth]! ^ 1]!;
        continue;
      }
      let advanced = false;
      for (let slot = cursor[v]!; slot < start[v + 1]!; slot = ++cursor[v]!) {
        const arc = arcs[slot]!;
        const w = target[arc]!;
        if (left[arc]! > 0 && level[w] === level[v]! + 1) {
          path[depth++] = arc;
          v = w;
          advanced = true;
          break;
        }
      }
      if (advanced) continue;
      if (depth === 0) return value;
      level[v] = -1;
      depth -= 1;
      v = target[path[depth]! ^ 1]!;
    }
  };

  return function solve(capacity: Int32Array, sources: readonly number[], sink: number): Flow {
    left.set(capacity);
    let value = 0;
    while (value < UNLIMITED && findLevels(sources, sink)) {
      cursor.set(start.subarray(0, nodeCount));
      for (const source of sources) value += pushFrom(source, sink);
    }
    findLevels(sources, sink);
    return { value, sourceSide: [...queue.subarray(0, found)] };
  };
}
