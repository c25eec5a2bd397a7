import {
  batchCost,
  breakEven,
  domesticPrice,
  importGoodsOnly,
  importPrice,
  makeOrBuy,
  netOf,
} from "../../core/sums/money.ts";
import { type Answers, refuse } from "./answers.ts";

const ask: Answers = {
  import: (i) => {
    const price = importPrice({
      goods: i.goods_eur,
      shipping: i.shipping_eur,
      insurance: i.insurance_eur,
      dutyPercent: i.duty_percent,
      taxPercent: i.vat_percent,
      handling: i.handling_fee_eur,
    });
    return price
      ? {
          customs_value_eur: price.customsValue,
          duty_eur: price.duty,
          vat_eur: price.tax,
          total_eur: price.total,
          total_without_vat_eur: price.withoutTax,
        }
      : refuse;
  },
  import_goods_only: (i) => {
    const base = String(i.vat_base);
    const price = importGoodsOnly(
      { goods: i.goods, shipping: i.shipping, dutyPercent: i.duty_percent, taxPercent: i.vat_percent },
      { duty: base.includes("duty"), shipping: base.includes("shipping") },
    );
    return price ? { duty: price.duty, vat: price.tax, total: price.total } : refuse;
  },
  domestic: (i) => {
    const price = domesticPrice(
      i.unit_price_net_eur,
      i.quantity,
      i.discount_percent,
      i.shipping_net_eur,
      i.vat_percent,
    );
    return price ? { net_eur: price.net, vat_eur: price.tax, gross_eur: price.gross } : refuse;
  },
  gross_to_net: (i) => {
    const of = netOf(i.gross_eur, i.vat_percent);
    return of ? { net_eur: of.net, vat_eur: of.tax } : refuse;
  },
  machine_time: (i) => {
    const cost = batchCost({
      setup: i.setup_min,
      each: i.minutes_per_piece,
      quantity: i.quantity,
      machineRate: i.machine_rate_eur_h,
      laborRate: i.labour_rate_eur_h,
      materialEach: i.material_eur_piece,
      tools: i.tools_eur_batch,
    });
    return cost ? { total_minutes: cost.minutes, batch_eur: cost.batch, per_piece_eur: cost.piece } : refuse;
  },
  break_even: (i) => {
    const found = breakEven(i.fixed_eur, i.make_each_eur, i.buy_each_eur);
    return found ? { make_cheaper_from_quantity: found.from, break_even_exact: found.exact } : refuse;
  },
  compare: (i) => {
    const both = makeOrBuy(
      i.quantity,
      { fixed: i.make_fixed_eur, each: i.make_each_eur },
      { each: i.buy_each_eur, shipping: i.buy_shipping_eur },
    );
    return both
      ? { make_eur: both.make, buy_eur: both.buy, cheaper: both.cheaper, difference_eur: both.difference }
      : refuse;
  },
};

export const answers: Answers = { ...ask, refuse: (inputs) => ask[inputs.for as string]?.(inputs) ?? refuse };
