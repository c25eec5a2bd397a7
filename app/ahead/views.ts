/** What is planned over several jobs: views with their own addresses. */
export const aheadViews = [
  { id: "sawing", name: "Sawing" },
  { id: "days", name: "Days" },
] as const;
export type AheadView = (typeof aheadViews)[number]["id"];

export const aheadPath = (view: AheadView): string => `/ahead/${view}`;
