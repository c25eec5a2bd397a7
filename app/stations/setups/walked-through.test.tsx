import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, test } from "vitest";
import type { Rehearsal, RehearsalProgress } from "../../../core/plan/index.ts";
import type { Finding } from "../../../core/rehearse/index.ts";
import { cheekBlock } from "../../../tests/support/cheek-block.ts";
import { jobStub } from "../../../tests/support/job-stub.tsx";
import { WalkedThrough } from "./walked-through.tsx";

const finding = (more: Partial<Finding>): Finding => ({
  sort: "tooMuch",
  op: "back/face",
  step: "cut-1",
  setup: 1,
  at: null,
  size: 0.4,
  told: 0.5,
  what: "deep",
  ...more,
});
const walkedWith = (findings: Finding[]): Rehearsal => ({
  findings,
  truths: [],
  done: 3,
  finished: true,
  records: [],
});

type Ask = (onProgress: (progress: RehearsalProgress) => void) => Promise<Rehearsal | null>;
const show = (walk: Ask) => render(jobStub(<WalkedThrough />, { job: cheekBlock(), walk })());

describe("the list of what was found", () => {
  afterEach(cleanup);

  test("steps of one operation that say the same stand in one row, with the worst of them", async () => {
    show(() =>
      Promise.resolve(
        walkedWith([
          finding({}),
          finding({ step: "cut-2", size: 1.5 }),
          finding({ sort: "onAir", step: "clamp", what: "the bed" }),
          finding({ sort: "left", op: "back/face", step: "end", what: "length", size: 0.2 }),
        ]),
      ),
    );
    expect(await screen.findByText("Walked through: 4 findings")).toBeTruthy();
    const rows = screen.getAllByRole("row").map((row) => row.textContent);
    expect(rows).toHaveLength(4);
    expect(rows[1]).toContain("and 1 more step");
    expect(rows[1]).toContain("The stroke is 2.00 mm deep; the cut allows 0.50 mm.");
    expect(rows[2]).toContain("rests on air");
    expect(rows[3]).toContain("at the end");
    expect(screen.getAllByRole("link")[0]!.getAttribute("href")).toContain("/setups/back.face");
  });

  test("nothing found is said as plainly", async () => {
    show(() => Promise.resolve(walkedWith([])));
    expect(await screen.findByText(/comes out as drawn/)).toBeTruthy();
  });

  test("it tells how far it is; stopped, it can be walked again", async () => {
    let asked = 0;
    const answers: (Rehearsal | null)[] = [null, walkedWith([finding({})])];
    show((onProgress) => {
      onProgress({ done: 5, of: 40, setup: 2 });
      return Promise.resolve(answers[asked++]!);
    });
    fireEvent.click(await screen.findByRole("button", { name: "Walk it through" }));
    expect(await screen.findByText("Walked through: 1 finding")).toBeTruthy();
    expect(asked).toBe(2);
  });
});
