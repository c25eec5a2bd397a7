import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { Button } from "../instruments/button.tsx";
import { useSingleKeys } from "../instruments/local-setting.ts";
import { stationList } from "../instruments/stations.ts";
import { Key } from "./top-line.tsx";

const keys: [keys: string[], what: string][] = [
  [[stationList[0]!.key, "…", stationList.at(-1)!.key], "stations"],
  [["[", "]"], "previous, next setup"],
  [["j", "k"], "next, previous step at the machine"],
  [["Space"], "tick the next point, or cut done, at the machine"],
  [["m"], "take a reading at the machine"],
  [["a"], "add a feature, at Drawing"],
  [["o"], "own depth of a pass, at Cuts"],
  [["/"], "find anything by a few letters"],
  [["w"], "show or hide the workings"],
  [["u"], "mm or inch"],
  [["Ctrl+Z"], "undo a decision"],
  [["Ctrl+Shift+Z"], "do it again"],
  [["?"], "this sheet"],
];

/** All keys, and the switch that turns single keys off. */
export function KeysSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const ref = useRef<HTMLDialogElement>(null);
  const [single, setSingle] = useSingleKeys();
  useEffect(() => {
    if (open) ref.current?.showModal();
    else ref.current?.close();
  }, [open]);
  return (
    <chakra.dialog
      ref={ref}
      onClose={onClose}
      aria-labelledby="keys-title"
      m="auto"
      p="22px"
      bg="ground"
      color="ink"
      borderWidth="2px"
      borderStyle="solid"
      borderColor="ink"
      maxW="460px"
      width="92vw"
    >
      <chakra.h2 id="keys-title" fontSize="20px" mb="10px">
        Keys
      </chakra.h2>
      <Box as="dl" display="grid" gridTemplateColumns="130px 1fr" gap="6px 12px">
        {keys.map(([names, what]) => (
          <Box key={what} display="contents">
            <dt>
              {names.map((name) => (
                <span key={name}>{name === "…" ? " … " : <Key>{name}</Key>} </span>
              ))}
            </dt>
            <dd>{what}</dd>
          </Box>
        ))}
      </Box>
      <chakra.p mt="12px" fontSize="14px" color="quiet">
        Single keys act only when no field has focus. Digits that an instrument types open the reading pad at
        the machine.
      </chakra.p>
      <Box display="flex" gap="8px" mt="14px">
        <Button onClick={() => setSingle(single === "on" ? "off" : "on")} aria-pressed={single === "off"}>
          Switch single keys {single === "on" ? "off" : "on"}
        </Button>
        <Button look="strong" onClick={onClose}>
          Close
        </Button>
      </Box>
    </chakra.dialog>
  );
}
