import { axesAcross } from "../../../frame/index.ts";
import { mm, quantity } from "../../../quantity/index.ts";
import { line } from "../../../working/index.ts";
import { threadPercent } from "../../thread.ts";
import { middleOn } from "../base.ts";
import type { Fact } from "../rules.ts";
import type { Site } from "../site.ts";
import { holeMiddles } from "./pattern.ts";
import { boreOf, headOf, threadOf } from "./screw.ts";
import type { Hole } from "./schema.ts";

/** More holes than this are a table of their own; the first ones are told. */
const toldHoles = 12;

/** What is worked from a hole: its tapping drill, its head, and where each hole of a pattern lies from the low edges. */
export function holeFacts(feature: Hole, site: Site): Fact[] {
  const thread = threadOf(feature);
  const bore = boreOf(feature);
  const head = headOf(feature);
  const at = middleOn(feature, site);
  const middles = at && feature.pattern !== "one" ? holeMiddles(feature, at, site) : null;
  const percent = thread && bore ? threadPercent(thread.diameter, thread.pitch, bore) : null;
  const [a, b] = axesAcross(feature.face);
  return [
    ...(thread && bore
      ? [
          {
            label: "tapping drill",
            value: mm(bore),
            working: {
              lines: [
                line(`usual drill of ${thread.name}`, mm(thread.drill), { source: "tables of threads" }),
                ...(percent
                  ? [
                      line("of a full thread", quantity("ratio", percent.full / 100), {
                        formula: "thread-percent" as const,
                        terms: [
                          ["D", mm(thread.diameter)],
                          ["P", mm(thread.pitch)],
                          ["drill", mm(bore)],
                        ] as [string, ReturnType<typeof mm>][],
                      }),
                    ]
                  : []),
              ],
            },
          },
        ]
      : []),
    ...(head && head !== "unfinished" && bore
      ? [
          {
            label: "hole",
            value: mm(bore),
            working: {
              lines: [
                line("hole", mm(bore), {
                  source: feature.sizes.diameter ? "the drawing" : "ISO 273, medium",
                }),
              ],
            },
          },
          {
            label: head.tapers ? "countersunk to" : "counterbored to",
            value: mm(head.diameter),
            working: {
              lines: [
                line("across", mm(head.diameter), {
                  source: feature.sizes.headDiameter
                    ? "the drawing"
                    : head.tapers
                      ? "twice the thread"
                      : "DIN 974-1",
                }),
                line("deep", mm(head.depth)),
              ],
            },
          },
        ]
      : []),
    ...(middles ?? []).slice(0, toldHoles).flatMap(([x, y], i) =>
      (
        [
          [a, x],
          [b, y],
        ] as const
      ).map(([axis, value]) => ({
        label: `hole ${i + 1}, ${axis}`,
        value: mm(value),
        decimals: 3,
        working: {
          lines: [
            line(`along the ${axis}, from its low edge`, mm(value), {
              decimals: 3,
              ...(feature.pattern === "circle" ? { formula: "bolt-circle" as const } : {}),
            }),
          ],
        },
      })),
    ),
  ];
}
