import { type StockShape, weightOf } from "../../core/stock/index.ts";
import { type Answers, type Inputs, orRefuse, refuse } from "./answers.ts";
import { materialNamed } from "./material-names.ts";

function shapeOf(i: Inputs): StockShape {
  const length = i.length_mm;
  switch (i.shape as StockShape["shape"]) {
    case "round":
      return { shape: "round", diameter: i.diameter_mm, length };
    case "plate":
      return { shape: "plate", length, width: i.width_mm, thickness: i.thickness_mm };
    case "square":
      return { shape: "square", side: i.side_mm ?? i.width_mm, length };
    case "hex":
      return { shape: "hex", acrossFlats: i.across_flats_mm, length };
    case "angle":
      return { shape: "angle", legA: i.leg_a_mm, legB: i.leg_b_mm, thickness: i.thickness_mm, length };
    case "tube":
      return {
        shape: "tube",
        outside: i.outside_mm ?? i.outer_diameter_mm ?? i.diameter_mm,
        wall: i.wall_mm,
        length,
      };
    case "rectTube":
    default:
      return { shape: "rectTube", width: i.width_mm, height: i.height_mm, wall: i.wall_mm, length };
  }
}

const mass: Answers[string] = (i) => {
  const weight = weightOf(shapeOf(i), i.density_kg_m3);
  return weight ? { volume_cm3: weight.volume, mass_kg: weight.mass } : refuse;
};

export const answers: Answers = {
  mass: (i) => orRefuse(mass(i)),
  density_band: ({ material }) => ({ density_kg_m3: materialNamed(material).density }),
  refuse: (i) => (i.for === "mass" ? orRefuse(mass(i)) : refuse),
};
