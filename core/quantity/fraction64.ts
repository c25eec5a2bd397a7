/**
 * Nearest sixty-fourth of an inch in lowest terms; an exact tie goes up.
 * @returns text as on a rule ("2 1/4"), the count of 64ths, and the error value − fraction in inches
 */
export function nearest64(inches: number): { text: string; sixtyfourths: number; errorIn: number } {
  const negative = inches < 0;
  const sixtyfourths = Math.round(Math.abs(inches) * 64);
  const whole = Math.floor(sixtyfourths / 64);
  let top = sixtyfourths % 64;
  let bottom = 64;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const part = top > 0 ? `${top}/${bottom}` : "";
  const size = whole > 0 && part ? `${whole} ${part}` : part || String(whole);
  return {
    text: negative && sixtyfourths > 0 ? `−${size}` : size,
    sixtyfourths: negative ? -sixtyfourths : sixtyfourths,
    errorIn: inches - (negative ? -1 : 1) * (sixtyfourths / 64),
  };
}
