import { useEffect, useMemo, useState } from "react";
import { useMoving } from "./setting";

/** How long the order stays as it is after the hand has come to rest, before another is offered, in milliseconds. */
const OFFERED_AFTER = 1500;

interface Ordered<T> {
  items: T[];
  /** What would stand first, once another order may be taken. */
  first?: T;
  /** Takes the order that is right now. */
  reorder: () => void;
}

/**
 * Things in the order in which they came first, whatever they are worth meanwhile: nothing changes its place under the hand.
 * `stamp` says what the order belongs to; with another one it is taken anew.
 */
export function useFrozenOrder<T>(items: T[], idOf: (item: T) => string, stamp: string): Ordered<T> {
  const now = items.map(idOf);
  const [kept, keep] = useState({ stamp, ids: now });
  const moving = useMoving();
  const [rested, setRested] = useState("");
  const wanted = now.join(" ");
  const isNew = kept.stamp !== stamp;
  const ids = isNew ? now : kept.ids;
  if (isNew) keep({ stamp, ids: now });
  useEffect(() => {
    if (moving) return;
    const timer = setTimeout(() => setRested(wanted), OFFERED_AFTER);
    return () => clearTimeout(timer);
  }, [wanted, moving]);
  const shown = useMemo(() => {
    const place = new Map(ids.map((id, index) => [id, index]));
    return [...items].sort((a, b) => (place.get(idOf(a)) ?? ids.length) - (place.get(idOf(b)) ?? ids.length));
    // The items are made anew at every step; what they are is said by their ids.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [items, ids]);
  const differs = shown.some((item, index) => idOf(item) !== now[index]);
  return {
    items: shown,
    first: differs && !moving && rested === wanted ? items[0] : undefined,
    reorder: () => keep({ stamp, ids: now }),
  };
}
