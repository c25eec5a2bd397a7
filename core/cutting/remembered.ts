import type { Cutter } from "../shop/index.ts";
import type { Outcome } from "../working/index.ts";
import { type Cut, cutWith } from "./cut.ts";
import type { CutPlace } from "./ready.ts";
import type { CutTask } from "./task.ts";

/** Cuts kept of one cutter in one place; more are not asked for again soon. */
const most = 400;

type Kept = Map<string, Outcome<Cut>>;
type ByMaterial = WeakMap<CutPlace["material"], WeakMap<Cutter, Kept>>;
const places = new WeakMap<CutPlace["shop"], WeakMap<CutPlace["machine"], ByMaterial>>();
const texts = new WeakMap<CutTask, string>();

function kept<K extends object, V>(of: WeakMap<K, V>, key: K, make: () => V): V {
  const known = of.get(key);
  if (known !== undefined) return known;
  const made = make();
  of.set(key, made);
  return made;
}

/**
 * The cut of a task by a cutter, worked once for the same task, cutter, machine, material and shop: a tick at the machine plans
 * anew, but most of its cuts are those of the plan before. What is given is shared: it is not to be changed.
 */
export function rememberedCut(task: CutTask, cutter: Cutter, place: CutPlace): Outcome<Cut> {
  const byMachine = kept(places, place.shop, () => new WeakMap<CutPlace["machine"], ByMaterial>());
  const byMaterial = kept(byMachine, place.machine, (): ByMaterial => new WeakMap());
  const byCutter = kept(byMaterial, place.material, () => new WeakMap<Cutter, Kept>());
  const cuts = kept(byCutter, cutter, (): Kept => new Map());
  const key = kept(texts, task, () => JSON.stringify(task));
  const known = cuts.get(key);
  if (known) return known;
  if (cuts.size >= most) cuts.clear();
  const made = cutWith(task, cutter, place);
  cuts.set(key, made);
  return made;
}
