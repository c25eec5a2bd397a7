import { Box, chakra } from "@chakra-ui/react";
import { isRouteErrorResponse } from "react-router";
import { ButtonLink } from "../instruments/button.tsx";
import { TopLine } from "./top-line.tsx";

/** What went wrong, what was kept, what to do. */
export function Failure({ error, kept }: { error: unknown; kept: string }) {
  const missing = isRouteErrorResponse(error) && error.status === 404;
  const told = isRouteErrorResponse(error)
    ? String(error.data ?? error.statusText)
    : error instanceof Error
      ? error.message
      : String(error);
  return (
    <>
      <TopLine place={missing ? "Not found" : "Something failed"} />
      <Box as="main" maxW="640px" mx="auto" p="24px">
        <chakra.h1 fontSize="26px" mb="10px">
          {missing ? "There is nothing here" : "This view could not be shown"}
        </chakra.h1>
        <chakra.p mb="8px">{told}</chakra.p>
        <chakra.p mb="16px" color="quiet">
          {kept}
        </chakra.p>
        <ButtonLink to="/" look="strong">
          Back to the bench
        </ButtonLink>
      </Box>
    </>
  );
}
