/** A group of a DXF file: a code that says what it is, and its value; with the line the code stands on. */
interface Group {
  code: number;
  value: string;
  line: number;
}

/** Where a file is no DXF, and what is wrong there. */
export interface DxfFault {
  line: number;
  what: "code" | "number" | "cut off" | "too far";
}

/** What of a DXF file describes a flat outline. */
export interface DxfEntities {
  /** What $INSUNITS says; null where it says nothing. */
  units: number | null;
  /** A DXF file of nothing but lines, arcs, circles and polylines, each of them whole. */
  text: string;
  /** What else stands among them, by its name, how many times. */
  others: Map<string, number>;
}

const point = [10, 20, 30];
const extrusion = [210, 220, 230];
/** Entities a flat outline is made of, and the groups that draw them. The parser is given nothing else. */
const drawnBy: ReadonlyMap<string, ReadonlySet<number>> = new Map(
  Object.entries({
    LINE: new Set([...point, 11, 21, 31, ...extrusion]),
    ARC: new Set([...point, 40, 50, 51, ...extrusion]),
    CIRCLE: new Set([...point, 40, ...extrusion]),
    LWPOLYLINE: new Set([70, 90, 10, 20, 38, 42, ...extrusion]),
    POLYLINE: new Set([70, ...extrusion]),
    VERTEX: new Set([...point, 42]),
    SEQEND: new Set<number>(),
  }),
);
/** What follows a polyline and belongs to it. */
const ofPolyline = new Set(["VERTEX", "SEQEND"]);

/** Nothing drawn lies further out, in any unit: beyond it figures lose what a part is made to. */
const furthest = 1e7;

/**
 * The lines, arcs, circles and polylines of a DXF text. Everything else is left out, so that a damaged table, block or picture
 * that nobody reads does not matter.
 * @returns the fault with its line where a code is none, a place is no number, or the file ends within an entity
 */
export function entitiesOf(text: string): DxfEntities | DxfFault {
  const groups = groupsOf(text);
  if (!Array.isArray(groups)) return groups;
  const others = new Map<string, number>();
  const kept: string[] = [];
  let units: number | null = null;
  let section: string | null = null;
  let drawing: ReadonlySet<number> | undefined;
  let polyline: Group | null = null;
  for (const [i, group] of groups.entries()) {
    const { code, value, line } = group;
    if (code === 0) {
      if (polyline && !ofPolyline.has(value)) return { line: polyline.line, what: "cut off" };
      drawing = undefined;
      if (value === "SECTION") {
        const name = groups[i + 1];
        section = name?.code === 2 ? name.value : "";
        continue;
      }
      if (value === "ENDSEC") section = null;
      if (section !== "ENTITIES") continue;
      if (ofPolyline.has(value) && !polyline) continue;
      if (value === "POLYLINE") polyline = group;
      if (value === "SEQEND") polyline = null;
      drawing = drawnBy.get(value);
      if (drawing) kept.push("0", value);
      else others.set(value, (others.get(value) ?? 0) + 1);
      continue;
    }
    if (drawing?.has(code)) {
      const size = value === "" ? NaN : Number(value);
      if (!Number.isFinite(size)) return { line: line + 1, what: "number" };
      if (Math.abs(size) > furthest) return { line: line + 1, what: "too far" };
      kept.push(String(code), value);
    }
    if (section === "HEADER" && code === 9 && value === "$INSUNITS") {
      const after = groups[i + 1];
      if (after?.code === 70) units = Number(after.value);
    }
  }
  if (polyline) return { line: polyline.line, what: "cut off" };
  return {
    units,
    text: ["0", "SECTION", "2", "ENTITIES", ...kept, "0", "ENDSEC", "0", "EOF", ""].join("\n"),
    others,
  };
}

function groupsOf(text: string): Group[] | DxfFault {
  const lines = text.trimEnd().split(/\r\n|\r|\n/);
  const groups: Group[] = [];
  for (let i = 0; i < lines.length; i += 2) {
    const code = lines[i]!.trim();
    const value = lines[i + 1];
    if (!/^-?\d{1,4}$/.test(code)) return { line: i + 1, what: "code" };
    if (value === undefined) return { line: i + 1, what: "cut off" };
    groups.push({ code: Number(code), value: value.trim(), line: i + 1 });
  }
  return groups;
}
