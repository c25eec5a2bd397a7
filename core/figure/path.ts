import { arcOf, type Outline, waysOf } from "../frame/index.ts";

/** A closed outline as the path data of an SVG, arcs as arcs. */
export function pathOf(outline: Outline): string {
  const [start] = outline;
  if (!start) return "";
  const ways = waysOf(outline).map(([from, to]) => {
    const arc = arcOf(from, to);
    if (!arc) return `L${to.x} ${to.y}`;
    const large = Math.abs(arc.turn) > Math.PI ? 1 : 0;
    return `A${arc.r} ${arc.r} 0 ${large} ${arc.turn > 0 ? 1 : 0} ${to.x} ${to.y}`;
  });
  return `M${start.x} ${start.y}${ways.join("")}Z`;
}
