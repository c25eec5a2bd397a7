/** A word of the trade and what it means here. */
export interface TradeWord {
  word: string;
  means: string;
}

/** Words as this app uses them, in the order of the alphabet. */
export const tradeWords: readonly TradeWord[] = (
  [
    ["arbor", "Long shaft in a horizontal spindle that carries disc cutters between collars."],
    ["backlash", "Play between screw and nut: the handle turns that far before the table moves."],
    ["built-up edge", "Metal welded to the cutting edge: it tears the surface."],
    ["burr", "Ridge a cut leaves at an edge. Under a reference face it tilts the part."],
    ["chip load", "Another word for feed per tooth."],
    ["chip thickness", "How thick a chip really is; thinner than the feed per tooth in narrow cuts."],
    ["clearance hole", "Hole a screw passes through without touching."],
    ["climb milling", "The cutter pulls the work along: thick chip first. Needs a table without slack."],
    ["collet", "Split sleeve that grips a shank all round; each fits one size."],
    [
      "conventional milling",
      "The cutter pushes against the feed: thin chip first. The rule at a manual mill.",
    ],
    ["cutting speed, vc", "How fast the edge passes through the metal, m/min or ft/min."],
    ["datum", "Point or face sizes are counted from."],
    ["daylight", "Room between table and spindle nose."],
    ["depth of cut", "What the handle is turned by for a pass."],
    ["drawbar", "Bolt through the spindle that pulls a collet or holder in."],
    ["DRO", "Digital readout of an axis."],
    ["edge finder", "Tool that shows when the spindle is half its tip from an edge."],
    ["entering angle, κ", "Angle between the cutting edge and the feed: 90° cuts a square shoulder."],
    ["feed per tooth, fz", "How far the table moves while one tooth passes."],
    ["fixed jaw", "Jaw that is part of the body of the vise: what touches it is square by it."],
    ["gauge block", "Block of exact length, to check and set by."],
    ["jack", "Screw support under a part."],
    [
      "kc1.1 and mc",
      "Force a square millimeter of chip takes at 1 mm thickness, and how it grows for thin chips.",
    ],
    ["keyseat", "Groove for a key in the shaft; the one in the hub is the keyway."],
    ["knee", "Part of the machine that carries table and saddle and is raised for depth."],
    ["lead angle", "90° minus the entering angle: 0° cuts a square shoulder. Printed in inch catalogs."],
    ["moving jaw", "Jaw the screw pushes; it lifts a little as it tightens."],
    ["packing", "Blocks under or behind a part to support it."],
    ["parallels", "Pair of bars of equal height under the part."],
    ["pass", "One run over the cut at one depth."],
    ["projection", "How far the part sticks up above the jaws."],
    ["quill", "Sleeve in the head that slides the spindle up and down."],
    [
      "round rod",
      "Soft bar between moving jaw and an unmachined face: lets the part lie flat to the fixed jaw.",
    ],
    [
      "run-out, TIR",
      "How far an edge or shank swings when it is turned: the whole reading of the indicator.",
    ],
    ["setup", "The part held one way; all that is cut before it is moved."],
    ["skin", "Scale, sand or sawn surface the first pass has to get beneath."],
    ["spotting", "A small cone that keeps a drill from walking."],
    ["spring pass", "The last pass once more at the same setting, to take what bending left."],
    ["stickout", "How far a cutter sticks out of its holder."],
    ["stop", "What a part is pushed against so that it comes back to the same place."],
    ["strap clamp", "Bar with a bolt that presses a part to the table."],
    ["table feed, vf", "How fast the table moves, mm/min or in/min."],
    ["tapping size", "Hole a tap is run into."],
    ["touch-off", "Bringing the cutter just to the part to know where it is."],
    ["tram", "How square the spindle is to the table."],
    ["witness line", "Line where two cuts meet, or a trace of the raw face that is left on purpose."],
  ] as const
).map(([word, means]) => ({ word, means }));
