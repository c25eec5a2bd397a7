/** Blanks sawn from bars with the least of them opened: a cutting stock of one dimension. All mm. */

export interface BarToCut {
  id: string;
  /** What of it may be used. */
  length: number;
}

export interface BlankToCut {
  id: string;
  /** Saw length, facing and all, without the kerf. */
  length: number;
}

/** A bar with what is sawn from it, in order from its end. */
export interface CutBar {
  bar: BarToCut;
  blanks: BlankToCut[];
  /** What is left of it after the last cut; 0 where less than a kerf was. */
  drop: number;
}

export interface Nesting {
  cut: CutBar[];
  /** Blanks for which no bar was left. */
  missing: BlankToCut[];
  /** Length of the bars that are opened, and the least that can be opened: what stands between is what search left undecided. */
  opened: number;
  bound: number;
}

/** Work after which a search for one set of bars is given up, in tries. */
const triesEach = 60_000;
/** Tries in all: about half a second. */
const triesInAll = 1_500_000;
/** Sets of bars are counted out one by one up to this many bars. */
const mostCounted = 16;
const slack = 1e-6;

/**
 * Nests blanks into bars. The bars opened together are as short as can be; exactly so where `opened` equals `bound`.
 * Every blank takes its length and a kerf, but the last of a bar that is used up to its end.
 * @param bars what may be used; a bar of no length is left out
 * @param kerf what the saw takes, 0 or more
 * @param trim what is sawn off the end of each bar first, to have it square
 */
export function nest(
  bars: readonly BarToCut[],
  blanks: readonly BlankToCut[],
  kerf: number,
  trim = 0,
): Nesting {
  // One kerf more on the bar lets every blank carry its own.
  const room = bars
    .map((bar) => ({ bar, room: bar.length - (trim > 0 ? trim + kerf : 0) + kerf }))
    .filter((b) => b.room > kerf + slack);
  const items = blanks
    .map((blank) => ({ blank, takes: blank.length + kerf }))
    .sort((a, b) => b.takes - a.takes);
  const longest = Math.max(0, ...room.map((b) => b.room));
  const fits = items.filter((i) => i.takes <= longest + slack);
  const missing = items.filter((i) => i.takes > longest + slack).map((i) => i.blank);
  if (fits.length === 0) return { cut: [], missing, opened: 0, bound: 0 };

  const quick = quickest(room, fits);
  const wanted = fits.reduce((sum, i) => sum + i.takes, 0);
  const best =
    quick.left.length > 0 || room.length > mostCounted
      ? { packed: quick.packed, bound: leastSum(room, wanted, mostCounted) }
      : search(room, fits, wanted, quick.packed);
  const opened = openedBy(best.packed);
  return {
    cut: best.packed.map(({ of, items: inside }) => {
      const taken = inside.reduce((sum, i) => sum + i.takes, 0);
      const drop = of.room - kerf - taken;
      return { bar: of.bar, blanks: inside.map((i) => i.blank), drop: drop > slack ? drop : 0 };
    }),
    missing: [...missing, ...quick.left.map((i) => i.blank)],
    opened,
    bound: quick.left.length > 0 ? opened : Math.min(opened, best.bound),
  };
}

interface Room {
  bar: BarToCut;
  room: number;
}
interface Item {
  blank: BlankToCut;
  takes: number;
}
interface Packed {
  of: Room;
  items: Item[];
}

const openedBy = (packed: readonly Packed[]): number => packed.reduce((sum, p) => sum + p.of.bar.length, 0);

/** The items that fill a room best, the longest first: the best found within so many tries. */
function fullest(room: number, items: readonly Item[], tries: number): Item[] {
  // What the items from here on make together at most.
  const rest = new Float64Array(items.length + 1);
  for (let i = items.length - 1; i >= 0; i--) rest[i] = rest[i + 1]! + items[i]!.takes;
  let best: number[] = [];
  let most = -1;
  let left = tries;
  const chosen: number[] = [];
  const look = (from: number, used: number): boolean => {
    if (used > most + slack) {
      most = used;
      best = [...chosen];
    }
    if (most >= room - slack || left <= 0) return true;
    for (let i = from; i < items.length; i++) {
      if (used + rest[i]! <= most + slack) return false;
      const takes = items[i]!.takes;
      if (used + takes > room + slack) continue;
      // Of several alike the first is tried.
      if (i > from && Math.abs(items[i - 1]!.takes - takes) < slack) continue;
      left--;
      chosen.push(i);
      if (look(i + 1, used + takes)) return true;
      chosen.pop();
    }
    return false;
  };
  look(0, 0);
  return best.map((i) => items[i]!);
}

/** Bars filled one after the other, each as full as it goes; of several orders of the bars the one that opens least. */
function quickest(rooms: readonly Room[], items: readonly Item[]): { packed: Packed[]; left: Item[] } {
  const orders = [
    [...rooms].sort((a, b) => a.room - b.room),
    [...rooms].sort((a, b) => b.room - a.room),
    null,
  ];
  const made = orders.map((order) => filled(rooms, order, items));
  const missed = (left: readonly Item[]) => left.reduce((sum, i) => sum + i.takes, 0);
  return made.reduce((best, next) =>
    missed(next.left) < missed(best.left) - slack ||
    (missed(next.left) <= missed(best.left) + slack && openedBy(next.packed) < openedBy(best.packed) - slack)
      ? next
      : best,
  );
}

