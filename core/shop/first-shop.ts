import { emptyShop, type Shop, shopListNames } from "./shop.ts";
import { starterSets } from "./starter-sets.ts";

/** How a machine tells where it stands: by its dials, by a readout of the table, or of the spindle's depth too. */
export const readingBy = ["dials", "table", "all"] as const;
export type ReadingBy = (typeof readingBy)[number];

/** What a person is asked for a shop to begin with. */
export interface FirstShopAnswers {
  /** Id of a machine to start from. */
  machine: string;
  reads: ReadingBy;
  /** Ids of the drawers of cutters, holders and instruments. */
  drawers: readonly string[];
}

/** Usual step of a readout, mm. */
const usualReadout = 0.005;

/** A shop of usual values from three answers; each value can be corrected where it stands. What is not known adds nothing. */
export function firstShop({ machine, reads, drawers }: FirstShopAnswers): Shop {
  const asked = starterSets.machines.filter((set) => set.id === machine);
  const shows = (axis: "x" | "y" | "z") => reads === "all" || (reads === "table" && axis !== "z");
  const machines = asked.flatMap((set) =>
    set.adds.machines.map((m) => {
      const axis = (name: "x" | "y" | "z") => ({
        ...m.axes[name],
        readout: shows(name) ? (m.axes[name].readout ?? usualReadout) : null,
      });
      return { ...m, axes: { x: axis("x"), y: axis("y"), z: axis("z") } };
    }),
  );
  return starterSets.drawers
    .filter((set) => drawers.includes(set.id))
    .reduce((shop, set) => joined(shop, set.adds), { ...emptyShop, machines });
}

/** Two shops together; what both have is there once. */
function joined(a: Shop, b: Shop): Shop {
  const lists = shopListNames.map((list) => {
    const known = new Set(a[list].map((item) => item.id));
    return [list, [...a[list], ...b[list].filter((item) => !known.has(item.id))]] as const;
  });
  return { ...emptyShop, ...Object.fromEntries(lists) };
}
