import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { quantity } from "../../core/quantity/index.ts";
import { Button } from "./button.tsx";
import { Figure } from "./words.tsx";

/** One short quiet tick. */
function tick(audio: AudioContext) {
  const start = audio.currentTime;
  const tone = audio.createOscillator();
  const loudness = audio.createGain();
  tone.frequency.value = 880;
  loudness.gain.setValueAtTime(0.08, start);
  loudness.gain.exponentialRampToValueAtTime(0.0005, start + 0.06);
  tone.connect(loudness).connect(audio.destination);
  tone.start(start);
  tone.stop(start + 0.07);
}

/** Hand feed as a pace: one turn of the handle in so many seconds, with a tick to be heard and seen at each turn. */
export function Pace({ seconds, large = false }: { seconds: number; large?: boolean }) {
  const [running, setRunning] = useState(false);
  const [turns, setTurns] = useState(0);
  const audio = useRef<AudioContext | null>(null);
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(
      () => {
        setTurns((n) => n + 1);
        if (audio.current) tick(audio.current);
      },
      Math.max(0.2, seconds) * 1000,
    );
    return () => clearInterval(timer);
  }, [running, seconds]);
  useEffect(() => () => void audio.current?.close(), []);
  const toggle = () => {
    if (!running && !audio.current && typeof AudioContext !== "undefined") audio.current = new AudioContext();
    setTurns(0);
    setRunning(!running);
  };
  return (
    <Box as="span" display="inline-flex" alignItems="center" gap="8px" flexWrap="wrap">
      <span>
        1 turn in <Figure of={quantity("seconds", seconds)} />
      </span>
      <Button onClick={toggle} aria-pressed={running} minH={large ? "44px" : "28px"}>
        <chakra.span
          aria-hidden="true"
          width="12px"
          height="12px"
          borderRadius="full"
          borderWidth="2px"
          borderColor="accent"
          bg={running && turns % 2 === 1 ? "accent" : "transparent"}
        />
        {running ? `turn ${turns + 1}, stop` : "tick"}
      </Button>
    </Box>
  );
}
