import { Box, chakra, Dialog, Portal } from "@chakra-ui/react";
import { useState } from "react";
import { Button } from "../instruments/button.tsx";
import { LookChoice } from "../instruments/look-choice.tsx";
import { Key } from "../instruments/key.tsx";
import { keysHere } from "../instruments/keyboard.ts";
import { useSingleKeys } from "../instruments/local-setting.ts";

/** How a key is called that has no sign of its own. */
const called = (key: string): string =>
  key === " " ? "Space" : key.replace(/\+[a-z]$/, (last) => last.toUpperCase());

/** The keys that act on this page, as they stand at the moment they are asked for, and the switch that turns single keys off. */
export default function KeysDialog({ onClose }: { onClose: () => void }) {
  const [single, setSingle] = useSingleKeys();
  const [here] = useState(keysHere);
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content maxW="460px">
            <Dialog.Title>Keys on this page</Dialog.Title>
            <Box as="dl" display="grid" gridTemplateColumns="150px 1fr" gap="6px 12px">
              {here.map(({ keys, what }) => (
                <Box key={what} display="contents">
                  <dt>
                    {(keys.length > 3 ? [keys[0]!, keys.at(-1)!] : keys).map((key, i) => (
                      <span key={key}>
                        {i > 0 && (keys.length > 3 ? " … " : " ")}
                        <Key>{called(key)}</Key>
                      </span>
                    ))}
                  </dt>
                  <dd>{what}</dd>
                </Box>
              ))}
            </Box>
            <chakra.p mt="12px" fontSize="14px" color="quiet">
              Single keys act only when no field has focus. Digits that an instrument types open the reading
              pad at the machine.
            </chakra.p>
            <Box display="flex" gap="8px" mt="14px" flexWrap="wrap" alignItems="center">
              <LookChoice />
              <Button
                onClick={() => setSingle(single === "on" ? "off" : "on")}
                aria-pressed={single === "off"}
              >
                Switch single keys {single === "on" ? "off" : "on"}
              </Button>
              <Button look="strong" onClick={onClose}>
                Close
              </Button>
            </Box>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
