import {
  cutterKinds,
  machineClasses,
  materialsWith,
  noOwnValues,
  sawKinds,
  sawWords,
  stockFormSchema,
  toolMaterials,
  wordsFor,
} from "../handbook/index.ts";
import { barSections, sectionWords } from "./bar.ts";
import { dialWays, cutterConditions, ratings } from "./cutter.ts";
import { holderKinds, holderWords } from "./holder.ts";
import { aidKinds, aidWords, mountings, mountingWords } from "./holding-devices.ts";
import { instrumentKinds } from "./instrument.ts";
import { drives, machineKinds } from "./machine.ts";
import type { ShopList } from "./shop.ts";

/** How a field is written and read: lengths in mm, dates as yyyy-mm-dd, feeds as a row of mm/min, speeds one range a line. */
export type FieldKind =
  "text" | "length" | "signed" | "number" | "whole" | "choice" | "yes" | "feeds" | "speeds" | "date" | "from";

/** One thing to know about something owned: the same for the form, the table, and the columns of a CSV file. */
export interface ShopField {
  /** Path in the item, dotted; also the column of the CSV. */
  key: string;
  label: string;
  kind: FieldKind;
  /** Heading it stands under in the form. */
  group: string;
  unit?: string;
  /** May be left empty: nothing is known of it. */
  mayBeEmpty?: boolean;
  options?: readonly (readonly [value: string, text: string])[];
  /** List a `from` field chooses from. */
  list?: ShopList;
  /** Shown in the table. */
  column?: boolean;
  help?: string;
}

const options = (values: readonly string[], text: (value: string) => string = (v) => v) =>
  values.map((value) => [value, text(value)] as const);

/** Fields of a group, each given short. */
const under = (group: string, ...fields: Omit<ShopField, "group">[]): ShopField[] =>
  fields.map((field) => ({ group, ...field }));

const name: Omit<ShopField, "group"> = { key: "name", label: "name", kind: "text", column: true };

const axis = (key: "x" | "y" | "z", label: string): ShopField[] =>
  under(
    label,
    { key: `axes.${key}.lead`, label: "lead, per turn", kind: "length" },
    { key: `axes.${key}.division`, label: "one division", kind: "length" },
    { key: `axes.${key}.backlash`, label: "backlash", kind: "length" },
    {
      key: `axes.${key}.readout`,
      label: "readout shows",
      kind: "length",
      mayBeEmpty: true,
      help: "Empty: dials only.",
    },
    {
      key: `axes.${key}.powerFeeds`,
      label: "power feeds",
      kind: "feeds",
      unit: "mm/min",
      help: "In a row, slow to fast; empty: by hand.",
    },
  );

const kindWords: Record<string, string> = {
  vertical: "vertical spindle",
  horizontal: "horizontal spindle",
  horizontalWithHead: "horizontal with vertical head",
  stepBelt: "step belt",
  gears: "gears",
  electronic: "electronic",
  knee: "the knee is raised",
  head: "the head comes down",
  caliper: "caliper",
  micrometer: "micrometer",
  depthCaliper: "depth caliper",
  depthMicrometer: "depth micrometer",
  telescopicGauge: "telescopic gauge",
  indicator: "indicator",
  edgeFinder: "edge finder",
  square: "square",
  rule: "rule",
  gaugeBlocks: "gauge blocks",
  pins: "gauge pins",
  feelers: "feeler gauges",
  threadGauge: "thread gauge, go and no-go",
  roughnessPlates: "roughness plates",
};
const worded = (values: readonly string[]) => options(values, (v) => kindWords[v] ?? v);
const rated = options(ratings);

