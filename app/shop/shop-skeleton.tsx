import { Box } from "@chakra-ui/react";
import { TopLine } from "../frame/top-line.tsx";

/** The shape of the shop while it is read. */
export function ShopSkeleton() {
  return (
    <>
      <TopLine place="Shop" />
      <Box as="main" p="24px" aria-busy="true">
        <Box height="28px" width="220px" bg="band" mb="16px" />
        {[0, 1, 2, 3, 4].map((i) => (
          <Box key={i} height="34px" bg="band" mb="8px" />
        ))}
      </Box>
    </>
  );
}
