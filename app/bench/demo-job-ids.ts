/** The demo jobs, by the name of their file, which is their id. The last is the newest, and stands first. */
export const demoJobIds = [
  "keeper-blocks",
  "wear-strip",
  "cast-foot",
  "track-dogs",
  "crank-shaft",
  "drum-shaft",
  "pawl-plate",
  "cheek-block",
] as const;
