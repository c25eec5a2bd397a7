import * as fc from "fast-check";

// The check draws the same cases every time; `LAW_SEED=… npm run unit` draws others. A failing law is told as it was found:
// shrinking a whole walk takes minutes.
fc.configureGlobal({ seed: Number(process.env.LAW_SEED ?? 20261125), endOnFailure: true });
