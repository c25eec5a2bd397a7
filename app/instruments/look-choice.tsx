import { useDeskTheme } from "./local-setting.ts";
import { Segments } from "./segments.tsx";

/** Light or dark at the desk. The machine has its own. */
export function LookChoice() {
  const [theme, setTheme] = useDeskTheme();
  return (
    <Segments
      label="Light or dark"
      value={theme}
      of={[
        ["paper", "Light"],
        ["shop", "Dark"],
      ]}
      onChoose={setTheme}
    />
  );
}
