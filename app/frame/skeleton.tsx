import { Box, chakra, Skeleton } from "@chakra-ui/react";
import { stationList } from "../instruments/stations.ts";

const bar = (width: string, height: string) => <Skeleton width={width} height={height} mb="12px" />;

/** The frame of a job while it is being opened: the same shape, no figures. */
export function FrameSkeleton() {
  return (
    <Box minH="100vh" aria-busy="true">
      <Box
        minH="42px"
        borderBottomWidth="1.5px"
        borderColor="ink"
        display="flex"
        alignItems="center"
        px="16px"
        fontWeight="700"
      >
        Firm Arbor
      </Box>
      <Box display="flex">
        <Box width="144px" pt="12px" hideBelow="md">
          {stationList.map(({ id }) => (
            <Skeleton key={id} height="54px" mb="7px" />
          ))}
        </Box>
        <Box flex="1" p="20px">
          <chakra.p color="quiet" mb="14px" role="status">
            Opening the job
          </chakra.p>
          {bar("60%", "28px")}
          {bar("100%", "220px")}
          {bar("80%", "18px")}
        </Box>
      </Box>
    </Box>
  );
}
