import { quantity } from "../quantity/index.ts";
import type { Figure, Shape } from "./figure.ts";
import { box, label, seen, sketch, told } from "./sum-shapes.ts";

/** Amounts of money as bars, one above the other, each with its name. */
export function barsDrawing(
  title: string,
  bars: readonly { name: string; amount: number; stands: boolean }[],
): Figure {
  const most = Math.max(...bars.map((b) => b.amount), 1e-9);
  return sketch(
    title,
    14 + bars.length * 13,
    bars.flatMap(({ name, amount, stands }, i): Shape[] => {
      const y = 8 + i * 13;
      const wide = 44 * seen(amount / most, 0.01, 1);
      return [
        label(30, y + 5.6, name, 3.8, "end"),
        box(32, y, wide, 8, stands ? "remove" : "part"),
        told([32 + wide, y + 6.2], quantity("money", amount), "right", 4.2),
      ];
    }),
  );
}
