import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { isRouteErrorResponse } from "react-router";
import { ButtonLink } from "../instruments/button.tsx";
import { TopLine } from "./top-line.tsx";

const placeAndTitle = (status: number): [place: string, title: string] =>
  status === 410
    ? ["Archived", "This job is archived"]
    : status === 404
      ? ["Not found", "There is nothing here"]
      : ["Something failed", "This view could not be shown"];

/** What went wrong, what was kept, what to do; beside the way back whatever else can be done. */
export function Failure({ error, kept, children }: { error: unknown; kept: string; children?: ReactNode }) {
  const status = isRouteErrorResponse(error) ? error.status : 500;
  const [place, title] = placeAndTitle(status);
  const told = isRouteErrorResponse(error)
    ? String(error.data ?? error.statusText)
    : error instanceof Error
      ? error.message
      : String(error);
  return (
    <>
      <TopLine place={place} />
      <Box as="main" maxW="640px" mx="auto" p="24px">
        <chakra.h1 fontSize="26px" mb="10px">
          {title}
        </chakra.h1>
        <chakra.p mb="8px">{told}</chakra.p>
        <chakra.p mb="16px" color="quiet">
          {kept}
        </chakra.p>
        <Box display="flex" gap="10px" flexWrap="wrap">
          {children}
          <ButtonLink to="/" look={children ? "plain" : "strong"}>
            Back to the bench
          </ButtonLink>
        </Box>
      </Box>
    </>
  );
}
