import { Box, chakra } from "@chakra-ui/react";
import { type Spot, spotsRound, spotWords } from "../../../core/inspect/index.ts";
import { Button } from "../../instruments/button.tsx";

/** Where on the face the next reading is taken: the corners in their order, or the one that is pressed. */
export function SpotRow({ chosen, onChoose }: { chosen: Spot | null; onChoose: (spot: Spot) => void }) {
  return (
    <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center" mb="6px">
      <chakra.span fontSize="15px" color="quiet">
        read at the
      </chakra.span>
      {spotsRound.map((spot) => {
        const now = chosen !== null && chosen.x === spot.x && chosen.y === spot.y;
        return (
          <Button
            key={spotWords(spot)}
            look={now ? "strong" : "plain"}
            aria-pressed={now}
            css={{ minHeight: "44px" }}
            onClick={() => onChoose(spot)}
          >
            {spotWords(spot)}
          </Button>
        );
      })}
    </Box>
  );
}
