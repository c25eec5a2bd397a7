import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, test } from "vitest";
import { plan } from "../../core/plan/index.ts";
import { noOwnValues } from "../../core/handbook/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { block, cheekBlock, featureList, featureOf } from "../../tests/support/cheek-block.ts";
import { system } from "../theme/system.ts";
import { JobContext, type JobContextValue } from "./job-context.tsx";
import { ReadingPad, type TakenReading } from "./reading-pad.tsx";

const job = cheekBlock();
const context: JobContextValue = {
  job,
  records: [],
  shop: demoShop,
  rack: [],
  standIns: [],
  own: noOwnValues,
  compare: () => Promise.resolve(null),
  cost: () => Promise.resolve(null),
  compareRoutes: () => Promise.resolve(null),
  compareMachines: () => Promise.resolve(null),
  stopMachines: () => undefined,
  stopRoutes: () => undefined,
  walkThrough: () => Promise.resolve(null),
  stopWalk: () => undefined,
  plan: plan({ job, records: [], shop: demoShop, piece: 1 }),
  typing: () => undefined,
  send: () => Promise.resolve({ ok: true }),
  batch: () => Promise.resolve(null),
  compareHoldings: () => Promise.resolve(null),
  suspicions: () => Promise.resolve([]),
  lump: () => Promise.resolve(null),
  piecesSaid: () => Promise.resolve(null),
  kept: () => {
    throw new Error("nothing is kept here");
  },
  shown: () => ({ job, records: [], piece: 1 }),
  newest: () => Promise.reject(new Error("nothing is kept here")),
  piece: 1,
  unit: "mm",
  drafts: {},
  keepDraft: () => undefined,
  preview: () => undefined,
  reason: "",
  setReason: () => undefined,
};

function setUp(
  of: "width" | "v/width" = "width",
  expected = 60.15,
  features: Parameters<typeof featureList>[0] = [],
) {
  const taken: TakenReading[] = [];
  render(
    <ChakraProvider value={system}>
      <JobContext value={{ ...context, job: block(["part/features", featureList(features)]) }}>
        <ReadingPad
          of={of}
          how={of === "width" ? "outside" : "inside"}
          expected={expected}
          before={of === "width" ? 61 : null}
          readings={[]}
          keypad={false}
          onReading={(r) => taken.push(r)}
        />
      </JobContext>
    </ChakraProvider>,
  );
  const field = screen.getByLabelText(/, mm$/);
  const enter = (text: string) => {
    fireEvent.change(field, { target: { value: text } });
    fireEvent.keyDown(field, { key: "Enter" });
  };
  return { taken, enter };
}

describe("reading pad", () => {
  afterEach(cleanup);

  test("takes a believable reading at once, with the best instrument that reaches", () => {
    const { taken, enter } = setUp();
    enter("60.14");
    expect(taken).toMatchObject([{ value: 60.14, instrument: "mic-50-75", questioned: [] }]);
  });

  test("what a pin stands over a V is typed, and the width that follows is kept with what was read", () => {
    const v = featureOf("vGroove", "v", "top", { sizes: { width: "20", pin: "16" } });
    const { taken, enter } = setUp("v/width", 20, [v]);
    fireEvent.change(screen.getByLabelText("Read"), { target: { value: "pin" } });
    expect(screen.getByRole("status").textContent).toMatch(/should show 9\.314 mm/);
    enter("9.30");
    expect(taken).toMatchObject([{ way: "pin", written: { text: "9.30" } }]);
    expect(taken[0]!.value).toBeCloseTo(20 + 2 * (9.3137 - 9.3), 3);
  });

  test.each([
    ["2.368", "M03.slip", /60\.15 mm/],
    ["61.2", "M02.grew", null],
    ["60.143", "M03.finer", /60\.14 mm/],
  ])("%s is asked about, and kept when the person says so", (text, ruleId, meant) => {
    const { taken, enter } = setUp();
    enter(text);
    expect(taken).toEqual([]);
    expect(screen.getByRole("alert").textContent).toMatch(/Please check/);
    if (meant) expect(screen.getByRole("button", { name: /I meant/ }).textContent).toMatch(meant);
    fireEvent.click(screen.getByRole("button", { name: /Yes, save it/ }));
    expect(taken).toMatchObject([{ value: Number(text), questioned: [ruleId] }]);
  });

  test.each(["", "abc", "0", "-5", "1e9", "6.0.1"])(
    "%s is no reading: it says why and keeps what was typed",
    (text) => {
      const { taken, enter } = setUp();
      enter(text);
      expect(taken).toEqual([]);
      expect(screen.getByRole("status").textContent?.length).toBeGreaterThan(10);
      expect(screen.getByLabelText<HTMLInputElement>(/^Width, /).value).toBe(text);
    },
  );
});
