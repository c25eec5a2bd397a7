import { equipment, type Job, type PriceTerm } from "../job/index.ts";
import { type Minutes, quantity } from "../quantity/index.ts";
import { cutterOf, isFaceSetup, type Setup } from "../route/index.ts";
import { type Bar, claimedLength, type Shop } from "../shop/index.ts";
import { breakEven } from "../sums/index.ts";
import { line, say, words, type Working } from "../working/index.ts";
import { batchOrdersOf } from "./batch-order.ts";
import type { Plan } from "./plan.ts";

/** One term of what making costs, and how it comes about. */
export interface CostTerm {
  name: "material" | "machine" | "labor" | "cutters" | "tools";
  amount: number;
  working: Working;
}

export interface MakeCost {
  pieces: number;
  minutes: Minutes;
  terms: CostTerm[];
  total: number;
  /** What does not hang on the count, and what each piece adds. */
  fixed: number;
  each: number;
  /** What nobody entered: these count as nothing. */
  missing: CostTerm["name"][];
}

const money = (value: number) => quantity("money", value);
const time = (value: number) => quantity("time", value);
const sheet = (title: string, lines: Working["lines"], notes: string[] = []): Working => ({
  key: "",
  title: say`Working: ${title}`,
  lines,
  limits: [],
  notes: notes.map((n) => words(n)),
});

/** Minutes each cutter cuts in a piece. */
function cutterMinutes(setups: readonly Setup[]): Map<string, Minutes> {
  const found = new Map<string, Minutes>();
  for (const setup of setups)
    for (const operation of setup.operations) {
      const cutter = cutterOf(operation);
      if (cutter === null) continue;
      const cutting = isFaceSetup(setup)
        ? setup.minutes.cutting
        : "minutes" in operation
          ? operation.minutes.cutting
          : 0;
      found.set(cutter, (found.get(cutter) ?? 0) + cutting);
    }
  return found;
}

/** What of the rack is reserved for a job or was sawn for it, in money: what the meter costs today times what is taken. Null where no price is known. */
function reservedMaterial(jobId: string, rack: readonly Bar[]): { amount: number; working: Working } | null {
  const lines = rack.flatMap((bar) =>
    [...bar.claims, ...bar.sawn]
      .filter((claim) => claim.jobId === jobId && bar.price !== null)
      .map((claim) => ({ bar, amount: (claimedLength(claim) / 1000) * bar.price! })),
  );
  if (lines.length === 0) return null;
  const amount = lines.reduce((sum, l) => sum + l.amount, 0);
  return {
    amount,
    working: sheet("material", [
      ...lines.map((l) =>
        line(`reserved or sawn of ${l.bar.name}, at today's price a meter`, money(l.amount)),
      ),
      line("material", money(amount), { sum: true }),
    ]),
  };
}

/** What share of the hours is spent on something, and what an hour of it costs; null where nobody entered that. */
interface HourShare {
  what: string;
  share: number;
  rate: number | null;
}

/** The machines a piece goes over, by the minutes of its setups. */
function machineShares(job: Job, setups: readonly Setup[], shop: Shop): HourShare[] {
  const minutesOn = new Map<string, Minutes>();
  for (const { machine, minutes } of setups)
    minutesOn.set(machine, (minutesOn.get(machine) ?? 0) + minutes.cutting + minutes.handling);
  const all = [...minutesOn.values()].reduce((sum, m) => sum + m, 0);
  const { machine } = equipment(job, shop);
  if (all === 0) return [{ what: machine?.name ?? "the machine", share: 1, rate: machine?.rate ?? null }];
  return [...minutesOn].map(([id, minutes]) => {
    const on = shop.machines.find((m) => m.id === id);
    return { what: on?.name ?? "a machine that is gone", share: minutes / all, rate: on?.rate ?? null };
  });
}

