import Papa from "papaparse";
import { expect, test } from "vitest";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import { inspectionCsv, readingsCsv } from "./index.ts";

const reading = (id: string, value: number, more: object = {}): JobRecord => ({
  seq: 1,
  id,
  follows: null,
  at: `2026-11-30T10:0${id}:00Z`,
  by: "",
  piece: 1,
  type: "reading",
  op: null,
  of: "height",
  value,
  written: { text: String(value), unit: "mm" },
  instrument: "mic-25-50",
  questioned: [],
  ...more,
});
const records = [reading("1", 38.01, { spot: { x: -1, y: -1 } }), reading("2", 38.02)];
const rows = (csv: string) => Papa.parse<{ [column: string]: string }>(csv, { header: true }).data;

test("an inspection sheet has a row for everything required, with limits, readings, verdict and instrument", () => {
  const made = plan({ job: cheekBlock(), records, shop: demoShop, piece: 1 });
  const sheet = rows(inspectionCsv(made.requirements, records, 1, demoShop));
  expect(sheet).toHaveLength(made.requirements.length);
  expect(sheet.find((row) => row.required === "height")).toEqual({
    piece: "1",
    required: "height",
    drawn: "38 ±0.05",
    lower: "37.95",
    upper: "38.05",
    readings: "38.01 (left front); 38.02",
    smallest: "38.01",
    largest: "38.02",
    U: "0.005",
    verdict: "good",
    instruments: "Micrometer 25–50",
    read: "2026-11-30T10:02:00Z",
  });
  expect(sheet.filter((row) => row.required !== "height").map((row) => row.verdict)).toContain("not judged");
});

test("readings as CSV say where on the face they were taken", () =>
  expect(rows(readingsCsv(records, demoShop)).map((row) => row.place)).toEqual(["left front", ""]));
