import { Box, chakra, Dialog, Portal } from "@chakra-ui/react";
import Fuse from "fuse.js";
import { type KeyboardEvent, useEffect, useId, useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { Input } from "../instruments/field.tsx";
import { type Place, setFinding } from "./find-state.ts";
import { allPlaces } from "./places.ts";

/** Most that are shown of what was found: who sees none of them types one letter more. */
const mostShown = 12;

/** What is called just so, then what begins so, then the rest as it was found. */
function best(found: Place[], wanted: string): Place[] {
  const text = wanted.toLowerCase();
  const rank = ({ name }: Place) =>
    name.toLowerCase() === text ? 0 : name.toLowerCase().startsWith(text) ? 1 : 2;
  return found.toSorted((a, b) => rank(a) - rank(b));
}

/** Goes to anything by a few letters: keyboard first, and without a server. */
export default function FindDialog() {
  const [places, setPlaces] = useState<Place[] | null>(null);
  const [text, setText] = useState("");
  const [at, setAt] = useState(0);
  const navigate = useNavigate();
  const id = useId();
  useEffect(() => {
    void allPlaces().then(setPlaces);
  }, []);
  const search = useMemo(
    () =>
      new Fuse(places ?? [], {
        keys: [
          { name: "name", weight: 3 },
          { name: "kind", weight: 1 },
          { name: "also", weight: 0.5 },
        ],
        threshold: 0.2,
        ignoreLocation: true,
        minMatchCharLength: 2,
        useTokenSearch: true,
      }),
    [places],
  );
  const wanted = text.trim();
  const found = (
    wanted === ""
      ? (places ?? [])
      : best(
          search.search(wanted).map((r) => r.item),
          wanted,
        )
  ).slice(0, mostShown);
  const chosen = Math.min(at, Math.max(0, found.length - 1));
  const go = (place: Place | undefined) => {
    if (!place) return;
    setFinding(false);
    void navigate(place.to);
  };
  const onKey = (event: KeyboardEvent) => {
    const by = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (by !== 0) {
      event.preventDefault();
      setAt(Math.min(Math.max(0, chosen + by), Math.max(0, found.length - 1)));
    }
    if (event.key === "Enter") {
      event.preventDefault();
      go(found[chosen]);
    }
  };
  return (
    <Dialog.Root open onOpenChange={({ open }) => setFinding(open)}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Title>
              Find a job, station, feature, setup, cutter, material, table, sum or caution
            </Dialog.Title>
            <Input
              role="combobox"
              aria-expanded="true"
              aria-controls={`${id}-list`}
              aria-activedescendant={found.length > 0 ? `${id}-${chosen}` : undefined}
              aria-label="A few letters of it"
              autoFocus
              width="100%"
              minH="44px"
              fontSize="18px"
              value={text}
              onChange={(event) => {
                setText(event.target.value);
                setAt(0);
              }}
              onKeyDown={onKey}
            />
            <Box id={`${id}-list`} role="listbox" aria-label="Found" mt="8px" maxH="60vh" overflowY="auto">
              {found.map((place, i) => (
                <Box
                  key={`${place.kind} ${place.to}`}
                  id={`${id}-${i}`}
                  role="option"
                  aria-selected={i === chosen}
                  display="flex"
                  justifyContent="space-between"
                  alignItems="center"
                  gap="14px"
                  px="10px"
                  minH="44px"
                  cursor="pointer"
                  bg={i === chosen ? "strong" : "transparent"}
                  color={i === chosen ? "onStrong" : "ink"}
                  onMouseMove={() => setAt(i)}
                  onClick={() => go(place)}
                >
                  <chakra.span fontWeight="600">{place.name}</chakra.span>
                  <chakra.span
                    fontSize="13.5px"
                    color={i === chosen ? "inherit" : "quiet"}
                    whiteSpace="nowrap"
                  >
                    {place.kind}
                  </chakra.span>
                </Box>
              ))}
            </Box>
            <chakra.p role="status" fontSize="13.5px" color="quiet" mt="6px" minH="18px">
              {places && wanted !== "" && found.length === 0
                ? `Nothing here matches "${wanted}". Try other letters.`
                : "Arrows choose, Enter goes there, Escape closes."}
            </chakra.p>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
