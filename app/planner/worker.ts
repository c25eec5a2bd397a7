import * as Comlink from "comlink";
import { planner } from "./planner.ts";

Comlink.expose(planner);
