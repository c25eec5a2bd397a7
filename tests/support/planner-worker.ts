import * as Comlink from "comlink";
import { planner } from "../../app/planner/planner.ts";

/** Puts the worker's own code behind a message channel in place of a browser's worker: everything is copied as there. */
export function plannerWithoutWorker(): void {
  class Channel {
    constructor() {
      const { port1, port2 } = new MessageChannel();
      Comlink.expose(planner, port2);
      return port1;
    }
  }
  globalThis.Worker = Channel as unknown as typeof Worker;
}
