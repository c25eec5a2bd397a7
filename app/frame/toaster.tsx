import { createToaster, Toast, Toaster as ChakraToaster } from "@chakra-ui/react";
import { useEffect } from "react";
import { useLocation } from "react-router";
import { takeDone, useDone } from "../instruments/done.ts";

/** Long enough to reach with a hand that is not at the mouse, ms. */
const shownFor = 10_000;

const toaster = createToaster({ placement: "bottom", duration: shownFor, max: 3 });

/** The foot of the page: what was done, and Undo; a press or ten seconds takes it away. */
export default function Toaster() {
  const waiting = useDone();
  const { pathname } = useLocation();
  // An undo belongs to the job or drawer it was done in: elsewhere it would reach nothing.
  const room = pathname.split("/").slice(0, 3).join("/");
  useEffect(() => () => toaster.dismiss(), [room]);
  useEffect(() => {
    // A task later: when this is first painted the toaster is not listening yet.
    const timer = setTimeout(() => {
      for (const { text, undo } of takeDone())
        toaster.create({ title: text, action: { label: "Undo", onClick: undo }, closable: true });
    });
    return () => clearTimeout(timer);
  }, [waiting]);
  return (
    <ChakraToaster toaster={toaster} className="no-print">
      {(toast) => (
        <Toast.Root>
          <Toast.Title>{toast.title}</Toast.Title>
          {toast.action && <Toast.ActionTrigger>{toast.action.label}</Toast.ActionTrigger>}
          <Toast.CloseTrigger aria-label="Close">×</Toast.CloseTrigger>
        </Toast.Root>
      )}
    </ChakraToaster>
  );
}
