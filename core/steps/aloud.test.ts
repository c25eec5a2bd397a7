import { expect, test } from "vitest";
import { cheekBlockWithFeatures } from "../../tests/support/cheek-block.ts";
import { plan } from "../plan/index.ts";
import { demoShop } from "../shop/index.ts";
import { aloud, heard } from "./index.ts";

test.each([
  ["−0.84 mm", "minus 0 point 8 4 millimeters"],
  ["12.00 mm", "12 point 0 0 millimeters"],
  ["1.375 in", "1 point 3 7 5 inches"],
  ["40", "40"],
])("%s is heard as %s", (text, said) => expect(heard(text)).toBe(said));

const job = cheekBlockWithFeatures();
const { steps } = plan({ job, shop: demoShop, records: [], piece: 1 });
const machine = demoShop.machines.find((m) => m.id === job.machine)!;

test("a zero is heard as it is shown: a collar to 0, a readout to what the paper makes it", () => {
  const touch = steps.find((s) => s.touch)!;
  const withReadout = { axes: { ...machine.axes, z: { ...machine.axes.z, readout: 0.005 } } };
  const dialsOnly = { axes: { ...machine.axes, z: { ...machine.axes.z, readout: null } } };
  expect(touch.touch).toMatchObject({ axis: "z" });
  expect(aloud(touch, "mm", dialsOnly)).toBe("Touch off. Set the Z collar to 0.");
  expect(aloud(touch, "mm", withReadout)).toMatch(/^Touch off\. Set Z to \d+ point /);
});

test("every step of a plan has something to be heard, and a stop is heard with its digits", () => {
  for (const step of steps) {
    const said = aloud(step, "mm", machine);
    expect(said).toMatch(/\S.*\.$/);
    if (step.pass ?? step.move) expect(said).toMatch(/ point \d/);
    expect(said).not.toMatch(/\d\.\d|undefined/);
  }
});
