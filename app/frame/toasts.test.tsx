import { ChakraProvider } from "@chakra-ui/react";
import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { createMemoryRouter, Outlet, RouterProvider } from "react-router";
import { afterEach, expect, test, vi } from "vitest";
import { sayDone } from "../instruments/done.ts";
import { system } from "../theme/system.ts";
import { Toasts } from "./toasts.tsx";

afterEach(cleanup);

/** A page of two jobs, with the foot that says what was done. */
function open() {
  const Page = () => (
    <ChakraProvider value={system}>
      <Outlet />
      <Toasts />
    </ChakraProvider>
  );
  const router = createMemoryRouter(
    [{ path: "/", element: <Page />, children: [{ path: "jobs/:id/:station", element: <p>a station</p> }] }],
    { initialEntries: ["/jobs/a/drawing"] },
  );
  render(<RouterProvider router={router} />);
  return router;
}

test("what was done is said once, and Undo undoes just that, at another station of its job too", async () => {
  const router = open();
  const undone = vi.fn();
  act(() => sayDone("Slot 2 removed.", undone));
  await screen.findByText("Slot 2 removed.");
  await act(() => router.navigate("/jobs/a/setups"));
  fireEvent.click(screen.getByText("Undo"));
  expect(undone).toHaveBeenCalledTimes(1);
  await waitFor(() => expect(screen.queryByText("Undo")).toBeNull());
});

test("in another job nothing offers to undo what was done in this one", async () => {
  const router = open();
  act(() => sayDone("Hole 1 removed.", vi.fn()));
  await screen.findByText("Hole 1 removed.");
  await act(() => router.navigate("/jobs/b/drawing"));
  await waitFor(() => expect(screen.queryByText("Hole 1 removed.")).toBeNull());
});
