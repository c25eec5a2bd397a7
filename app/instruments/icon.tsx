import type { LucideIcon } from "lucide-react";

/** A small picture beside the word it stands for; who hears the page hears the word only. */
export const Icon = ({ of: Drawn }: { of: LucideIcon }) => (
  <Drawn size={16} strokeWidth={2} aria-hidden="true" style={{ flexShrink: 0 }} />
);
