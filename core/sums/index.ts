import { dimpleSum } from "./dimple.ts";
import { divisionsSum } from "./divisions.ts";
import { edgesSum } from "./edges.ts";
import { fromBarSum } from "./from-bar.ts";
import { hollowSum } from "./hollow.ts";
import { inCornerSum } from "./in-corner.ts";
import { intoRadiusSum } from "./into-radius.ts";
import { landSum } from "./land.ts";
import { radialStepSum } from "./radial-step.ts";
import { sawBladeSum } from "./saw-blade.ts";
import { spigotSum } from "./spigot.ts";
import { stackSum } from "./stack.ts";
import { suitsSum } from "./suits.ts";
import { wallsSum } from "./walls.ts";
import { arcStepsSum } from "./arc-steps.ts";
import { bossSum } from "./boss.ts";
import { centerSum } from "./center.ts";
import { combinedZSum } from "./combined-z.ts";
import { dialSum } from "./dial.ts";
import { pocketSum } from "./pocket.ts";
import { slopeSum } from "./slope.ts";
import { slotSum } from "./slot.ts";
import { touchOffSum } from "./touch-off.ts";
import { blueSum } from "./blue.ts";
import { boltCircleSum } from "./bolt-circle.ts";
import { checkPull, checkReadout, checkSlack, checkTram } from "./checks/check-machine.ts";
import { checkInstrument, checkParallels, checkRunOut, checkWidth } from "./checks/check-tools.ts";
import { checkJawLift, checkJawProfile, checkJawTops } from "./checks/check-jaws.ts";
import { visePull } from "./checks/vise-pull.ts";
import { checkBed, checkJawLine, checkJawUpright, checkStretch } from "./checks/check-vise.ts";
import { indicatorRun } from "./checks/indicator-run.ts";
import { chordSum } from "./chord.ts";
import { dovetailSum } from "./dovetail.ts";
import { fitSum } from "./fit.ts";
import { fractionSum } from "./fraction.ts";
import { keySum } from "./key.ts";
import { reversalSum } from "./reversal.ts";
import { sineSum } from "./sine.ts";
import { threadSum } from "./thread.ts";
import { vGrooveSum } from "./v-groove.ts";
import { woodruffSum } from "./woodruff.ts";
import { bendingSum } from "./bending.ts";
import { chipThickness } from "./chip-thickness.ts";
import { finishSum } from "./finish.ts";
import { grindingSum } from "./grinding.ts";
import { howTrueSum } from "./how-true.ts";
import { jacksSum } from "./jacks.ts";
import { liftedSum } from "./lifted.ts";
import { playSum } from "./play.ts";
import { sidesSum } from "./sides.ts";
import { handwheel } from "./handwheel.ts";
import { makeOrBuySum } from "./make-or-buy.ts";
import { priceSum } from "./price.ts";
import { passesSum } from "./passes.ts";
import { power } from "./power.ts";
import { speedFeed } from "./speed-feed.ts";
import type { Sum } from "./sum.ts";
import { strapSum } from "./strap.ts";
import { tiltSum } from "./tilt.ts";
import { viseSum } from "./vise.ts";
import { weightSum } from "./weight.ts";
import { twoHolesSum } from "./two-holes.ts";
import { ladderSum } from "./ladder.ts";
import { plungesSum } from "./plunges.ts";
import { keyInHandSum } from "./key-in-hand.ts";

/** Every sum, by what it is about, in the order of their doors. */
export const sumGroups: readonly (readonly [about: string, sums: readonly Sum[]])[] = [
  [
    "Cutting",
    [
      speedFeed,
      suitsSum,
      chipThickness,
      power,
      bendingSum,
      handwheel,
      passesSum,
      finishSum,
      inCornerSum,
      dimpleSum,
    ],
  ],
  ["Holding", [viseSum, strapSum, weightSum]],
  ["Bars and sawing", [fromBarSum, sawBladeSum]],
  [
    "Zero, dials and measuring",
    [
      touchOffSum,
      centerSum,
      dialSum,
      combinedZSum,
      tiltSum,
      reversalSum,
      slopeSum,
      indicatorRun,
      liftedSum,
      jacksSum,
      sidesSum,
      howTrueSum,
      blueSum,
      playSum,
      grindingSum,
      divisionsSum,
      edgesSum,
      wallsSum,
      stackSum,
    ],
  ],
  [
    "Trying your own things",
    [
      checkTram,
      checkSlack,
      checkReadout,
      checkPull,
      checkJawLine,
      checkJawUpright,
      checkJawProfile,
      checkJawTops,
      checkJawLift,
      checkBed,
      checkStretch,
      visePull,
      checkRunOut,
      checkWidth,
      checkParallels,
      checkInstrument,
    ],
  ],
  [
    "Keys, threads and fits",
    [keySum, woodruffSum, keyInHandSum, threadSum, fitSum, fractionSum, spigotSum, intoRadiusSum],
  ],
  [
    "Shapes",
    [
      slotSum,
      pocketSum,
      bossSum,
      arcStepsSum,
      boltCircleSum,
      chordSum,
      vGrooveSum,
      dovetailSum,
      sineSum,
      radialStepSum,
      hollowSum,
      twoHolesSum,
      ladderSum,
      plungesSum,
      landSum,
    ],
  ],
  ["Money", [makeOrBuySum, priceSum]],
];

export const sums: readonly Sum[] = sumGroups.flatMap(([, of]) => of);

export const sumById = (id: string): Sum | undefined => sums.find((s) => s.id === id);

/** The sums that try a thing of a list in the shop. */
export const checksOf = (list: string): Sum[] => sums.filter((s) => s.keeps?.list === list);

export * from "./checks/keeps.ts";
export type { Entered } from "./entered.ts";
export { breakEven } from "./money.ts";
export * from "./sum.ts";
