import { trialsDrawing } from "../../figure/index.ts";
import { mm, type Mm, tidy } from "../../quantity/index.ts";
import { checkLasts } from "../../shop/index.ts";
import { done, line, note, refused, rule, say, warn, words } from "../../working/index.ts";
import type { Entered } from "../entered.ts";
import { number, type Sum } from "../sum.ts";
import { keeps } from "./keeps.ts";
import { meanOf, per100, rangeOf, trialsOf } from "./trials.ts";

/** Places along the jaw that are read, evenly spread from its left end to its right. */
const places = ["p1", "p2", "p3", "p4", "p5"] as const;
const placeWords = [
  "At the left end",
  "At a quarter",
  "In the middle",
  "At three quarters",
  "At the right end",
];

/** The profile of the jaw between its places, by straight lines. @param at share of the jaw from its left, 0 to 1 */
function profileAt(read: readonly Mm[], at: number): Mm {
  const step = Math.min(read.length - 2, Math.floor(at * (read.length - 1)));
  const share = at * (read.length - 1) - step;
  return read[step]! + share * (read[step + 1]! - read[step]!);
}

/** How a part sits on a stretch of the jaw: turned by its ends, hollow or bulging between them; mm. */
interface SeatOnJaw {
  where: string;
  turned: Mm;
  wave: Mm;
}

/** Seats at the left, in the middle and at the right, for a part that covers a share of the jaw. */
function seatsOn(read: readonly Mm[], share: number): SeatOnJaw[] {
  const seats = [
    ["at the left", 0],
    ["in the middle", (1 - share) / 2],
    ["at the right", 1 - share],
  ] as const;
  return seats.map(([where, from]) => {
    const [a, b] = [profileAt(read, from), profileAt(read, from + share)];
    const between = places.map((_, i) => i / (places.length - 1)).filter((t) => t > from && t < from + share);
    const off = between.map((t) => profileAt(read, t) - (a + ((b - a) * (t - from)) / share));
    return { where, turned: tidy(b - a), wave: tidy(Math.max(0, ...off) - Math.min(0, ...off)) };
  });
}

/** The slope of the line that fits the places best, over the whole jaw. */
function rise(read: readonly Mm[]): Mm {
  const middle = meanOf(read);
  const [up, down] = read.reduce<[number, number]>(
    ([sum, squares], v, i) => {
      const x = i / (read.length - 1) - 0.5;
      return [sum + x * (v - middle), squares + x * x];
    },
    [0, 0],
  );
  return tidy(up / down);
}

const profileOf = (n: Entered["n"]): Mm[] => places.map((key) => n(key));

