/** Weight of stock. Sizes mm, density kg/m³. */
export type StockShape =
  | { shape: "round"; diameter: number; length: number }
  | { shape: "plate"; length: number; width: number; thickness: number }
  | { shape: "square"; side: number; length: number }
  | { shape: "hex"; acrossFlats: number; length: number }
  | { shape: "angle"; legA: number; legB: number; thickness: number; length: number }
  | { shape: "tube"; outside: number; wall: number; length: number }
  | { shape: "rectTube"; width: number; height: number; wall: number; length: number };

/** Section in mm² without root and toe radii; null for a shape that cannot be. */
function section(s: StockShape): number | null {
  switch (s.shape) {
    case "round":
      return (Math.PI * s.diameter ** 2) / 4;
    case "plate":
      return s.width * s.thickness;
    case "square":
      return s.side ** 2;
    case "hex":
      return (Math.sqrt(3) / 2) * s.acrossFlats ** 2;
    case "angle":
      return s.thickness < Math.min(s.legA, s.legB) ? (s.legA + s.legB - s.thickness) * s.thickness : null;
    case "tube":
      return 2 * s.wall < s.outside ? Math.PI * s.wall * (s.outside - s.wall) : null;
    case "rectTube":
      return 2 * s.wall < Math.min(s.width, s.height)
        ? s.width * s.height - (s.width - 2 * s.wall) * (s.height - 2 * s.wall)
        : null;
  }
}

/** Volume in cm³ and mass in kg; null when a size is not positive or the wall is thicker than the section. */
export function weightOf(stock: StockShape, density: number): { volume: number; mass: number } | null {
  const area = section(stock);
  const sizes = Object.values(stock).filter((v): v is number => typeof v === "number");
  if (area === null || !(density > 0) || sizes.some((v) => !(v > 0))) return null;
  const volume = (area * stock.length) / 1000;
  return { volume, mass: (volume * density) / 1e6 };
}
