import * as z from "../zod.ts";
import { cutterSchema } from "./cutter.ts";
import { parallelsSchema, rodSchema, viseSchema } from "./holding-devices.ts";
import { instrumentSchema } from "./instrument.ts";
import { machineSchema } from "./machine.ts";

export const shopSchema = z.object({
  machines: z.array(machineSchema),
  cutters: z.array(cutterSchema),
  vises: z.array(viseSchema),
  parallels: z.array(parallelsSchema),
  rods: z.array(rodSchema),
  instruments: z.array(instrumentSchema),
});
/** What is owned. */
export type Shop = z.infer<typeof shopSchema>;

export const instrumentById = (shop: Shop, id: string) => shop.instruments.find((i) => i.id === id);
