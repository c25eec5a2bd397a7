import { Notice } from "./notice.tsx";

/** A choice that was not kept because another tab was first: said, never lost in silence. */
export const NotTaken = () => (
  <Notice severity="warn" role="alert">
    Something was changed in another tab meanwhile, so your choice was not taken. Choose again.
  </Notice>
);
