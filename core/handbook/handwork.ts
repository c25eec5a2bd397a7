/** Work at bench, saw and grinder beside the milling: what each is, what to take care of, how it is checked, how long it takes. */
export const handKinds = ["saw", "relief", "file", "sand", "grind", "polish", "wash"] as const;
export type HandKind = (typeof handKinds)[number];

export interface HandFacts {
  text: string;
  caution: string;
  check: string;
  /** Usual minutes (guess). */
  minutes: number;
}

export const handFacts: Record<HandKind, HandFacts> = {
  saw: {
    text: "saw off",
    caution:
      "Eye protection, no gloves at the blade, the part clamped on both sides of the cut. A sawn piece is hot and has a burr.",
    check: "Measured: enough is left for the cutter, and the sawn edge is filed",
    minutes: 6,
  },
  relief: {
    text: "relief slot",
    caution: "Stop short of the finished line; a slot closes on the blade when the metal is under stress.",
    check: "Measured from its bottom to the finished line: something is left for the cutter",
    minutes: 8,
  },
  file: {
    text: "file",
    caution: "A handle on the file, the part in soft jaws, chips off with a brush and not by hand.",
    check: "Tried with straightedge and square, or on its mate",
    minutes: 5,
  },
  sand: {
    text: "sand on a belt",
    caution:
      "Eye protection and a mask, no gloves at the belt; small parts in a clamp, never in the fingers. A belt rounds edges and faces: nothing with a tolerance.",
    check: "Nothing rounded that has a size, and measured again where it has",
    minutes: 4,
  },
  grind: {
    text: "grind at the bench",
    caution:
      "Eye protection, guard on, rest close to the wheel, no gloves. No aluminum, brass or plastic on the wheel: it loads and bursts. The part gets hot: dip it often, hold a small one in pliers.",
    check: "No blue color left on hardened steel, edges broken",
    minutes: 5,
  },
  polish: {
    text: "polish",
    caution:
      "The wheel turns away from you at the edge; hold the part low on it, no sleeves or gloves near it.",
    check: "Seen against the light, sizes measured again where they matter",
    minutes: 8,
  },
  wash: {
    text: "wash and oil",
    caution: "Aired, away from flames; gloves that stand the solvent.",
    check: "No grit in holes and slots, a film of oil on steel",
    minutes: 3,
  },
};
