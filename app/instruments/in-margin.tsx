import { Box, Portal } from "@chakra-ui/react";
import { createContext, type ReactNode, useContext, useSyncExternalStore } from "react";

/** Where a station puts what is chosen on its sheet: above the working in the margin; null while there is no margin. */
export const MarginContext = createContext<HTMLElement | null>(null);

/** The margin stands beside the sheet from this width on. */
const wide = "(min-width: 1100px)";

function onWide(listener: () => void): () => void {
  const query = matchMedia(wide);
  query.addEventListener("change", listener);
  return () => query.removeEventListener("change", listener);
}

/** What is chosen, in the margin; where there is none beside the sheet, it stands here. */
export function InMargin({ children }: { children: ReactNode }) {
  const margin = useContext(MarginContext);
  const beside = useSyncExternalStore(
    onWide,
    () => matchMedia(wide).matches,
    () => false,
  );
  if (!margin || !beside)
    return (
      <Box borderTopWidth="1px" mt="10px" pt="6px">
        {children}
      </Box>
    );
  return (
    <Portal container={{ current: margin }}>
      <Box borderBottomWidth="1px" pb="12px" mb="12px">
        {children}
      </Box>
    </Portal>
  );
}
