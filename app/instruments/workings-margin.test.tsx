import { ChakraProvider } from "@chakra-ui/react";
import { cleanup, render } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { afterEach, expect, test } from "vitest";
import { cutFigures, cutKey, plan, workingOf } from "../../core/plan/index.ts";
import { demoShop } from "../../core/shop/index.ts";
import { cheekBlock } from "../../tests/support/cheek-block.ts";
import { system } from "../theme/system.ts";
import { WorkingSheet } from "./workings-margin.tsx";
import { faceCuts } from "../../tests/support/faces.ts";

const job = cheekBlock();
const made = plan({ job, records: [], shop: demoShop, piece: 1 });

afterEach(cleanup);

/** The sheet links to the handbook, so it stands in a router. */
const shown = (working: ReturnType<typeof workingOf>) =>
  render(
    <MemoryRouter>
      <ChakraProvider value={system}>
        <WorkingSheet working={working} />
      </ChakraProvider>
    </MemoryRouter>,
  );

const figures = faceCuts(made).flatMap((setup) => cutFigures.map((figure) => cutKey(setup.key, figure)));

test.each([...figures, "spare#length", "spare#width", "spare#height"])(
  "%s shows its working in both units",
  (key) => {
    const working = workingOf(made, { job, shop: demoShop }, key);
    for (const unit of ["mm", "in"]) {
      localStorage.setItem("firm-arbor:unit", unit);
      const { container, unmount } = shown(working);
      expect(container.textContent).toMatch(/^Working/);
      expect(container.textContent).not.toMatch(/NaN|undefined|Infinity|—/);
      unmount();
    }
  },
);

test("the limit that binds is the one that allows least, and says what lifts it", () => {
  const working = workingOf(made, { job, shop: demoShop }, cutKey("back/face", "depth"))!;
  const least = Math.min(...working.limits.map((l) => l.allows.value));
  expect(working.limits.find((l) => l.id === working.bound)?.allows.value).toBe(least);
  const { container } = shown(working);
  expect(container.textContent).toContain("This one sets the limit");
});
