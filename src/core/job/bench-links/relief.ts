import { type JobInputs, sheetNow } from "../../formats";
import { threeWays } from "../../line";
import { type BenchLink, figure } from "./rule";

/** What line and register know of a relief valve: whether it stands alone, on which vessel, since when. */
export function relief({ sheet, line, valve }: JobInputs): BenchLink["start"] {
  const at = valve.node ?? valve.tag;
  const beside = new Set(
    (line?.links ?? []).flatMap(({ from, to }) => (from === at ? [to] : to === at ? [from] : [])),
  );
  const stem = (line === undefined ? [] : threeWays(line)).find(({ id }) => beside.has(id));
  const near = new Set(
    (line?.links ?? []).flatMap(({ from, to }) =>
      stem === undefined ? [] : from === stem.id ? [to] : to === stem.id ? [from] : [],
    ),
  );
  const vessel = line?.nodes.find(
    ({ id, kind, volume_L }) =>
      kind === "vessel" && volume_L !== undefined && (beside.has(id) || near.has(id)),
  );
  const exchange = sheet.intervals.find((each) => each.renews !== undefined);
  const since = (exchange && valve.last?.[exchange.id]) ?? valve.installed;
  return {
    refrigerant: sheet.isolation.medium === "co2" ? "co2" : "ammonia",
    fitted:
      stem !== undefined || (line === undefined && sheetNow(sheet).traits?.includes("twin-relief") === true)
        ? "dual"
        : "single",
    ...(vessel?.volume_L !== undefined && { volume: `${figure(vessel.volume_L)} L` }),
    ...(line?.rating_bar !== undefined && { design: `${figure(line.rating_bar)} bar g` }),
    ...(since !== undefined && { installed: since.slice(0, 10) }),
  };
}
