import type { Line } from "../formats";
import type { Problem } from "../result";

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
  return problems;
}
