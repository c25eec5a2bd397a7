import { cutterKindFacts } from "../handbook/index.ts";
import { mm } from "../quantity/index.ts";
import { type Phrase, rule, say, words } from "../working/index.ts";
import { type Bar, freeLength } from "./bar.ts";
import type { Cutter } from "./cutter.ts";
import type { Machine } from "./machine.ts";
import { shopFields } from "./fields.ts";
import type { Saw } from "./saw.ts";
import { type ShopItem, type ShopList, shopLists } from "./shop.ts";

/** Something wrong with what is owned as entered: `stop` keeps it from being kept, `ask` wants a second look. */
export interface ShopFinding {
  severity: "stop" | "ask";
  /** Field it is about. */
  key: string;
  phrase: Phrase;
}

const stop = (key: string, phrase: Phrase): ShopFinding => ({ severity: "stop", key, phrase });
const ask = (key: string, phrase: Phrase): ShopFinding => ({ severity: "ask", key, phrase });

/** Below this an entering angle is more often a lead angle, degrees. */
const doubtfulAngle = 30;

/** What cannot be, or is doubtful, about a cutter. M49: lead angle taken for entering angle, radius for diameter. */
export function checkCutter(cutter: Cutter): ShopFinding[] {
  const found: ShopFinding[] = [];
  const shank = cutterKindFacts[cutter.kind].mount === "shank";
  if (shank && cutter.fluteLength > cutter.stickout + 1e-9)
    found.push(
      stop(
        "fluteLength",
        say`The flutes are ${mm(cutter.fluteLength)} long, but only ${mm(cutter.stickout)} of the cutter stands out of its holder. Correct one of them.`,
      ),
    );
  if (cutter.cornerRadius > cutter.diameter / 2 + 1e-9)
    found.push(
      stop(
        "cornerRadius",
        say`A corner radius of ${mm(cutter.cornerRadius)} is more than half the diameter.`,
      ),
    );
  if (cutter.kind === "ballEnd" && Math.abs(cutter.cornerRadius - cutter.diameter / 2) > 0.01)
    found.push(
      stop("cornerRadius", say`A ball end has half its diameter at the corner: ${mm(cutter.diameter / 2)}.`),
    );
  if (cutter.measured !== null) {
    const ratio = cutter.measured / cutter.diameter;
    if (ratio > 0.45 && ratio < 0.55)
      found.push(
        ask(
          "measured",
          rule(
            "M49.radius",
          )`${mm(cutter.measured)} measured is half of ${mm(cutter.diameter)}: is one of them the radius?`,
        ),
      );
    else if (ratio < 0.8 || ratio > 1.2)
      found.push(
        ask(
          "measured",
          say`${mm(cutter.measured)} measured is far from ${mm(cutter.diameter)} nominal. Check both.`,
        ),
      );
  }
  if (
    cutter.enteringAngle < doubtfulAngle &&
    cutter.inserts !== "round" &&
    cutterKindFacts[cutter.kind].cuts.length > 0
  )
    found.push(
      ask(
        "enteringAngle",
        rule(
          "M49.lead",
        )`An entering angle of ${cutter.enteringAngle}° is nearly flat. If the maker prints a lead angle, enter 90 minus it: ${90 - cutter.enteringAngle}°.`,
      ),
    );
  if (!shank && cutter.shank >= cutter.diameter)
    found.push(stop("shank", words("The bore is as large as the cutter.")));
  return found;
}

