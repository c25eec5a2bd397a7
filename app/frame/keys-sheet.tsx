import { lazy, Suspense } from "react";

// Where a newer app has taken its place the page says so; it takes nothing of this page with it.
const KeysDialog = lazy(() => import("./keys-dialog.tsx").catch(() => ({ default: () => <></> })));

/** All keys, loaded when they are asked for. */
export const KeysSheet = ({ onClose }: { onClose: () => void }) => (
  <Suspense>
    <KeysDialog onClose={onClose} />
  </Suspense>
);
