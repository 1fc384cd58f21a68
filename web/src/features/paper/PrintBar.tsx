import type { ReactNode } from "react";
import { Link } from "react-router";
import { useCommand } from "../../ui/commands";

/** Back, what else can be printed here, and print; not on the paper. */
export function PrintBar({ back, what, children }: { back: string; what: string; children?: ReactNode }) {
  useCommand({ title: "Print this page", key: "p", run: () => window.print() });
  return (
    <div className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-5 py-2">
      <Link className="link mr-auto" to={back}>
        Back to {what}
      </Link>
      {children}
      <button type="button" className="plate" onClick={() => window.print()}>
        Print
      </button>
    </div>
  );
}
