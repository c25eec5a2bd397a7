import { notNegative, positive } from "../quantity/index.ts";

/** Arithmetic of buying and making. Money is in the person's own currency; percents are of a hundred. */

/** What goods from abroad cost. */
export interface Imported {
  goods: number;
  shipping: number;
  insurance: number;
  dutyPercent: number;
  taxPercent: number;
  /** What the carrier takes for handling, added last and without tax. */
  handling: number;
}

/**
 * Price of imported goods: duty on goods with transport and insurance to the border, tax on that with the duty (most countries).
 * @returns null where something is below zero
 */
export function importPrice({ goods, shipping, insurance, dutyPercent, taxPercent, handling }: Imported) {
  if (!notNegative(goods, shipping, insurance, dutyPercent, taxPercent, handling)) return null;
  const customsValue = goods + shipping + insurance;
  const duty = (customsValue * dutyPercent) / 100;
  const tax = ((customsValue + duty) * taxPercent) / 100;
  const withoutTax = customsValue + duty + handling;
  return { customsValue, duty, tax, withoutTax, total: withoutTax + tax };
}

/**
 * Price where duty is on the goods alone (free-on-board countries).
 * @param taxed what the tax is on, besides the goods
 */
export function importGoodsOnly(
  { goods, shipping, dutyPercent, taxPercent }: Omit<Imported, "insurance" | "handling">,
  taxed: { duty: boolean; shipping: boolean },
) {
  if (!notNegative(goods, shipping, dutyPercent, taxPercent)) return null;
  const duty = (goods * dutyPercent) / 100;
  const tax = ((goods + (taxed.duty ? duty : 0) + (taxed.shipping ? shipping : 0)) * taxPercent) / 100;
  return { duty, tax, total: goods + shipping + duty + tax };
}

/** Price bought at home: discount on the goods, not on the shipping, then tax once on the sum. */
export function domesticPrice(
  unitPrice: number,
  quantity: number,
  discountPercent: number,
  shipping: number,
  taxPercent: number,
) {
  if (!notNegative(unitPrice, discountPercent, shipping, taxPercent) || !positive(quantity)) return null;
  if (discountPercent > 100) return null;
  const net = unitPrice * quantity * (1 - discountPercent / 100) + shipping;
  const tax = (net * taxPercent) / 100;
  return { net, tax, gross: net + tax };
}

/** What of a price with tax is net: divided by one and the rate, never the percent taken off. */
export function netOf(gross: number, taxPercent: number) {
  if (!notNegative(gross, taxPercent)) return null;
  const net = gross / (1 + taxPercent / 100);
  return { net, tax: gross - net };
}

/** What a batch costs to make: time at its rates, material and tools. Minutes, money an hour. */
export function batchCost(batch: {
  setup: number;
  each: number;
  quantity: number;
  machineRate: number;
  laborRate: number;
  materialEach: number;
  tools: number;
}) {
  const { setup, each, quantity, machineRate, laborRate, materialEach, tools } = batch;
  if (!notNegative(setup, each, machineRate, laborRate, materialEach, tools)) return null;
  if (!Number.isInteger(quantity) || quantity < 1) return null;
  const minutes = setup + each * quantity;
  const cost = (minutes / 60) * (machineRate + laborRate) + materialEach * quantity + tools;
  return { minutes, batch: cost, piece: cost / quantity };
}

/**
 * From how many pieces on making is cheaper than buying: what is fixed over what each saves.
 * @returns `exact` and `from` null where making each costs as much or more
 */
export function breakEven(fixed: number, makeEach: number, buyEach: number) {
  if (!notNegative(fixed, makeEach, buyEach)) return null;
  if (!(buyEach > makeEach)) return { exact: null, from: null };
  const exact = fixed / (buyEach - makeEach);
  // At the very number both cost the same: strictly cheaper is the next.
  return { exact, from: Math.floor(exact + 1e-9) + 1 };
}

/** A batch made against bought. */
export function makeOrBuy(
  quantity: number,
  make: { fixed: number; each: number },
  buy: { each: number; shipping: number },
) {
  if (!Number.isInteger(quantity) || quantity < 1) return null;
  if (!notNegative(make.fixed, make.each, buy.each, buy.shipping)) return null;
  const [made, bought] = [make.fixed + make.each * quantity, buy.each * quantity + buy.shipping];
  const cheaper =
    Math.abs(made - bought) < 1e-9
      ? ("equal" as const)
      : made < bought
        ? ("make" as const)
        : ("buy" as const);
  return { make: made, buy: bought, cheaper, difference: Math.abs(made - bought) };
}
