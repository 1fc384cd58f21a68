import type { ReactNode } from "react";

/** The page of somebody who is not in yet: the gate is the page, its two posts, and it opens once. */
export function Door({ children }: { children: ReactNode }) {
  return (
    <main className="grid min-h-dvh place-items-center p-4">
      <span aria-hidden="true" className="door-post left-0" />
      <span aria-hidden="true" className="door-post right-0" />
      {children}
    </main>
  );
}
