import { Box, chakra } from "@chakra-ui/react";
import {
  useBothUnits,
  useButtonSide,
  useMachineTheme,
  useReadOut,
  useTelling,
} from "../../instruments/local-setting.ts";
import { Segments } from "../../instruments/segments.tsx";
import { canReadOut } from "./use-read-out.ts";

/** How the machine station is told, looks and lies to the hand; kept on this device. */
export function MachineSettings() {
  const [telling, setTelling] = useTelling();
  const [theme, setTheme] = useMachineTheme();
  const [side, setSide] = useButtonSide();
  const [both, setBoth] = useBothUnits();
  const [readOut, setReadOut] = useReadOut();
  return (
    <Box
      display="grid"
      alignContent="start"
      gap="10px"
      mt={{ base: "10px", md: "0" }}
      pt="10px"
      borderTopWidth={{ base: "1px", md: "0" }}
      minW={{ md: "340px" }}
    >
      <Setting label="Steps" help="Brief folds placing, tools and ways in the air into the cut they lead to.">
        <Segments
          label="Steps"
          size="lg"
          value={telling}
          of={[
            ["full", "Full"],
            ["brief", "Brief"],
          ]}
          onChoose={setTelling}
        />
      </Setting>
      <Setting label="Ground">
        <Segments
          label="Ground"
          size="lg"
          value={theme}
          of={[
            ["shop", "Dark"],
            ["paper", "Light"],
          ]}
          onChoose={setTheme}
        />
      </Setting>
      <Setting label="The other unit too">
        <Segments
          label="The other unit too"
          size="lg"
          value={both}
          of={[
            ["off", "Off"],
            ["on", "On"],
          ]}
          onChoose={setBoth}
        />
      </Setting>
      <Setting label="Buttons at the">
        <Segments
          label="Buttons at the"
          size="lg"
          value={side}
          of={[
            ["left", "left"],
            ["right", "right"],
          ]}
          onChoose={setSide}
        />
      </Setting>
      {canReadOut() && (
        <Setting label="Read aloud">
          <Segments
            label="Read aloud"
            size="lg"
            value={readOut}
            of={[
              ["off", "Off"],
              ["on", "On"],
            ]}
            onChoose={setReadOut}
          />
        </Setting>
      )}
    </Box>
  );
}

const Setting = ({ label, help, children }: { label: string; help?: string; children: React.ReactNode }) => (
  <Box>
    <Box display="flex" gap="12px" alignItems="center" justifyContent="space-between">
      <chakra.span fontSize="16px">{label}</chakra.span>
      {children}
    </Box>
    {help && (
      <chakra.p fontSize="14px" color="quiet" mt="4px" maxW="340px">
        {help}
      </chakra.p>
    )}
  </Box>
);