/** The fields of every list of the shop. */
export const shopFields: Record<ShopList, ShopField[]> = {
  machines: [
    ...under(
      "Machine",
      name,
      { key: "kind", label: "spindle", kind: "choice", options: worded(machineKinds), column: true },
      {
        key: "class",
        label: "class",
        kind: "choice",
        options: options(machineClasses, (c) => wordsFor.machineClass[c as "knee"]),
        column: true,
        help: "Gives force and spring until a pull test does.",
      },
      { key: "depthBy", label: "for depth", kind: "choice", options: worded(["knee", "head"]) },
      { key: "quillTravel", label: "travel of the quill", kind: "length", mayBeEmpty: true },
      { key: "quillDivision", label: "quill set by", kind: "length", mayBeEmpty: true },
      { key: "taper", label: "spindle taper", kind: "text", mayBeEmpty: true },
      { key: "daylight", label: "daylight, table to nose", kind: "length" },
      {
        key: "tSlot",
        label: "T-slots, width",
        kind: "length",
        mayBeEmpty: true,
        help: "Of the narrow part, at the table's face. T-nuts that do not fit are then told.",
      },
      { key: "rate", label: "an hour costs", kind: "number", mayBeEmpty: true, help: "In your own money." },
      { key: "travel.x", label: "travel along", kind: "length" },
      { key: "travel.y", label: "travel across", kind: "length" },
      { key: "travel.z", label: "travel up and down", kind: "length" },
    ),
    ...under(
      "Spindle",
      { key: "motorPower", label: "motor", kind: "number", unit: "kW", column: true },
      {
        key: "efficiency",
        label: "share that reaches the spindle",
        kind: "number",
        help: "0.75 is usual for belts and gears.",
      },
      { key: "drive", label: "drive", kind: "choice", options: worded(drives), column: true },
      {
        key: "ranges",
        label: "spindle speeds",
        kind: "speeds",
        unit: "rpm",
        help: 'One range a line, slow to fast: "low range: 80 135 210 325". A span: "high: 500-4200; running". Also "reversed", "base 1200", "slip 25".',
      },
    ),
    ...under(
      "Pull test and tram",
      { key: "ownForce", label: "force it can take", kind: "number", unit: "N", mayBeEmpty: true },
      { key: "ownSpring", label: "spring", kind: "number", unit: "N/µm", mayBeEmpty: true },
      { key: "tramAlong", label: "tram, rise along", kind: "signed", mayBeEmpty: true },
      { key: "tramAcross", label: "tram, rise across", kind: "signed", mayBeEmpty: true },
      { key: "tramSweep", label: "swept over", kind: "length" },
    ),
    ...axis("x", "Along the table, X"),
    ...axis("y", "Across, Y"),
    ...axis("z", "Up and down, Z"),
  ],
  cutters: [
    ...under(
      "Cutter",
      name,
      {
        key: "kind",
        label: "kind",
        kind: "choice",
        options: options(cutterKinds, (k) => wordsFor.cutterKind[k as "endMill"]),
        column: true,
      },
      {
        key: "material",
        label: "material",
        kind: "choice",
        options: options(toolMaterials, (m) => wordsFor.toolMaterial[m as "hss"]),
        column: true,
      },
      { key: "diameter", label: "diameter", kind: "length", column: true },
      { key: "measured", label: "diameter as measured", kind: "length", mayBeEmpty: true },
      { key: "teeth", label: "teeth", kind: "whole", column: true },
      { key: "fluteLength", label: "flutes, or width", kind: "length", column: true },
      { key: "cornerRadius", label: "corner radius", kind: "length" },
      { key: "helix", label: "helix", kind: "number", unit: "°" },
      { key: "hand", label: "hand", kind: "choice", options: options(["right", "left"]) },
      { key: "centerCutting", label: "cuts to the center", kind: "yes" },
      {
        key: "pitch",
        label: "pitch of a tap",
        kind: "length",
        mayBeEmpty: true,
        help: "What it goes on in one turn: 25.4 over the threads per inch.",
      },
      {
        key: "opens",
        label: "boring head opens to",
        kind: "length",
        mayBeEmpty: true,
        help: "The largest hole it bores. Its diameter, above, is the smallest hole its bar goes into.",
      },
      { key: "dialOn", label: "its dial counts on the", kind: "choice", options: options(dialWays) },
      {
        key: "dialDivision",
        label: "one division of its dial",
        kind: "length",
        mayBeEmpty: true,
        help: "As it is marked: on the radius it takes twice that off the hole.",
      },
    ),
    ...under(
      "Inserts",
      {
        key: "enteringAngle",
        label: "entering angle",
        kind: "number",
        unit: "°",
        help: "90 is a square shoulder. The lead angle printed in inch countries is 90 minus it.",
      },
      { key: "inserts", label: "inserts", kind: "choice", options: options(["none", "straight", "round"]) },
      { key: "level", label: "all inserts level", kind: "yes" },
      { key: "maxDepth", label: "deepest cut", kind: "length", mayBeEmpty: true },
    ),
    ...under(
      "Holding",
      { key: "holder", label: "stands in", kind: "from", list: "holders", mayBeEmpty: true },
      { key: "shank", label: "shank, or bore", kind: "length" },
      { key: "stickout", label: "out of its holder", kind: "length", column: true },
      {
        key: "runOut",
        label: "run-out at the edge (TIR)",
        kind: "length",
        mayBeEmpty: true,
        help: "As an indicator shows it, turning by hand.",
      },
    ),
    ...under(
      "State",
      {
        key: "condition",
        label: "condition",
        kind: "choice",
        options: options(cutterConditions),
        column: true,
      },
      { key: "rating.wall", label: "for a wall", kind: "choice", options: rated },
      { key: "rating.floor", label: "for a floor", kind: "choice", options: rated },
      { key: "rating.scale", label: "for scale", kind: "choice", options: rated },
      { key: "minutesUsed", label: "minutes used", kind: "number", unit: "min" },
      { key: "life", label: "lasts", kind: "number", unit: "min", mayBeEmpty: true },
      { key: "price", label: "price of a new one", kind: "number", mayBeEmpty: true },
    ),
  ],
  holders: under(
    "Holder",
    name,
    {
      key: "kind",
      label: "kind",
      kind: "choice",
      options: options(holderKinds, (k) => holderWords[k as "collet"]),
      column: true,
    },
    { key: "from", label: "takes from", kind: "length", column: true },
    { key: "to", label: "to", kind: "length", column: true },
    { key: "reach", label: "from nose to cutter", kind: "length", column: true },
    { key: "collar", label: "collars of an arbor", kind: "length", mayBeEmpty: true },
    { key: "span", label: "nose to support", kind: "length", mayBeEmpty: true },
    { key: "supported", label: "runs in a support", kind: "yes" },
    { key: "tightness", label: "drawn in how tight", kind: "text", mayBeEmpty: true },
  ),
  vises: under(
    "Vise",
    name,
    { key: "opening", label: "opens to", kind: "length", column: true },
    { key: "jawWidth", label: "jaw width", kind: "length", column: true },
    { key: "jawDepth", label: "jaw height above bed", kind: "length", column: true },
    { key: "jawThickness", label: "jaw thickness", kind: "length" },
    { key: "bedHeight", label: "bed above table", kind: "length" },
    { key: "jawChamfer", label: "jaw chamfer", kind: "length" },
    { key: "relief", label: "relief slot at the jaw foot", kind: "length" },
    {
      key: "fixedJaw",
      label: "fixed jaw",
      kind: "choice",
      options: [
        ["back", "at the back"],
        ["front", "at the front"],
      ],
    },
    { key: "screwLead", label: "lead of its screw", kind: "length" },
    {
      key: "pull",
      label: "ordinary pull at the handle",
      kind: "number",
      unit: "N·m",
      help: "The length of the handle in m times the pull in N: 0.25 m and 160 N make 40.",
    },
    { key: "pullChecked", label: "pull checked on", kind: "date", mayBeEmpty: true },
    {
      key: "mounting",
      label: "held on the table by",
      kind: "choice",
      options: options(mountings, (m) => mountingWords[m as "bolts"]),
    },
    { key: "stretch", label: "jaw gives under a hard pull", kind: "length", mayBeEmpty: true },
    { key: "jawLift", label: "part lifts over 10", kind: "length", mayBeEmpty: true },
    { key: "jawSquareness", label: "jaw out of square over 50", kind: "signed", mayBeEmpty: true },
    { key: "jawLine", label: "jaw out of line with X over 100", kind: "signed", mayBeEmpty: true },
    { key: "bedAlong", label: "bed rises along X over 100", kind: "signed", mayBeEmpty: true },
    { key: "bedAcross", label: "bed rises across over 100", kind: "signed", mayBeEmpty: true },
  ),
  parallels: under(
    "Parallels, a pair",
    name,
    { key: "height", label: "height", kind: "length", column: true },
    { key: "thickness", label: "thickness", kind: "length", column: true },
    { key: "length", label: "length", kind: "length", column: true },
    { key: "unlike", label: "one higher by", kind: "length", mayBeEmpty: true },
  ),
  rods: under("Round rod", name, { key: "diameter", label: "diameter", kind: "length", column: true }),
  aids: under(
    "Holding aid",
    name,
    {
      key: "kind",
      label: "kind",
      kind: "choice",
      options: options(aidKinds, (k) => aidWords[k as "jack"]),
      column: true,
    },
    { key: "count", label: "how many", kind: "whole", column: true },
    {
      key: "from",
      label: "from",
      kind: "length",
      column: true,
      help: "Height, length or diameter it spans. Of a backing plate: how thick it is.",
    },
    {
      key: "to",
      label: "to",
      kind: "length",
      column: true,
      help: "Of a backing plate: how far across, the shorter way.",
    },
    { key: "thread", label: "thread", kind: "text", mayBeEmpty: true },
    { key: "angle", label: "angle", kind: "number", unit: "°", mayBeEmpty: true },
    {
      key: "comesBack",
      label: "part comes back within",
      kind: "length",
      mayBeEmpty: true,
      help: "Of a stop: the spread of five tries against an indicator.",
    },
    { key: "tried", label: "tried on", kind: "date", mayBeEmpty: true },
  ),
  instruments: under(
    "Instrument",
    name,
    { key: "kind", label: "kind", kind: "choice", options: worded(instrumentKinds), column: true },
    { key: "resolution", label: "shows steps of", kind: "length", column: true },
    { key: "uncertainty", label: "uncertainty U", kind: "length", column: true },
    { key: "from", label: "from", kind: "length", column: true },
    { key: "to", label: "to", kind: "length", column: true },
    { key: "lastCheck", label: "last checked", kind: "date", mayBeEmpty: true, column: true },
    {
      key: "every",
      label: "months between checks",
      kind: "whole",
      mayBeEmpty: true,
      help: "Empty: a year. Overdue it counts as half as much again.",
    },
    {
      key: "error",
      label: "error found: it shows too much by",
      kind: "signed",
      mayBeEmpty: true,
      help: "Taken off every reading.",
    },
  ),
  houseRules: under(
    "House rule",
    name,
    {
      key: "what",
      label: "moves",
      kind: "choice",
      options: options(["speed", "feed", "depth", "force"]),
      column: true,
    },
    { key: "factor", label: "by the factor", kind: "number", column: true, help: "0.8 takes a fifth off." },
    { key: "machine", label: "on", kind: "from", list: "machines", mayBeEmpty: true },
    { key: "material", label: "in the material (id in the handbook)", kind: "text", mayBeEmpty: true },
    {
      key: "cutterKind",
      label: "with",
      kind: "choice",
      mayBeEmpty: true,
      options: options(cutterKinds, (k) => wordsFor.cutterKind[k as "endMill"]),
    },
  ),
  saws: under(
    "Saw",
    name,
    {
      key: "kind",
      label: "kind",
      kind: "choice",
      options: options(sawKinds, (k) => sawWords[k as "band"]),
      column: true,
    },
    { key: "takes", label: "takes up to", kind: "length", column: true },
    { key: "kerf", label: "its cut takes away", kind: "length", column: true },
    {
      key: "blades",
      label: "blades owned",
      kind: "feeds",
      unit: "teeth an inch",
      help: "In a row, coarse to fine: 6 10 14 24.",
      column: true,
    },
    { key: "fitted", label: "blade fitted", kind: "number", unit: "teeth an inch", mayBeEmpty: true },
    { key: "speeds", label: "blade speeds", kind: "feeds", unit: "m/min", help: "In a row, slow to fast." },
    {
      key: "throat",
      label: "opening at the blade",
      kind: "length",
      help: "A part smaller than this can fall in.",
    },
    {
      key: "runsOut",
      label: "a cut runs out over 100",
      kind: "length",
      mayBeEmpty: true,
      help: "Learned from sawn faces that were measured; empty: taken as 1 mm.",
    },
  ),
  bars: under(
    "Bar, or off-cut",
    name,
    {
      key: "material",
      label: "material",
      kind: "choice",
      options: materialsWith(noOwnValues).map((m) => [m.id, m.name] as const),
      column: true,
    },
    {
      key: "form",
      label: "form",
      kind: "choice",
      options: options(stockFormSchema.options, (f) => wordsFor.stockForm[f as "plate"]),
    },
    {
      key: "section",
      label: "section",
      kind: "choice",
      options: options(barSections, (k) => sectionWords[k as "flat"]),
      column: true,
    },
    {
      key: "across",
      label: "width, diameter or flats",
      kind: "length",
      column: true,
    },
    { key: "thick", label: "thickness of a flat", kind: "length", column: true },
    { key: "length", label: "length left", kind: "length", column: true },
    { key: "where", label: "where it lies", kind: "text", mayBeEmpty: true, column: true },
    { key: "offcut", label: "off-cut", kind: "yes" },
    { key: "price", label: "price a meter", kind: "number", mayBeEmpty: true },
  ),
};

/** Names of the lists as they stand on their drawers. */
export const shopListWords: Record<ShopList, { many: string; one: string }> = {
  machines: { many: "Machines", one: "machine" },
  cutters: { many: "Cutters", one: "cutter" },
  holders: { many: "Holders", one: "holder" },
  vises: { many: "Vises", one: "vise" },
  parallels: { many: "Parallels", one: "pair of parallels" },
  rods: { many: "Rods", one: "rod" },
  aids: { many: "Straps, jacks, blocks", one: "holding aid" },
  instruments: { many: "Instruments", one: "instrument" },
  houseRules: { many: "House rules", one: "house rule" },
  saws: { many: "Saws", one: "saw" },
  bars: { many: "Rack of bars", one: "bar" },
};
