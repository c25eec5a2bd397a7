import { done, type Outcome, refused, say, words } from "../working/index.ts";
import type { SpeedRange } from "./machine.ts";

/**
 * Spindle speeds as a person writes them, one range a line: `low range: 80 135 210 325`, or a span that can be set anywhere,
 * `high: 500-4200`. After a semicolon: `reversed`, `running` (changed while running), `base 1200` (rpm, electronic drive),
 * `slip 25` (N·m).
 */
export function speedText(ranges: SpeedRange[]): string {
  return ranges
    .map((range) => {
      const { speeds } = range;
      const numbers = speeds.kind === "steps" ? speeds.rpm.join(" ") : `${speeds.from}-${speeds.to}`;
      const extras = [
        range.reversed ? "reversed" : "",
        range.change === "running" ? "running" : "",
        range.baseRpm === null ? "" : `base ${range.baseRpm}`,
        range.slipTorque === null ? "" : `slip ${range.slipTorque}`,
      ].filter(Boolean);
      return [`${range.name ? `${range.name}: ` : ""}${numbers}`, ...extras].join("; ");
    })
    .join("\n");
}

const example = words('Write for example "low range: 80 135 210 325" or "500-4200", one range a line.');

/** Reads what `speedText` writes; lines may also be parted by `|`. Refuses with the line that cannot be read. */
export function readSpeedText(text: string): Outcome<SpeedRange[]> {
  const lines = text
    .split(/\n|\|/)
    .map((l) => l.trim())
    .filter(Boolean);
  if (lines.length === 0) return refused(words("The machine has no spindle speeds."), example);
  const ranges: SpeedRange[] = [];
  for (const line of lines) {
    const [main = "", ...extras] = line.split(";").map((part) => part.trim());
    const colon = main.lastIndexOf(":");
    const name = colon === -1 ? "" : main.slice(0, colon).trim();
    const numbers = main.slice(colon + 1).trim();
    const span = /^(\d+(?:\.\d+)?)\s*[-–…]\s*(\d+(?:\.\d+)?)$/.exec(numbers);
    const range: SpeedRange = {
      name,
      speeds: { kind: "steps", rpm: [] },
      change: "standstill",
      reversed: false,
      baseRpm: null,
      slipTorque: null,
    };
    if (span) {
      const [from, to] = [Number(span[1]), Number(span[2])];
      if (!(from > 0) || from >= to)
        return refused(say`"${numbers}" runs from the faster to the slower speed.`, example);
      range.speeds = { kind: "variable", from, to };
    } else {
      const rpm = numbers.split(/[\s,]+/).map(Number);
      if (!rpm.every((n) => Number.isFinite(n) && n > 0))
        return refused(say`"${numbers}" is not a row of speeds in rpm.`, example);
      const wrong = rpm.findIndex((n, i) => i > 0 && n <= rpm[i - 1]!);
      if (wrong > 0)
        return refused(
          say`The speeds are out of order: ${rpm[wrong]!} comes after ${rpm[wrong - 1]!}.`,
          words("Write each range from slow to fast; start another line for another range."),
        );
      range.speeds = { kind: "steps", rpm };
    }
    for (const extra of extras) {
      const [word, value] = extra.split(/\s+/);
      const amount = Number(value);
      if (word === "reversed") range.reversed = true;
      else if (word === "running") range.change = "running";
      else if (word === "base" && amount > 0) range.baseRpm = amount;
      else if (word === "slip" && amount > 0) range.slipTorque = amount;
      else return refused(say`"${extra}" is not known after the speeds.`, example);
    }
    ranges.push(range);
  }
  return done(ranges);
}
