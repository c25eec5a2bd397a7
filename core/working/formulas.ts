/** Formulas as shown in the margin, with the inch form where shops write it otherwise. */
const formulas = {
  "spindle-speed": { metric: "n = 1000 · vc ÷ (π · D)", inch: "n = 12 · vc ÷ (π · D)" },
  "table-feed": { metric: "vf = fz · z · n" },
  "chip-power": { metric: "P = ap · ae · vf · kc ÷ 60 000 000", inch: "P = ap · ae · vf × unit power" },
  "specific-force": { metric: "kc = kc1.1 · hm^(−mc)" },
  "mean-chip": { metric: "hm = fz · sin κ · (cos φ1 − cos φ2) ÷ (φ2 − φ1)" },
  "depth-by-power": { metric: "ap = P ÷ (ae · vf · kc) · 60 000 000" },
  "to-remove": { metric: "to remove = on the block now − wanted" },
  "pass-count": { metric: "passes = (to remove − last pass) ÷ largest depth, rounded up" },
  "pass-depth": { metric: "depth = (to remove − last pass) ÷ passes" },
  "stop-reading": { metric: "stop = wanted size after the pass − size at zero" },
  dial: { metric: "turns = depth ÷ lead; divisions = the rest ÷ one division" },
  spare: { metric: "spare = smallest reading − largest finished" },
  "removal-rate": { metric: "Q = ap · ae · vf" },
  torque: { metric: "M = P · 30 000 ÷ (π · n)", inch: "M = P · 63 025 ÷ n" },
  "mean-force": { metric: "F = 60 000 · P ÷ vc", inch: "F = 33 000 · P ÷ vc" },
  "cut-time": { metric: "t = passes · lanes · (length + run-in + run-out) ÷ vf" },
  pace: { metric: "seconds a turn = 60 · lead ÷ vf" },
  projection: { metric: "above the jaws = parallel + part − jaw depth" },
  grip: { metric: "grip = jaw depth − parallel" },
  "parallel-height": { metric: "parallel ≥ jaw depth + cuts + clearance − part" },
  "thin-chip": { metric: "hex = 2 · fz · √((ae ÷ D) · (1 − ae ÷ D))" },
  "lead-chip": { metric: "hex = fz · sin κ" },
  "force-over-turn": { metric: "F = kc1.1 · Σ edge · hex^(1 − mc), largest place of a turn" },
  bending: { metric: "δ = F · L³ ÷ (3 · E · I), I = π · d⁴ ÷ 64" },
  spring: { metric: "δ = F ÷ spring" },
  "feed-marks": { metric: "Ra = f² ÷ (32 · r)" },
  "feed-for-ra": { metric: "f = √(32 · r · Ra)" },
  cusp: { metric: "h = r − √(r² − (s ÷ 2)²)" },
  "tilt-depth": { metric: "depth = s · cos θ; at the side s · sin θ" },
  "tilt-part": { metric: "the edge goes back s ÷ sin θ" },
  "cutting-speed": { metric: "vc = π · D · n ÷ 1000", inch: "vc = π · D · n ÷ 12" },
  "feed-per-tooth": { metric: "fz = vf ÷ (z · n)" },
  "tram-trough": { metric: "(R − √(R² − (ae ÷ 2)²)) · tan tilt" },
  "tram-step": { metric: "lane · sin tilt" },
  "screw-force": { metric: "F = 2π · η · T ÷ lead" },
  "friction-holds": { metric: "holds = μ · contacts · F ÷ safety" },
  tipping: { metric: "holds = F · grip ÷ 2 ÷ (height · safety)" },
  "bolt-force": { metric: "F = T ÷ (K · d), K 0.2" },
  "strap-share": { metric: "on the work = F · to heel ÷ (to work + to heel)" },
  "stud-length": { metric: "stud = what it passes + nut + T-nut + 0.3 · d" },
  mass: { metric: "mass = volume · density" },
  growth: { metric: "growth = length · expansion · warmer by" },
  "root-of-squares": { metric: "expected = √(sum of squares)" },
  "guard-band": { metric: "good when lower + U ≤ reading ≤ upper − U" },
} satisfies Record<string, { metric: string; inch?: string }>;

export type FormulaId = keyof typeof formulas;

/** The formula's text in metric or inch form. */
export function formulaText(id: FormulaId, unit: "mm" | "in"): string {
  const form: { metric: string; inch?: string } = formulas[id];
  return unit === "in" ? (form.inch ?? form.metric) : form.metric;
}
