import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, render } from "@testing-library/react";
import { afterEach, expect, test } from "vitest";
import { cutFigures, cutKey, plan, workingOf } from "../../core/job/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { system } from "../theme/system.ts";
import { WorkingSheet } from "./workings-margin.tsx";

const job = cheekBlock();
const made = plan({ job, records: [], shop: demoShop, piece: 1 });

afterEach(cleanup);

const figures = made.setups.flatMap((setup) => cutFigures.map((figure) => cutKey(setup.key, figure)));

test.each([...figures, "spare#length", "spare#width", "spare#height"])(
  "%s shows its working in both units",
  (key) => {
    const working = workingOf(made, job, demoShop, key);
    for (const unit of ["mm", "in"]) {
      localStorage.setItem("firm-arbor:unit", unit);
      const { container, unmount } = render(
        <ChakraProvider value={system}>
          <WorkingSheet working={working} />
        </ChakraProvider>,
      );
      expect(container.textContent).toMatch(/^Working/);
      expect(container.textContent).not.toMatch(/NaN|undefined|Infinity|—/);
      unmount();
    }
  },
);

test("the limit that binds is the one that allows least, and says what lifts it", () => {
  const working = workingOf(made, job, demoShop, cutKey("back/face", "depth"))!;
  const least = Math.min(...working.limits.map((l) => l.allows.value));
  expect(working.limits.find((l) => l.id === working.bound)?.allows.value).toBe(least);
  const { container } = render(
    <ChakraProvider value={system}>
      <WorkingSheet working={working} />
    </ChakraProvider>,
  );
  expect(container.textContent).toContain("This one binds");
});
