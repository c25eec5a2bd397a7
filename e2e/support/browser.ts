/** Port of the server under test. */
export const port = 4180;

/** Debian's headless Chromium, quiet on a closed network. */
export const chromiumFlags = [
  "--no-sandbox",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];
