import { useState } from "react";
import { useLocation } from "react-router";

/** What stands behind the sign # in the address; it is never sent with it. */
export function useToken(): string {
  const { hash } = useLocation();
  const [first] = useState(hash.slice(1));
  return first;
}
