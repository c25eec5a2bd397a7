import { Menu, Portal } from "@chakra-ui/react";
import { useState } from "react";
import { type Feature, kindsFor, rulesOf } from "../../../core/part/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Key } from "../../instruments/key.tsx";
import { useKeyboard } from "../../instruments/keyboard.ts";
import { useSingleKeys } from "../../instruments/local-setting.ts";

/** Every kind of feature there is. The key a opens it; a first letter or the arrows go on to a kind. */
export function AddMenu({
  form,
  onAdd,
}: {
  form: "block" | "shaft";
  onAdd: (kind: Feature["kind"]) => void;
}) {
  const [open, setOpen] = useState(false);
  const [singleKeys] = useSingleKeys();
  useKeyboard(
    { a: ["add a feature; then its first letter", () => setOpen(true)] },
    { single: singleKeys === "on", onInstrument: () => undefined },
  );
  return (
    <Menu.Root
      open={open}
      onOpenChange={(to) => setOpen(to.open)}
      onSelect={({ value }) => onAdd(value as Feature["kind"])}
    >
      <Menu.Trigger asChild>
        <Button look="strong">
          Add a feature <Key>a</Key>
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content>
            {kindsFor(form).map((kind) => (
              <Menu.Item key={kind} value={kind} title={rulesOf(kind).what}>
                {rulesOf(kind).word}
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}
