import { lazy } from "react";

// What waits is sent from every page; the pages themselves come when they are opened.
export const LogPage = lazy(() => import("./LogPage").then((m) => ({ default: m.LogPage })));
export const RecordFilesPage = lazy(() =>
  import("./RecordFilesPage").then((m) => ({ default: m.RecordFilesPage })),
);
export const RoundsPage = lazy(() => import("./RoundsPage").then((m) => ({ default: m.RoundsPage })));
export const TruthPage = lazy(() => import("./TruthPage").then((m) => ({ default: m.TruthPage })));
export { useRecord, useSendingRecord } from "./events";
export { Waits } from "./Waits";
export { familyTitle } from "./words";
