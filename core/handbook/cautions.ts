/** Usual cautions, shown where they matter. The app advises; the machine's manual and local rules decide. */
export const cautions = {
  eyes: "Eye protection on. No gloves, rings or loose sleeves near a turning spindle.",
  chips: "Clear chips with a brush, never by hand, spindle stopped.",
  measure: "Spindle stopped before you measure or reach in.",
  manual: "The machine's manual, the shop's rules and a qualified instructor come first.",
} as const;

export interface OperationCautions {
  id: string;
  operation: string;
  cautions: readonly string[];
}

/** Cautions by what is being done. Usual ones: none of them makes an operation safe. */
export const operationCautions: readonly OperationCautions[] = [
  {
    id: "before",
    operation: "Before the spindle turns",
    cautions: [
      cautions.eyes,
      "Drawbar wrench off, vise handle off, guard in place.",
      "Check which way the cutter turns: start it for a moment after every change of range or switch.",
      "Lock every axis that must not move; leave the one that moves free.",
      "Know where the stop is, and that your hand reaches it.",
    ],
  },
  {
    id: "changing-cutters",
    operation: "Changing cutters",
    cautions: [
      "Spindle stopped and out of gear, or the supply off.",
      "Hold a cutter in a rag, never by its edges; wood under a heavy one, so that it cannot fall on the table.",
      "Wipe taper and shank dry and clean: a chip there is run-out, and a cutter that walks out.",
      "No end mill in a drill chuck: side load walks it out.",
    ],
  },
  {
    id: "holding",
    operation: "Clamping the part",
    cautions: [
      "Never hold the work by hand: clamp it, even for one small hole.",
      "Every strap over a support; a single strap lets the part turn.",
      "After tapping a part down, do not tighten again: it lifts.",
      "Get help, or a hoist, for heavy stock and vises.",
    ],
  },
  {
    id: "facing",
    operation: "Facing and slab milling",
    cautions: [
      "Chips fly far and hot from face mills: screen, closed collar, others warned.",
      "A fly cutter out of balance shakes: low speed, stand out of its plane.",
      "Wide cuts on the arbor: conventional, overarm support in place; never tighten the nut without it.",
    ],
  },
  {
    id: "side",
    operation: "Side cuts, slots and pockets",
    cautions: [
      "No climb cut with backlash in the screw: the cutter pulls the table in and breaks.",
      "A cutter that does not cut to its center does not plunge: drill first.",
      "Slots hold chips: stop and brush, no fingers.",
    ],
  },
  {
    id: "drilling",
    operation: "Drilling, tapping, reaming",
    cautions: [
      "The drill grabs at break-through: hold the part down, slow the feed.",
      "Never stop a turning part or chuck by hand.",
      "Take the chuck key out each time.",
    ],
  },
  {
    id: "sawing",
    operation: "Slitting and parting",
    cautions: [
      "Thin saws burst when they jam: support the part so that the slot does not close.",
      "Secure the piece that falls.",
      "Stand out of the plane of the saw.",
    ],
  },
  {
    id: "power-feed",
    operation: "Power feed",
    cautions: [
      "Trip dogs set and tried, the moving axis unlocked.",
      "The last 2 mm by hand.",
      "Never leave it running unattended.",
    ],
  },
  {
    id: "measuring",
    operation: "Measuring and cleaning",
    cautions: [
      cautions.measure,
      cautions.chips,
      "Deburr before you handle: edges cut. No compressed air at your skin or eyes.",
    ],
  },
  {
    id: "materials",
    operation: "Materials that burn or harm",
    cautions: [
      "Fine magnesium and titanium chips burn: sharp edges, thick chips, swept up at once, dry sand at hand, no water on magnesium.",
      "Dust of cast iron, of copper alloys with beryllium or lead, of fiber and graphite: use extraction.",
      "Overheated PVC and PTFE give off harmful fumes.",
      "Paraffin as a cutting fluid burns: ventilate, keep it from sparks.",
    ],
  },
];