/** An hour over all shares; null where one of them has no rate. */
const meanRate = (shares: readonly HourShare[]): number | null =>
  shares.reduce<number | null>(
    (sum, { share, rate }) => (sum === null || rate === null ? null : sum + share * rate),
    0,
  );

/** What making a batch costs by the plan, in its chosen order; every term with its working. */
export function makeCost(
  job: Job,
  made: Pick<Plan, "setups" | "steps" | "minutes">,
  shop: Shop,
  rack: readonly Bar[],
): MakeCost {
  const { quote } = job;
  const pieces = job.quantity + job.added;
  const orders = batchOrdersOf(made, pieces);
  const order = orders.find((o) => o.order === job.batch.order) ?? orders[0];
  const minutes = order?.minutes ?? 0;
  const missing: CostTerm["name"][] = [];
  const terms: CostTerm[] = [];
  const put = (name: CostTerm["name"], amount: number | null, working: Working) => {
    if (amount === null) missing.push(name);
    else terms.push({ name, amount, working });
  };
  const reserved = reservedMaterial(job.id, rack);
  const material = quote.material === null ? (reserved?.amount ?? null) : quote.material * pieces;
  put(
    "material",
    material,
    quote.material === null && reserved
      ? reserved.working
      : sheet("material", [
          line("a piece", money(quote.material ?? 0)),
          line("pieces", quantity("count", pieces)),
          line("material", money(material ?? 0), { sum: true }),
        ]),
  );
  const hourly = (name: "machine" | "labor", shares: readonly HourShare[]) => {
    const rate = meanRate(shares);
    put(
      name,
      rate === null ? null : (minutes / 60) * rate,
      sheet(name, [
        line("all pieces, in the order that is chosen", time(minutes)),
        ...shares.flatMap(({ what, share, rate }) => [
          ...(shares.length > 1 ? [line(`of that on ${what}`, time(share * minutes))] : []),
          line(`an hour of ${what}`, money(rate ?? 0)),
        ]),
        line(name, money((minutes / 60) * (rate ?? 0)), { sum: true }),
      ]),
    );
  };
  hourly("machine", machineShares(job, made.setups, shop));
  hourly("labor", [{ what: "a person", share: 1, rate: quote.labor }]);
  const wear = [...cutterMinutes(made.setups)].flatMap(([id, cut]) => {
    const cutter = shop.cutters.find((c) => c.id === id);
    return cutter && cutter.price !== null && cutter.life
      ? [{ cutter, cut, amount: ((cut * pieces) / cutter.life) * cutter.price }]
      : [];
  });
  const worn = wear.reduce((sum, w) => sum + w.amount, 0);
  put(
    "cutters",
    wear.length > 0 ? worn : null,
    sheet("cutters by their life", [
      ...wear.map((w) =>
        line(`${w.cutter.name}: minutes of all pieces over its life, times its price`, money(w.amount)),
      ),
      line("cutters", money(worn), { sum: true }),
    ]),
  );
  put(
    "tools",
    quote.tools,
    sheet("tools to buy", [line("for the job", money(quote.tools ?? 0), { sum: true })]),
  );
  const total = terms.reduce((sum, t) => sum + t.amount, 0);
  const fixed = quote.tools ?? 0;
  return {
    pieces,
    minutes,
    terms,
    total,
    fixed,
    each: pieces > 0 ? (total - fixed) / pieces : 0,
    missing,
  };
}

/** The least and the most of a term: with no most entered, or one below its least, the least is both. */
export const rangeOfTerm = ({ low, high }: Pick<PriceTerm, "low" | "high">): [number, number] => [
  low,
  Math.max(low, high),
];

/** A price as its terms leave it: what it was before, and after, at the least and the most. */
export interface PriceStep {
  term: PriceTerm | null;
  low: number;
  high: number;
}

