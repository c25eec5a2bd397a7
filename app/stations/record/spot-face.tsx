import { Box, chakra } from "@chakra-ui/react";
import { type Spot, spotsRound, spotWords } from "../../../core/inspect/index.ts";
import { type LengthUnit, type Mm, mm, showQuantity } from "../../../core/quantity/index.ts";

/** A reading at a spot of a face. */
interface Read {
  value: Mm;
  spot: Spot | null;
}

/** Small steps that deviations are counted in: thousandths of a mm, or tenths of a thou. */
const stepOf = (unit: LengthUnit): Mm => (unit === "mm" ? 0.001 : 0.00254);

const signed = (steps: number): string => (steps === 0 ? "0" : steps > 0 ? `+${steps}` : `−${-steps}`);

/**
 * A face from above as it lay when it was cut: its corners and middle, each with how far it is off the size meant. A spot pressed is
 * where the next reading counts.
 */
export function SpotFace({
  readings,
  meant,
  span,
  chosen,
  onChoose,
  unit,
}: {
  readings: readonly Read[];
  meant: Mm;
  /** How long the face is along X and Y, mm. */
  span: { x: Mm; y: Mm };
  chosen: Spot | null;
  onChoose: (spot: Spot) => void;
  unit: LengthUnit;
}) {
  const at = (spot: Spot) => readings.findLast((r) => r.spot?.x === spot.x && r.spot.y === spot.y);
  const values = readings.filter((r) => r.spot).map((r) => r.value);
  const [most, least] = [Math.max(...values), Math.min(...values)];
  return (
    <Box>
      <chakra.p textAlign="center" fontSize="13px" color="quiet">
        back
      </chakra.p>
      <Box
        position="relative"
        borderWidth="2px"
        borderColor="ink"
        bg="metal"
        mx="auto"
        width="100%"
        maxW="360px"
        style={{ aspectRatio: Math.min(2.6, Math.max(1.5, span.x / Math.max(span.y, 1e-6))) }}
      >
        {spotsRound.map((spot) => {
          const read = at(spot);
          const now = chosen !== null && chosen.x === spot.x && chosen.y === spot.y;
          const high = read !== undefined && values.length > 2 && read.value === most && most > least;
          return (
            <chakra.button
              key={spotWords(spot)}
              type="button"
              position="absolute"
              style={{ left: `${50 + spot.x * 38}%`, top: `${50 - spot.y * 34}%` }}
              transform="translate(-50%, -50%)"
              minW="48px"
              minH="44px"
              px="6px"
              borderRadius="22px"
              borderWidth={now ? "3px" : "1.5px"}
              borderStyle="solid"
              borderColor={now ? "accent" : high ? "warn" : "ink"}
              bg="sheet"
              color={high ? "warn" : "ink"}
              fontWeight="700"
              cursor="pointer"
              aria-pressed={now}
              aria-label={`${spotWords(spot)}: ${read ? showQuantity(mm(read.value), unit, unit === "mm" ? 3 : 4) : "not read"}${high ? ", thickest" : ""}`}
              onClick={() => onChoose(spot)}
            >
              {read ? signed(Math.round((read.value - meant) / stepOf(unit))) : "·"}
              {high && <span aria-hidden="true"> ▲</span>}
            </chakra.button>
          );
        })}
      </Box>
      <chakra.p textAlign="center" fontSize="13px" color="quiet">
        front · {unit === "mm" ? "thousandths of a mm" : "tenths of a thou"} from{" "}
        {showQuantity(mm(meant), unit, unit === "mm" ? 3 : 4)}
      </chakra.p>
    </Box>
  );
}
