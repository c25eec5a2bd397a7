/** A count with its word, one or several: "1 setup", "3 setups". @param several where it is not the word with an s */
export const counted = (count: number, one: string, several = `${one}s`): string =>
  `${count} ${count === 1 ? one : several}`;
