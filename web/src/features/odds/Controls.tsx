import { lazy, Suspense } from "react";
import type { Schemas } from "../../api/client";

const bring = () => import("./OddsControls");

/** Has the controls come before they are wanted, as when the hand is on its way to open them. */
export const controlsSoon = () => void bring();

const Whole = lazy(() => bring().then((m) => ({ default: m.OddsControls })));

/** Read, late start, aim and who with; they come when they are first opened, for many read the map as it is set. */
export function OddsControls({ map }: { map: Schemas["Map"] }) {
  return (
    <Suspense fallback={<div className="min-h-20" />}>
      <Whole map={map} />
    </Suspense>
  );
}
