import { describe, expect, test } from "vitest";
import {
  clearanceOf,
  decodeWoodruff,
  fitDeviations,
  handbookTables,
  inchKeys,
  inchThreads,
  inchWoodruffs,
  iso3912,
  metricClearances,
  metricKeys,
  metricThreads,
  oldWoodruffNumbers,
} from "./index.ts";

describe("published tables", () => {
  test.each(handbookTables.map((t) => [t.id, t] as const))("%s: every row has every column", (_id, table) => {
    expect(table.rows.length).toBeGreaterThan(5);
    for (const row of table.rows) expect(row.length).toBe(table.head.length);
    const first = table.rows.map((row) => JSON.stringify(row.slice(0, 2)));
    expect(new Set(first).size).toBe(first.length);
  });

  test.each([
    ["parallel, metric", metricKeys, (k: (typeof metricKeys)[number]) => [k.b, k.t1]],
    ["parallel, inch", inchKeys, (k: (typeof inchKeys)[number]) => [k.square]],
    ["Woodruff, metric", iso3912, (k: (typeof iso3912)[number]) => [k.t1 + k.t2]],
  ] as [string, readonly { over: number; to: number }[], (row: never) => number[]][])(
    "keys, %s: ranges join, and grow with the shaft",
    (_name, rows, sizes) => {
      rows.slice(1).forEach((row, i) => {
        expect(row.over).toBe(rows[i]!.to);
        expect(row.to).toBeGreaterThan(row.over);
      });
      const [first, last] = [sizes(rows[0] as never), sizes(rows.at(-1) as never)];
      first.forEach((size, i) => expect(last[i]).toBeGreaterThan(size));
    },
  );

  test("a metric key fills its seats but for the clearance over it", () => {
    for (const { h, t1, t2 } of metricKeys) {
      expect(t1 + t2 - h).toBeGreaterThan(0.05);
      expect(t1 + t2 - h).toBeLessThanOrEqual(0.55);
    }
    for (const { h, t1, t2 } of iso3912) expect(Math.abs(t1 + t2 - h - 0.25)).toBeLessThanOrEqual(0.0501);
  });

  test("a Woodruff number says its width and diameter, and every older one has a newer", () => {
    for (const { number, width, diameter } of inchWoodruffs)
      expect(decodeWoodruff(number)).toEqual({ width, diameter });
    for (const now of Object.values(oldWoodruffNumbers))
      expect(inchWoodruffs.map((k) => k.number)).toContain(now);
    expect(oldWoodruffNumbers["11"]).toBe("607");
    expect(oldWoodruffNumbers["9"]).toBe("606");
  });

  test("a tapping drill lies between half and nearly all of the thread, a clearance hole over it", () => {
    for (const { diameter, pitch, drill } of metricThreads) {
      expect(Math.abs(diameter - pitch - drill)).toBeLessThanOrEqual(0.1);
      const hole = clearanceOf(`M${diameter}`)!;
      expect(hole.fine).toBeGreaterThan(diameter);
    }
    for (const { diameter, tpi, drill } of inchThreads) {
      const percent = (76.98 * tpi * (diameter - drill.size)) / 1;
      expect(percent).toBeGreaterThan(53);
      expect(percent).toBeLessThan(84);
    }
    for (const { fine, medium, coarse } of metricClearances)
      expect(fine < medium && medium < coarse).toBe(true);
  });

  test("no limit is −0, which a file cannot keep", () => {
    for (const fit of ["H7", "h6", "N9", "JS9"])
      for (const value of Object.values(fitDeviations(fit, 20)!)) expect(Object.is(value, -0)).toBe(false);
  });

  test("N9 of a keyseat begins at −4 up to 3 mm, at nothing above", () => {
    expect([fitDeviations("N9", 3)!.upper, fitDeviations("N9", 3.1)!.upper]).toEqual([-0.004, 0]);
  });
});
