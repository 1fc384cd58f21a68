import type { ReactNode } from "react";
import { useMay, type Right } from "./rights";

/** What is offered to those alone who may do it. */
export function May({ right, children }: { right: Right; children: ReactNode }) {
  return useMay(right) ? children : null;
}
