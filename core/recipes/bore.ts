import { type Mm, mm, tidy } from "../quantity/index.ts";
import { cuttingDiameter, type Shop } from "../shop/index.ts";
import { note, rule, say, words } from "../working/index.ts";
import { drillWorks, type HoleAsked, toolWork } from "./drill-hole.ts";
import type { Measured, Work } from "./recipe.ts";

/** What a boring bar takes off the radius in one pass, mm; before the one that is measured, and at last (guess; domain.md 8). */
const roughing: Mm = 0.75;
const nearing: Mm = 0.2;
const lastPass: Mm = 0.1;
/** An end mill opens a drilled hole further where it is wider than the drill by this much, mm (guess). */
const worthPlunging: Mm = 4;

/** So far past the far side a boring bar goes, mm: its tip has to leave the metal. */
const comesOut: Mm = 1;

/** How deep what has no point goes: to the floor, or out at the far side. */
const outOf = ({ through, floor }: HoleAsked): Mm => (through ? tidy(floor + comesOut) : floor);

/** A hole opened for boring: how, and how wide it is then, mm. */
interface Opened {
  works: Work[];
  to: Mm;
}

/** The widest hole that drills and end mills make and that leaves something to bore. */
export function openedFor(asked: HoleAsked, bore: Mm, shop: Shop): Opened {
  const most = tidy(bore - 2 * (nearing + lastPass));
  const widest = (kinds: readonly string[], may: (c: Shop["cutters"][number]) => boolean) =>
    shop.cutters
      .filter((c) => kinds.includes(c.kind) && may(c) && cuttingDiameter(c) <= most + 1e-9)
      .map(cuttingDiameter)
      .sort((a, b) => b - a)[0];
  const drill = widest(["twistDrill"], () => true) ?? tidy(bore / 2);
  const drilled = drillWorks(asked, drill, { over: 0.01, under: 0.01 }, shop);
  const mill = widest(["endMill"], (c) => c.centerCutting && c.fluteLength >= outOf(asked) - asked.top);
  if (mill === undefined || mill < drill + worthPlunging) return { works: drilled, to: drill };
  return {
    works: [
      ...drilled,
      toolWork(
        asked,
        "open",
        say`Open it to ${mm(mill)}, straight down`,
        {
          by: "hole",
          kinds: ["endMill"],
          diameter: mill,
          over: 0.01,
          under: 0.01,
          wanted: say`An end mill ${mm(mill)} that cuts to the center`,
        },
        {
          floor: outOf(asked),
          notes: [
            note(
              words(
                "It follows the drilled hole and cuts with the rim of its end: quill or knee locked between, chips cleared.",
              ),
            ),
          ],
        },
      ),
    ],
    to: mill,
  };
}

/** Diameters a hole is bored to, one after the other: equal roughing passes, one that is measured, and the last; mm. */
export function boredTo(from: Mm, bore: Mm): Mm[] {
  const near = tidy(bore - 2 * lastPass);
  const rough = Math.max(0, tidy(near - 2 * nearing - from));
  const passes = Math.ceil(rough / (2 * roughing) - 1e-9);
  const roughed = Array.from({ length: passes }, (_, i) => tidy(from + ((i + 1) * rough) / passes));
  return [...roughed, near, bore];
}

/**
 * Bored from an opened hole: the head opened pass by pass, measured before the last, which is set by what was read.
 * @param aim the size of the hole; null where nothing is asked of it but its nominal
 */
export function boringWorks(
  asked: HoleAsked,
  bore: Mm,
  { opened, aim }: { opened: Opened; aim: Pick<Measured, "target" | "limits"> | null },
): Work[] {
  const target = aim?.target ?? bore;
  const sizes = boredTo(opened.to, target);
  return [
    ...opened.works,
    ...sizes.map((diameter, i): Work => {
      const last = i === sizes.length - 1;
      const measured = i === sizes.length - 2 && aim !== null;
      return toolWork(
        asked,
        last ? "bore" : `bore-${i + 1}`,
        say`Bore ${mm(diameter)}`,
        {
          by: "hole",
          kinds: ["boringHead"],
          diameter,
          over: 0,
          under: diameter,
          enters: sizes[i - 1] ?? opened.to,
          wanted: say`A boring head that goes into ${mm(opened.to)} and opens to ${mm(bore)}`,
        },
        {
          floor: outOf(asked),
          measure: measured
            ? { size: "diameter", name: words("the hole"), ...aim, before: true, grows: true }
            : null,
          notes:
            i === 0
              ? [
                  note(
                    rule(
                      "M49.boring",
                    )`Know whether the head's dial reads on the radius or the diameter, and come to every setting while opening: going back, go past it and come again.`,
                  ),
                ]
              : [],
        },
      );
    }),
  ];
}