/** Fills bars in an order, or, with none, always the bar that is filled with the least left over. */
function filled(rooms: readonly Room[], order: readonly Room[] | null, items: readonly Item[]) {
  let left = [...items];
  let open = [...(order ?? rooms)];
  const packed: Packed[] = [];
  while (left.length > 0 && open.length > 0) {
    const tried = (order ? open.slice(0, 1) : open).map((of) => ({
      of,
      items: fullest(of.room, left, triesEach / 20),
    }));
    const wasted = ({ of, items: inside }: Packed) =>
      inside.length === 0 ? Infinity : of.room - inside.reduce((sum, i) => sum + i.takes, 0);
    const best = tried.reduce((a, b) => (wasted(b) < wasted(a) ? b : a));
    open = open.filter((of) => of !== best.of);
    if (best.items.length === 0) {
      // Nothing goes into any of them.
      if (!order) break;
      continue;
    }
    packed.push(best);
    left = left.filter((i) => !best.items.includes(i));
  }
  // The last bar opened holds the drop: a shorter one that was not opened may hold the same.
  return { packed: packed.map((p) => shorter(p, open)), left };
}

function shorter(packed: Packed, free: Room[]): Packed {
  const taken = packed.items.reduce((sum, i) => sum + i.takes, 0);
  const other = free
    .filter((of) => of.room >= taken - slack && of.bar.length < packed.of.bar.length - slack)
    .sort((a, b) => a.room - b.room)[0];
  if (!other) return packed;
  free.splice(free.indexOf(other), 1, packed.of);
  return { of: other, items: packed.items };
}

/** The least length of bars that holds what is wanted, by length alone: nothing can open less. */
function leastSum(rooms: readonly Room[], wanted: number, most: number): number {
  if (rooms.length > most) {
    // With many bars: one bar's length for all it holds, the best of them; no set opens less.
    const share = Math.min(...rooms.map((r) => r.bar.length / r.room));
    return wanted * share;
  }
  return setsOf(rooms, wanted)[0]?.length ?? Infinity;
}

/** Sets of bars that hold what is wanted by length alone, the shortest first. */
function setsOf(rooms: readonly Room[], wanted: number): { length: number; of: Room[] }[] {
  const sorted = [...rooms].sort((a, b) => a.room - b.room);
  const sets: { length: number; mask: number }[] = [];
  for (let mask = 1; mask < 2 ** sorted.length; mask++) {
    let [length, room] = [0, 0];
    for (let i = 0; i < sorted.length; i++)
      if (mask & (1 << i)) {
        length += sorted[i]!.bar.length;
        room += sorted[i]!.room;
      }
    if (room >= wanted - slack) sets.push({ length, mask });
  }
  sets.sort((a, b) => a.length - b.length);
  return sets.map(({ length, mask }) => ({ length, of: sorted.filter((_, i) => mask & (1 << i)) }));
}

/** Tries the sets of bars from the shortest on, until one holds all. The bound is the first that was not proved too short. */
function search(
  rooms: readonly Room[],
  items: readonly Item[],
  wanted: number,
  quick: Packed[],
): { packed: Packed[]; bound: number } {
  let best = quick;
  let bound: number | null = null;
  let tries = triesInAll;
  const seen = new Set<string>();
  for (const { length, of } of setsOf(rooms, wanted)) {
    if (length >= openedBy(best) - slack) break;
    const alike = of.map((r) => r.room.toFixed(4)).join();
    if (seen.has(alike)) continue;
    seen.add(alike);
    if (tries <= 0) {
      bound ??= length;
      break;
    }
    const budget = { left: Math.min(triesEach, tries) };
    const before = budget.left;
    const packed = packInto(of, items, budget);
    tries -= before - budget.left;
    if (packed) {
      best = packed;
      break;
    }
    if (budget.left <= 0) bound ??= length;
  }
  return { packed: best, bound: bound ?? openedBy(best) };
}

/** Packs all items into all of the bars; null where it cannot be, or where the tries ran out (then none are left). */
function packInto(rooms: readonly Room[], items: readonly Item[], budget: { left: number }): Packed[] | null {
  const spare = rooms.reduce((sum, r) => sum + r.room, 0) - items.reduce((sum, i) => sum + i.takes, 0);
  const fill = (at: number, left: readonly Item[], wasted: number): Packed[] | null => {
    const of = rooms[at];
    if (!of) return left.length === 0 ? [] : null;
    // The rest of the bars must hold the longest that is left.
    let found: Packed[] | null = null;
    const chosen: Item[] = [];
    const look = (from: number, used: number): boolean => {
      if (--budget.left <= 0) return true;
      const over = of.room - used;
      if (wasted + over <= spare + slack) {
        const others = left.filter((i) => !chosen.includes(i));
        const rest = fill(at + 1, others, wasted + over);
        if (rest) {
          found = [{ of, items: [...chosen] }, ...rest];
          return true;
        }
        if (budget.left <= 0) return true;
      }
      for (let i = from; i < left.length; i++) {
        const item = left[i]!;
        if (used + item.takes > of.room + slack) continue;
        if (i > from && Math.abs(left[i - 1]!.takes - item.takes) < slack) continue;
        chosen.push(item);
        if (look(i + 1, used + item.takes)) return true;
        chosen.pop();
      }
      return false;
    };
    look(0, 0);
    return found;
  };
  return fill(0, items, 0);
}
