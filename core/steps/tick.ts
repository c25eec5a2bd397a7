import type { Phrase } from "../working/index.ts";

/** One thing of a step that is ticked when it is done. */
export interface Tick {
  id: string;
  phrase: Phrase;
  done: boolean;
}
