import { expect, test } from "vitest";
import { phraseText } from "../working/index.ts";
import { type Probed, probedFindings } from "./index.ts";

const finished = { length: 120, width: 80, height: 46 };
const on = (...places: [number, number][]): Probed[] =>
  places.map(([first, second], i) => ({ id: `p${i}`, face: "bottom", first, second, reads: -2 }));

test.each<[string, Probed[], RegExp | null]>([
  ["three points spread over the face", on([10, 10], [110, 12], [60, 70]), null],
  ["two points are two points", on([10, 10], [110, 12]), null],
  ["three in one line", on([10, 10], [60, 11], [110, 12]), /one line.*tell no tilt/],
  ["three times the same place", on([10, 10], [10, 10], [10, 10]), /one line/],
  ["a point past the end", on([1100, 12]), /Point 1 lies off the bottom face: 1100\.00 mm along its length/],
  ["a point beside the finished edge is on the lump", on([-8, 12]), null],
  ["a place not entered yet", [{ id: "p", face: "top", first: null, second: null, reads: null }], null],
])("%s", (_what, points, says) => {
  const said = probedFindings(points, finished).map((w) => phraseText(w.phrase, "mm"));
  if (says) expect(said.join(" ")).toMatch(says);
  else expect(said).toEqual([]);
});
