import { barsDrawing } from "../figure/index.ts";
import { count, quantity } from "../quantity/index.ts";
import { done, line, refused, words } from "../working/index.ts";
import { batchCost, breakEven, makeOrBuy } from "./money.ts";
import { number, type Sum } from "./sum.ts";

const money = (value: number) => quantity("money", value);

/** A batch made in the shop against bought, and from how many pieces on making pays. */
export const makeOrBuySum: Sum = {
  id: "make-or-buy",
  title: "Make or buy",
  what: "What a batch costs to make, what it costs to buy, and from how many pieces on making is cheaper.",
  fields: [
    number("quantity", "Pieces", "count", "10"),
    number("setup", "Setting up, minutes", "time", "45"),
    number("each", "Minutes a piece", "time", "12"),
    number("machine", "Machine, an hour", "money", "40"),
    number("labor", "Labor, an hour", "money", "0"),
    number("material", "Material a piece", "money", "3.5"),
    number("tools", "Tools for the batch", "money", "20"),
    number("price", "Bought, a piece", "money", "18"),
    number("shipping", "Shipping of the order", "money", "12"),
  ],
  work: ({ n }) => {
    const cost = batchCost({
      setup: n("setup"),
      each: n("each"),
      quantity: n("quantity"),
      machineRate: n("machine"),
      laborRate: n("labor"),
      materialEach: n("material"),
      tools: n("tools"),
    });
    const rate = (n("machine") + n("labor")) / 60;
    const make = { fixed: n("setup") * rate + n("tools"), each: n("each") * rate + n("material") };
    const both = makeOrBuy(n("quantity"), make, { each: n("price"), shipping: n("shipping") });
    const even = breakEven(Math.max(0, make.fixed - n("shipping")), make.each, n("price"));
    if (!cost || !both || !even)
      return refused(
        words("Pieces are a whole number from 1 on; no time and no money is below zero."),
        words("Correct them."),
      );
    return done({
      drawing: barsDrawing("What the batch costs made and bought.", [
        { name: "made", amount: both.make, stands: both.cheaper !== "buy" },
        { name: "bought", amount: both.buy, stands: both.cheaper === "buy" },
      ]),
      figures: [
        {
          label:
            both.cheaper === "equal"
              ? "both cost the same"
              : both.cheaper === "make"
                ? "making saves"
                : "buying saves",
          value: money(both.difference),
        },
        { label: "made, the batch", value: money(both.make) },
        { label: "made, a piece", value: money(cost.piece) },
        { label: "bought, with shipping", value: money(both.buy) },
        ...(even.from === null ? [] : [{ label: "making is cheaper from", value: count(even.from) }]),
      ],
      working: {
        lines: [
          line("time for the batch", quantity("time", cost.minutes)),
          line("fixed: setting up and tools", money(make.fixed)),
          line("each piece made: time and material", money(make.each)),
          line("made, the batch", money(both.make), { sum: true }),
          line("bought, with shipping", money(both.buy)),
        ],
        notes: [
          words(
            "Money is in your own currency. What the work is worth otherwise (waiting, learning, fun) is not in it.",
          ),
        ],
      },
      warnings: [],
    });
  },
};
