/** A day and a minute of it, as a person reads them. */
export const dayName = (day: string) =>
  new Date(`${day}T12:00:00`).toLocaleDateString([], { weekday: "short", day: "numeric", month: "short" });
export const clock = (minute: number) =>
  `${String(Math.floor(minute / 60) % 24).padStart(2, "0")}:${String(Math.round(minute) % 60).padStart(2, "0")}`;
