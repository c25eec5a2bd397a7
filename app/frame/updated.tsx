import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { Button } from "../instruments/button.tsx";
import { Notice } from "../instruments/notice.tsx";
import { type Updated, updatedEvent } from "../offline.ts";

const updates: Record<Updated, string> = {
  page: "A newer Firm Arbor is ready. Your work is saved. Finish this cut, then load it; until then parts of this page may be missing.",
  database:
    "Firm Arbor was updated in another tab. Your work so far is saved; nothing more will be until you load it. Finish this cut, then load it.",
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