/** From a sum to what is paid, term by term in their order; what is switched off counts nothing. */
export function priceChain(sum: number, terms: readonly PriceTerm[]): PriceStep[] {
  const steps: PriceStep[] = [{ term: null, low: sum, high: sum }];
  for (const term of terms) {
    if (!term.counts) continue;
    const { low, high } = steps.at(-1)!;
    const change = (now: number, by: number) => {
      const amount = term.what === "percent" ? (now * by) / 100 : by;
      return Math.max(0, term.off ? now - amount : now + amount);
    };
    // A discount at its most makes the least price.
    const [least, most] = rangeOfTerm(term);
    steps.push({
      term,
      low: change(low, term.off ? most : least),
      high: change(high, term.off ? least : most),
    });
  }
  return steps;
}

export interface BoughtCost {
  steps: PriceStep[];
  low: number;
  high: number;
}

/** What the pieces cost bought; null while no price is entered. */
export function boughtCost({ quote, quantity: pieces }: Pick<Job, "quote" | "quantity">): BoughtCost | null {
  if (quote.buy.each === null) return null;
  const steps = priceChain(
    quote.buy.each * pieces,
    quote.terms.order.flatMap((id) => quote.terms.byId[id] ?? []),
  );
  const { low, high } = steps.at(-1)!;
  return { steps, low, high };
}

/** Making against buying. */
export interface MakeOrBuyFound {
  cheaper: "make" | "buy" | "either";
  /** How much cheaper, at the least and the most; 0 at the least where the ranges overlap. */
  saves: { low: number; high: number };
  /** The term of making that is the largest: what it comes to decides. */
  decides: CostTerm | null;
  /** Hours at which making costs as much as buying, at the least and the most price; null without a rate. */
  hours: { low: number; high: number; working: Working } | null;
  /** From how many pieces on making is cheaper; null where it never is. */
  from: number | null;
}

export function makeOrBuyOf(
  job: Job,
  make: MakeCost,
  buy: BoughtCost,
  own: { rate: number | null },
): MakeOrBuyFound {
  const [low, high] = [buy.low - make.total, buy.high - make.total];
  const cheaper = low > 0 ? "make" : high < 0 ? "buy" : "either";
  const hourly = make.terms.filter((t) => t.name === "machine" || t.name === "labor");
  const other = make.total - hourly.reduce((sum, t) => sum + t.amount, 0);
  const at = (price: number) => Math.max(0, price - other) / own.rate!;
  const each = job.quantity > 0 ? buy.low / job.quantity : 0;
  return {
    cheaper,
    saves:
      cheaper === "either"
        ? { low: 0, high: Math.max(Math.abs(low), Math.abs(high)) }
        : { low: Math.min(Math.abs(low), Math.abs(high)), high: Math.max(Math.abs(low), Math.abs(high)) },
    decides: make.terms.length > 0 ? make.terms.reduce((a, b) => (b.amount > a.amount ? b : a)) : null,
    hours: own.rate
      ? { low: at(buy.low), high: at(buy.high), working: hoursWorking(buy, other, own.rate, at) }
      : null,
    from: breakEven(make.fixed, make.each, each)?.from ?? null,
  };
}

/** How many hours a price pays for. @param other what making costs besides hours @param at the hours of a price */
const hoursWorking = (buy: BoughtCost, other: number, rate: number, at: (price: number) => number): Working =>
  sheet("hours that making may take", [
    line("bought, at least", money(buy.low)),
    line("less what making costs besides hours", money(other)),
    line("an hour here: machine and person", money(rate)),
    line("hours at which both cost the same, at least", time(at(buy.low) * 60), { sum: true }),
    ...(buy.high > buy.low ? [line("at the most price", time(at(buy.high) * 60), { sum: true })] : []),
  ]);

/** What an hour costs here: the machines and a person, as far as they are entered; null where neither is. */
export function hourlyRate(job: Job, setups: readonly Setup[], shop: Shop): number | null {
  const rates = [meanRate(machineShares(job, setups, shop)), job.quote.labor].filter((r) => r !== null);
  return rates.length > 0 ? rates.reduce((sum, r) => sum + r, 0) : null;
}
