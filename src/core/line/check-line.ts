import type { Line } from "../formats";
import type { Problem } from "../result";
import { mediumOf } from "./media";

/** What a schema cannot see: doubled names, links to nowhere, a line without an energy, a check valve run in a ring. */
export function checkLine(line: Line): Problem[] {
  const problems: Problem[] = [];
  const nodes = new Set<string>();
  line.nodes.forEach((node, index) => {
    if (nodes.has(node.id))
      problems.push({
        path: `/nodes/${index}/id`,
        message: `"${node.id}" is used twice. Give each node its own id.`,
      });
    nodes.add(node.id);
  });
  const links = new Set<string>();
  const touched = new Set<string>();
  line.links.forEach((link, index) => {
    const at = `/links/${index}`;
    if (links.has(link.id))
      problems.push({ path: `${at}/id`, message: `"${link.id}" is used twice. Give each link its own id.` });
    links.add(link.id);
    for (const end of ["from", "to"] as const)
      if (!nodes.has(link[end]))
        problems.push({
          path: `${at}/${end}`,
          message: `There is no node "${link[end]}". Add it or correct the name.`,
        });
    if (link.from === link.to)
      problems.push({
        path: `${at}/to`,
        message: `"${link.id}" begins and ends at "${link.from}". Join it to another node.`,
      });
    touched.add(link.from).add(link.to);
  });
  line.nodes.forEach((node, index) => {
    if (!touched.has(node.id))
      problems.push({
        path: `/nodes/${index}`,
        message: `"${node.id}" hangs on nothing. Link it to the line or remove it.`,
      });
  });
  if (
    !line.nodes.some((node) => node.kind === "source" || node.kind === "boundary" || node.kind === "vessel")
  )
    problems.push({
      path: "/nodes",
      message: "Nothing feeds this line: every place would look safe. Add its source, boundary or vessel.",
    });
  return [...problems, ...checkMedia(line), ...checkEquipment(line), ...checkThreeWays(line)];
}

/** A link carries one medium from end to end; only a steam trap changes it. */
function checkMedia(line: Line): Problem[] {
  const media = new Map(line.nodes.map((node) => [node.id, mediumOf(line, node)]));
  return line.links.flatMap((link, index) => {
    if (link.kind === "trap") return [];
    const own = mediumOf(line, link);
    return (["from", "to"] as const).flatMap((end) => {
      const other = media.get(link[end]);
      return other === undefined || other === own
        ? []
        : [
            {
              path: `/links/${index}/${end}`,
              message: `"${link.id}" carries ${own}, but "${link[end]}" holds ${other}. Set the medium of one of them, or join them as one piece of equipment (with).`,
            },
          ];
    });
  });
}

/** Names that point at other nodes of the same equipment. */
function checkEquipment(line: Line): Problem[] {
  const nodes = new Map(line.nodes.map((node) => [node.id, node]));
  const missing = (path: string, id: string): Problem => ({
    path,
    message: `There is no node "${id}". Add it or correct the name.`,
  });
  return [
    ...line.nodes.flatMap((node, index) =>
      (node.with ?? []).flatMap((id, place) =>
        nodes.has(id) ? [] : [missing(`/nodes/${index}/with/${place}`, id)],
      ),
    ),
    ...line.links.flatMap((link, index) => {
      if (link.kind !== "pump" || link.motor === undefined) return [];
      const motor = nodes.get(link.motor);
      if (motor === undefined) return [missing(`/links/${index}/motor`, link.motor)];
      return mediumOf(line, motor) === "electricity"
        ? []
        : [
            {
              path: `/links/${index}/motor`,
              message: `"${link.motor}" holds ${mediumOf(line, motor)}. A motor's node has the medium electricity.`,
            },
          ];
    }),
  ];
}

/** A three-way valve names only links that hang on it, each in one group of a position, and a position it can stand in. */
function checkThreeWays(line: Line): Problem[] {
  return line.nodes.flatMap((node, index): Problem[] => {
    const at = `/nodes/${index}`;
    if ((node.kind === "three-way") !== (node.threeWay !== undefined))
      return [
        {
          path: `${at}/threeWay`,
          message:
            node.kind === "three-way"
              ? `"${node.id}" is a three-way valve: say which links each position joins.`
              : `"${node.id}" has positions but is a ${node.kind}. Make its kind three-way or remove them.`,
        },
      ];
    if (node.threeWay === undefined) return [];
    const own = new Set(
      line.links.flatMap((link) => (link.from === node.id || link.to === node.id ? [link.id] : [])),
    );
    const { positions, normally } = node.threeWay;
    return [
      ...(positions.some((each) => each.id === normally)
        ? []
        : [
            {
              path: `${at}/threeWay/normally`,
              message: `"${normally}" is none of its positions: ${positions.map((each) => each.id).join(", ")}.`,
            },
          ]),
      ...positions.flatMap((position, place) => {
        const named = position.joins.flat();
        return named.flatMap((link, nth) =>
          !own.has(link)
            ? [
                {
                  path: `${at}/threeWay/positions/${place}/joins`,
                  message: `"${link}" does not hang on "${node.id}". Name one of: ${[...own].join(", ")}.`,
                },
              ]
            : named.indexOf(link) !== nth
              ? [
                  {
                    path: `${at}/threeWay/positions/${place}/joins`,
                    message: `"${link}" stands twice in position "${position.name}".`,
                  },
                ]
              : [],
        );
      }),
    ];
  });
}