export const checkJawProfile: Sum = {
  id: "check-jaw-profile",
  title: "Profile of the fixed jaw",
  what: "An indicator at five places along the fixed jaw: how it runs, where it is hollow, and where a part sits truest.",
  fields: [
    ...places.map((key, i) =>
      number(
        key,
        placeWords[i]!,
        "chip",
        { mm: ["0", "0.01", "0.015", "0.01", "0"][i]!, in: ["0", "0.0004", "0.0006", "0.0004", "0"][i]! },
        { signed: true },
      ),
    ),
    number("jaw", "First to last place", "length", { mm: "120", in: "5" }),
    number("part", "Part along the jaw", "length", { mm: "60", in: "2.5" }),
  ],
  work: ({ n }) => {
    if (!(n("jaw") > 0) || !(n("part") > 0) || n("part") > n("jaw"))
      return refused(
        words("The part must lie within the places that were read."),
        words("Correct the lengths, or read further out."),
      );
    const read = profileOf(n);
    const seats = seatsOn(read, n("part") / n("jaw"));
    const score = (seat: SeatOnJaw) => Math.abs(seat.turned) + seat.wave;
    // The middle wins where another place gains nothing: the moving jaw cocks beside it.
    const best = [seats[1]!, seats[0]!, seats[2]!].reduce((a, b) => (score(b) < score(a) - 1e-9 ? b : a));
    return done({
      drawing: trialsDrawing("The fixed jaw, from its left end to its right.", read, meanOf(read)),
      figures: [
        { label: "out of line over 100 mm", value: mm(per100(rise(read), n("jaw"))), decimals: 3 },
        { label: "highest less lowest", value: mm(rangeOf(read)), decimals: 3 },
        { label: `a part ${best.where} is turned by`, value: mm(Math.abs(best.turned)), decimals: 3 },
        { label: "and stands off the jaw by", value: mm(best.wave), decimals: 3 },
      ],
      working: {
        lines: [
          line("slope of the line that fits best, over the jaw", mm(rise(read)), { decimals: 3, sum: true }),
          ...seats.flatMap(({ where, turned, wave }) => [
            line(say`${where}: one end of the part against the other`, mm(turned), { decimals: 3 }),
            line(say`${where}: hollow or bulge between`, mm(wave), { decimals: 3 }),
          ]),
        ],
        notes: [words("A hollow jaw is filled by the pull; a bulge turns the part whichever end is pulled.")],
      },
      warnings: [
        note(
          best.where === "in the middle"
            ? rule("jaw.middle")`It sits truest in the middle.`
            : rule(
                "jaw.aside",
              )`It sits truest ${best.where}, but there the moving jaw cocks: put a spacer as thick as the part at the other side.`,
        ),
      ],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-jaw-profile"],
    found: ({ n }) => tidy(rangeOf(profileOf(n))),
    into: (vise, { n }) => ({ ...vise, jawLine: per100(rise(profileOf(n)), n("jaw")) }),
  }),
};

/** Seats on the jaw tops that differ by more are no seat, mm (guess). */
const levelEnough: Mm = 0.02;

const tops = ["fixedLeft", "fixedRight", "movingLeft", "movingRight"] as const;

export const checkJawTops: Sum = {
  id: "check-jaw-tops",
  title: "Tops of the jaws",
  what: "An indicator over the tops of both jaws, before a part is laid on them: how level they are, tightened as in work.",
  fields: tops.map((key, i) =>
    number(
      key,
      ["Fixed jaw, left", "Fixed jaw, right", "Moving jaw, left", "Moving jaw, right"][i]!,
      "chip",
      { mm: ["0", "0.005", "0.02", "0.02"][i]!, in: ["0", "0.0002", "0.0008", "0.0008"][i]! },
      { signed: true },
    ),
  ),
  work: ({ n }) => {
    const read = tops.map((key) => n(key));
    const step = (n("movingLeft") + n("movingRight") - n("fixedLeft") - n("fixedRight")) / 2;
    const range = rangeOf(read);
    return done({
      drawing: trialsDrawing("Tops of the jaws: fixed left and right, moving left and right.", read, 0),
      figures: [
        { label: "highest less lowest", value: mm(range), decimals: 3 },
        { label: "moving jaw higher by", value: mm(tidy(step)), decimals: 3 },
      ],
      working: {
        lines: [
          ...tops.map((key, i) => line(say`place ${String(i + 1)}`, mm(n(key)), { decimals: 3 })),
          line("mean of the moving jaw less that of the fixed", mm(tidy(step)), { decimals: 3, sum: true }),
        ],
        notes: [words("Stone burrs off first. A part on the tops lies as they lie: it is a face, no proof.")],
      },
      warnings:
        range > levelEnough
          ? [
              warn(
                rule(
                  "jaw.tops",
                )`${mm(range)} is too much for a seat: lay parallels across both tops on shim, or skim the tops in place.`,
              ),
            ]
          : [],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-jaw-tops"],
    found: ({ n }) => tidy(rangeOf(tops.map((key) => n(key)))),
    into: (vise) => vise,
  }),
};

const liftOver10 = (n: Entered["n"]): Mm => tidy((meanOf(trialsOf(n)) / n("above")) * 10);

export const checkJawLift: Sum = {
  id: "check-jaw-lift",
  title: "Lift of the moving jaw",
  what: "An indicator on a part gripped high in the jaws, zeroed before the last turn of the handle: how far tightening lifts it.",
  fields: [
    number("first", "Lifted by, first pull", "chip", { mm: "0.02", in: "0.0008" }, { signed: true }),
    number("second", "second pull", "chip", { mm: "0.03", in: "0.0012" }, { signed: true, mayBeEmpty: true }),
    number("third", "third pull", "chip", { mm: "0.02", in: "0.0008" }, { signed: true, mayBeEmpty: true }),
    number("above", "Grip above the middle of the jaw", "length", { mm: "10", in: "0.4" }),
  ],
  work: ({ n }) => {
    if (!(n("above") > 0))
      return refused(
        words("The part must be gripped above the middle of the jaw."),
        words("Put it on tall parallels, measure from the middle of the jaw to the middle of the grip."),
      );
    const read = trialsOf(n);
    return done({
      drawing: trialsDrawing("How far the part lifts, pull by pull.", read, 0),
      figures: [
        { label: "it lifts", value: mm(meanOf(read)), decimals: 3 },
        { label: "for each 10 mm above the middle", value: mm(liftOver10(n)), decimals: 3 },
      ],
      working: {
        lines: [
          ...read.map((v, i) => line(say`pull ${i + 1}`, mm(v), { decimals: 3 })),
          line("their mean", mm(meanOf(read)), { decimals: 3, sum: true }),
          line("grip above the middle of the jaw", mm(n("above"))),
          line("for each 10 mm of that", mm(liftOver10(n)), { decimals: 3, sum: true }),
        ],
        notes: [words("Tap it down after tightening, and grip low: then it hardly lifts.")],
      },
      warnings: [],
    });
  },
  keeps: keeps("vises", {
    lasts: checkLasts["check-jaw-lift"],
    found: ({ n }) => meanOf(trialsOf(n)),
    into: (vise, { n }) => ({ ...vise, jawLift: Math.abs(liftOver10(n)) }),
  }),
};
