import { handbookTables, materialsWith, noOwnValues, operationCautions } from "../../core/handbook/index.ts";
import { emptyShop, shopListNames, shopListWords } from "../../core/shop/index.ts";
import { sums } from "../../core/sums/index.ts";
import { database, listJobs, loadMine, loadOwn } from "../../store/index.ts";
import { type Place, placesOfJob } from "./find-state.ts";

/** Rooms that are always there. */
const rooms: readonly Place[] = [
  { name: "Bench", kind: "room", also: "jobs", to: "/" },
  { name: "Work ahead: sawing", kind: "room", also: "bars, rack, off-cuts, blanks", to: "/ahead/sawing" },
  { name: "Work ahead: days", kind: "room", also: "day plan, machines, due", to: "/ahead/days" },
  { name: "Shop", kind: "room", to: "/shop" },
  { name: "Handbook", kind: "room", to: "/handbook" },
  { name: "Words of the trade", kind: "handbook", to: "/handbook/words" },
];

const published: readonly Place[] = [
  ...sums.map((sum) => ({ name: sum.title, kind: "sum", also: sum.what, to: `/sums/${sum.id}` })),
  ...handbookTables.map((table) => ({
    name: table.title,
    kind: "table",
    also: `${table.what} ${table.source}`,
    to: `/handbook/tables/${table.id}`,
  })),
  ...operationCautions.map((group) => ({
    name: group.operation,
    kind: "cautions",
    also: group.cautions.join(" "),
    to: `/handbook/cautions#${group.id}`,
  })),
];

/** Everything that can be found from here: the open job first, then jobs, what is owned, and the handbook. */
export async function allPlaces(): Promise<Place[]> {
  const db = database();
  // What this browser keeps may not be readable: the handbook is found all the same.
  const [jobs, mine, own] = await Promise.all([
    listJobs(db).catch(() => []),
    loadMine(db).catch(() => emptyShop),
    loadOwn(db).catch(() => noOwnValues),
  ]);
  return [
    ...placesOfJob(),
    ...jobs.map((job) => ({
      name: job.name || "Unnamed job",
      kind: "job",
      also: job.sheet,
      to: `/jobs/${job.id}/drawing`,
    })),
    ...shopListNames.flatMap((list) =>
      mine[list].map((item) => ({
        name: item.name,
        kind: shopListWords[list].one,
        to: `/shop/${list}?item=${encodeURIComponent(item.id)}`,
      })),
    ),
    ...shopListNames.map((list) => ({ name: shopListWords[list].many, kind: "shop", to: `/shop/${list}` })),
    ...materialsWith(own).map((m) => ({
      name: m.name,
      kind: "material",
      also: m.behavior,
      to: `/handbook/materials/${m.id}`,
    })),
    ...published,
    ...rooms,
  ];
}
