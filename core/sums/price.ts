import { barsDrawing } from "../figure/index.ts";
import { notNegative, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { domesticPrice, importGoodsOnly, importPrice, netOf } from "./money.ts";
import { choice, number, type Sum } from "./sum.ts";

const money = (value: number) => quantity("money", value);

interface Priced {
  net: number;
  duty: number;
  tax: number;
  total: number;
}

/** What a purchase costs in the end: duty, tax, shipping; or what of a price is tax. */
export const priceSum: Sum = {
  id: "price",
  title: "Price with duty and tax",
  what: "What goods cost at the door: shipping, duty, tax; or what of a price with tax is net.",
  fields: [
    choice(
      "from",
      "Bought",
      [
        ["abroad", "abroad, duty on goods with transport"],
        ["goods", "abroad, duty on the goods alone"],
        ["home", "at home, price without tax"],
        ["gross", "at home, price with tax"],
      ],
      "abroad",
    ),
    number("goods", "Goods, all of them", "money", "80"),
    number("shipping", "Shipping", "money", "25"),
    number("duty", "Duty, percent; from abroad only", "ratio", "2.7"),
    number("tax", "Tax, percent", "ratio", "20"),
    number("handling", "Handling by the carrier", "money", "0"),
    number("discount", "Discount, percent", "ratio", "0"),
  ],
  work: ({ n, c }) => {
    const priced = pricedAs(c("from"), {
      goods: n("goods"),
      shipping: n("shipping"),
      duty: n("duty"),
      tax: n("tax"),
      handling: n("handling"),
      discount: n("discount"),
    });
    if (!priced)
      return refused(
        words("No price and no percent is below zero, and a discount is at most all of it."),
        words("Correct them."),
      );
    return done({
      drawing: barsDrawing("What the price is made of.", [
        { name: "net", amount: priced.net, stands: false },
        { name: "duty", amount: priced.duty, stands: true },
        { name: "tax", amount: priced.tax, stands: true },
        { name: "in all", amount: priced.total, stands: false },
      ]),
      figures: [
        { label: "at the door", value: money(priced.total) },
        { label: "without tax", value: money(priced.total - priced.tax) },
        { label: "duty", value: money(priced.duty) },
        { label: "tax", value: money(priced.tax) },
      ],
      working: {
        lines: [
          line("goods and what comes with them, net", money(priced.net)),
          line("duty", money(priced.duty)),
          line("tax", money(priced.tax)),
          line("at the door", money(priced.total), { sum: true }),
        ],
        notes: [
          words("Rules differ from country to country: low values may be free, carriers may tax their fee."),
        ],
      },
      warnings: [],
    });
  },
};

function pricedAs(
  from: string,
  {
    goods,
    shipping,
    duty: dutyPercent,
    tax: taxPercent,
    handling,
    discount,
  }: { goods: number; shipping: number; duty: number; tax: number; handling: number; discount: number },
): Priced | null {
  const less = goods * (1 - discount / 100);
  if (!notNegative(goods, shipping, dutyPercent, taxPercent, handling, discount) || discount > 100)
    return null;
  if (from === "abroad") {
    const price = importPrice({ goods: less, shipping, insurance: 0, dutyPercent, taxPercent, handling });
    return price && { net: less + shipping + handling, duty: price.duty, tax: price.tax, total: price.total };
  }
  // The carrier's fee comes last, without tax.
  if (from === "goods") {
    const price = importGoodsOnly(
      { goods: less, shipping, dutyPercent, taxPercent },
      { duty: true, shipping: true },
    );
    return (
      price && {
        net: less + shipping + handling,
        duty: price.duty,
        tax: price.tax,
        total: price.total + handling,
      }
    );
  }
  if (from === "gross") {
    const price = netOf(less + shipping, taxPercent);
    return price && { net: price.net + handling, duty: 0, tax: price.tax, total: less + shipping + handling };
  }
  const price = domesticPrice(goods, 1, discount, shipping, taxPercent);
  return price && { net: price.net + handling, duty: 0, tax: price.tax, total: price.gross + handling };
}
