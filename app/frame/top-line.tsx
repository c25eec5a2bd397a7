import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Link, useLocation } from "react-router";
import { setFinding } from "../find/find-state.ts";
import { Key } from "../instruments/key.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Segments } from "../instruments/segments.tsx";

const HomeLink = chakra(Link);

/** The thin line at the top: mark, place, unit switch, help. */
export function TopLine({
  place,
  detail,
  children,
  onHelp,
}: {
  place: string;
  detail?: ReactNode;
  children?: ReactNode;
  onHelp?: () => void;
}) {
  return (
    <Box
      as="header"
      className="no-print"
      display="flex"
      alignItems="center"
      gap="14px"
      px="16px"
      minH="42px"
      borderBottomWidth="1.5px"
      borderColor="ink"
      bg="ground"
    >
      <HomeLink to="/" display="flex" alignItems="center" gap="9px" fontWeight="700" minH="42px">
        <chakra.svg viewBox="0 0 32 32" width="22px" height="22px" aria-hidden="true">
          <path
            fill="var(--chakra-colors-accent)"
            d="M10 5h3l1 3h4l1-3h3v3l3 1v5h7v4h-7v5l-3 1v3h-3l-1-3h-4l-1 3h-3v-3l-3-1v-5H0v-4h7V9l3-1z"
          />
        </chakra.svg>
        <chakra.span hideBelow="md">Firm Arbor</chakra.span>
        <chakra.span hideFrom="md" srOnly>
          Bench
        </chakra.span>
      </HomeLink>
      <chakra.span fontWeight="600" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" minW="0">
        {place}
      </chakra.span>
      <chakra.span
        color="quiet"
        fontSize="13.5px"
        hideBelow="lg"
        overflow="hidden"
        textOverflow="ellipsis"
        whiteSpace="nowrap"
        minW="0"
      >
        {detail}
      </chakra.span>
      <Box ml="auto" display="flex" gap="10px" alignItems="center" flexShrink="0">
        <Doors />
        {children}
        <chakra.button
          type="button"
          onClick={() => setFinding(true)}
          minH="32px"
          px="6px"
          fontSize="14px"
          color="quiet"
          cursor="pointer"
          aria-keyshortcuts="/"
          hideBelow="md"
        >
          find <Key>/</Key>
        </chakra.button>
        <UnitSwitch />
        {onHelp && (
          <chakra.button
            type="button"
            onClick={onHelp}
            minH="32px"
            px="6px"
            fontSize="14px"
            color="quiet"
            cursor="pointer"
            hideBelow="md"
          >
            keys <Key>?</Key>
          </chakra.button>
        )}
      </Box>
    </Box>
  );
}

/** Rooms outside a job, always one press away on a desk; on a phone they stand on the bench. */
export const doors = [
  ["/ahead", "Ahead"],
  ["/shop", "Shop"],
  ["/handbook", "Handbook"],
  ["/sums", "Sums"],
] as const;

function Doors() {
  const { pathname } = useLocation();
  return (
    <Box as="nav" aria-label="Rooms" display="flex" gap="4px" hideBelow="lg">
      {doors.map(([to, name]) => (
        <HomeLink
          key={to}
          to={to}
          px="8px"
          minH="32px"
          display="inline-flex"
          alignItems="center"
          fontSize="14.5px"
          textDecoration={pathname.startsWith(to) ? "underline" : "none"}
          fontWeight={pathname.startsWith(to) ? 700 : 500}
        >
          {name}
        </HomeLink>
      ))}
    </Box>
  );
}

function UnitSwitch() {
  const [unit, setUnit] = useUnit();
  return (
    <Segments
      label="Display unit"
      value={unit}
      of={[
        ["mm", "mm"],
        ["in", "in"],
      ]}
      onChoose={setUnit}
    />
  );
}
