import { describe, expect, test } from "vitest";
import { jobOf, type Described } from "../../tests/parts/described.ts";
import { demoShop } from "../shop/index.ts";
import { plan } from "./index.ts";

const part = (block: NonNullable<Described["block"]>, more: Partial<Described> = {}) =>
  jobOf({ name: "Part", material: "steel-low-rolled", block, features: [], ...more });
const planOf = (job: ReturnType<typeof jobOf>) => plan({ job, records: [], shop: demoShop, piece: 1 });

describe("the school a block is squared by where nobody chose", () => {
  test.each<[string, NonNullable<Described["block"]>, string]>([
    ["round the block where the vise holds it", ["96", "60", "38"], "round"],
    ["on the table where it does not open so wide", ["200", "150", "50"], "table"],
    ["on a plate where it is too thin for jaws and straps", ["60", "40", "3"], "plate"],
  ])("is %s", (_name, block, school) => {
    const made = planOf(part(block));
    expect([made.school, made.refusal]).toEqual([school, null]);
    const told = made.setups[0]!.reasons.some((r) => JSON.stringify(r).includes("Squared "));
    expect(told).toBe(school !== "round");
  });

  test("where none goes the reason says what is wrong in the vise and on the table", () => {
    const made = planOf(part(["200", "150", "110"], { machine: "bench" }));
    expect(made.school).toBe("round");
    const text = JSON.stringify(made.refusal?.reason);
    expect(text).toContain("M11.opening");
    expect(text).toContain("Strapped to the table it cannot be done either");
  });

  test("one that was chosen is kept, whatever it comes to", () => {
    const job = part(["200", "150", "50"]);
    job.overrides = {
      byId: { s: { id: "s", at: "route", what: "school", value: "round", reason: "", since: "" } },
      order: ["s"],
    };
    const made = planOf(job);
    expect([made.school, made.refusal?.reason.id]).toEqual(["round", "M11.opening"]);
  });
});
