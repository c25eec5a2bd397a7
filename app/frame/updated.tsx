import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { Button } from "../instruments/button.tsx";
import { Notice } from "../instruments/notice.tsx";
import { type Updated, updatedEvent } from "../offline.ts";

const updates: Record<Updated, string> = {
  page: "There is a newer Firm Arbor. What you did is saved. Finish the cut you are in, then load it; until then a part of this page may be missing.",
  database:
    "Firm Arbor was updated in another tab. What you did is saved; nothing more is until this page is loaded again. Finish the cut you are in, then load it.",
};

/** Says that there is a newer app, and offers to load it when the person sees fit. */
export function UpdatedNotice() {
  const [updated, setUpdated] = useState<Updated | null>(null);
  useEffect(() => {
    const onUpdate = (event: Event) => setUpdated((event as CustomEvent<Updated>).detail);
    addEventListener(updatedEvent, onUpdate);
    return () => removeEventListener(updatedEvent, onUpdate);
  }, []);
  if (!updated) return null;
  return (
    <Box position="sticky" top="0" zIndex="20" bg="ground">
      <Notice severity="warn" role="alert">
        {updates[updated]} <Button onClick={() => location.reload()}>Load it now</Button>
      </Notice>
    </Box>
  );
}
