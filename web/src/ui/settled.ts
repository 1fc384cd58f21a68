import { useEffect, useState } from "react";

/** A value once it has not changed for so many milliseconds. */
export function useSettled<T>(value: T, after: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), after);
    return () => clearTimeout(timer);
  }, [value, after]);
  return settled;
}
