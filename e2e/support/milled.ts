import { readFileSync } from "node:fs";

export interface DrawnSize {
  nominal: number;
  written: { text: string; unit: string };
}

/** As much of a job file as tests change. */
export interface JobFile {
  job: {
    id: string;
    name: string;
    part: {
      features: { byId: Record<string, { sizes: Record<string, DrawnSize> }>; order: string[] };
      sizes: Record<string, DrawnSize>;
    };
    stock: {
      form: string;
      conditions: Record<string, string>;
      measured: Record<string, Record<string, unknown>>;
    };
  };
}

export const demoFile = (id: string): JobFile =>
  JSON.parse(readFileSync(`public/demo/${id}.json`, "utf8")) as JobFile;

/** A size of a feature drawn anew, mm. */
export const drawn = (nominal: number): DrawnSize => ({
  nominal,
  written: { text: String(nominal), unit: "mm" },
});

/** A demo job whose blank comes milled to size: only its features are cut. */
export function milledCopy(of: string, id: string, name: string): JobFile {
  const file = demoFile(of);
  const { job } = file;
  Object.assign(job, { id, name });
  job.stock.form = "milled";
  for (const face of Object.keys(job.stock.conditions)) job.stock.conditions[face] = "milled";
  for (const [axis, size] of Object.entries(job.part.sizes))
    job.stock.measured[axis] = {
      p1: { value: size.nominal, written: { text: String(size.nominal), unit: "mm" } },
      p2: null,
      p3: null,
      p4: null,
    };
  return file;
}