/** What cannot be, or is doubtful, about a machine. */
export function checkMachine(machine: Machine): ShopFinding[] {
  const found: ShopFinding[] = [];
  for (const range of machine.ranges) {
    const { speeds } = range;
    if (
      speeds.kind === "variable"
        ? speeds.from >= speeds.to
        : speeds.rpm.some((n, i) => i > 0 && n <= speeds.rpm[i - 1]!)
    )
      found.push(
        stop(
          "ranges",
          say`The speeds of ${range.name || "a range"} are out of order: write them slow to fast.`,
        ),
      );
  }
  if (machine.drive === "electronic" && machine.ranges.every((r) => r.baseRpm === null))
    found.push(
      ask(
        "ranges",
        words(
          'An electronic drive loses power below its base speed. Add it to the range, such as "; base 1200", or power at low speeds is overstated.',
        ),
      ),
    );
  for (const [axis, screw] of Object.entries(machine.axes)) {
    if (screw.division > screw.lead)
      found.push(
        stop(`axes.${axis}.division`, words("One division is more than a whole turn of the handle.")),
      );
  }
  if (machine.motorPower > 15)
    found.push(
      ask("motorPower", say`${machine.motorPower} kW is much for a manual mill. Were watts or hp meant?`),
    );
  return found;
}

/** What spans a range cannot end before it begins. */
const checkSpan = ({ from, to }: { from: number; to: number }): ShopFinding[] =>
  from > to ? [stop("to", say`It goes from ${mm(from)} to ${mm(to)}: the smaller comes first.`)] : [];

/** What is reserved of a bar is there, and a flat is named by its wide side. */
function checkBar(bar: Bar): ShopFinding[] {
  const found: ShopFinding[] = [];
  const free = freeLength(bar);
  // The last cut of a bar that is used up is none.
  const lastKerf = bar.claims.at(-1)?.kerf ?? 0;
  if (free < -lastKerf - 1e-6)
    found.push(
      stop(
        "length",
        say`${mm(bar.length - free)} of it is reserved, and ${mm(bar.length)} is there. Free what is reserved first, in Stock of the job.`,
      ),
    );
  if (bar.section === "flat" && bar.thick > bar.across + 1e-9)
    found.push(ask("thick", words("It is thicker than it is wide. Enter the wider size as its width.")));
  return found;
}

function checkSaw(saw: Saw): ShopFinding[] {
  return saw.fitted !== null && saw.blades.length > 0 && !saw.blades.includes(saw.fitted)
    ? [
        ask(
          "fitted",
          say`A blade of ${saw.fitted} teeth an inch is fitted, and is not among the blades owned.`,
        ),
      ]
    : [];
}

const checks: { [L in ShopList]?: (item: ShopItem<L>) => ShopFinding[] } = {
  machines: checkMachine,
  cutters: checkCutter,
  holders: checkSpan,
  aids: checkSpan,
  instruments: checkSpan,
  bars: checkBar,
  saws: checkSaw,
};

/** Everything wrong with an item of a list: first its shape, then what its list knows. Never throws. */
export function checkItem(list: ShopList, item: unknown): ShopFinding[] {
  const parsed = shopLists[list].safeParse(item);
  if (!parsed.success) {
    return parsed.error.issues.map((issue) => {
      const key = issue.path.join(".");
      const field = shopFields[list].find((f) => key === f.key || key.startsWith(`${f.key}.`));
      return stop(
        field?.key ?? key,
        say`${field?.label ?? key}: ${plainer(issue.message, field?.kind === "length" || field?.kind === "signed")}.`,
      );
    });
  }
  return (checks[list] as ((item: unknown) => ShopFinding[]) | undefined)?.(parsed.data) ?? [];
}

/** The schema's own words in plainer ones. @param length whether a bound is one in mm */
function plainer(message: string, length: boolean): string | Phrase {
  if (/expected number to be >0/.test(message)) return "must be above zero";
  const bound = /expected \w+ to be (>=|<=)(-?[\d.]+)/.exec(message);
  if (bound)
    return say`must be ${bound[1] === ">=" ? "at least" : "at most"} ${length ? mm(Number(bound[2])) : bound[2]!}`;
  if (/expected string to have >=1/.test(message)) return "is empty";
  if (/received (undefined|null)/.test(message)) return "is missing";
  return message.replace(/^Invalid input: /, "");
}
