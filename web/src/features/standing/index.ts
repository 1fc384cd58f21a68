import { lazy } from "react";

export const StandingsPage = lazy(() =>
  import("./StandingsPage").then((m) => ({ default: m.StandingsPage })),
);
export const StandingPage = lazy(() => import("./StandingPage").then((m) => ({ default: m.StandingPage })));
export const MinePage = lazy(() => import("./StandingPage").then((m) => ({ default: m.MinePage })));
export { useStandings } from "./standing";
