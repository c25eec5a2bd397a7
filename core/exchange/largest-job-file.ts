/** Larger files are refused before they are read, bytes. Apart from their reading: the bench says it before anything is loaded. */
export const largestJobFile = 10_000_000;
