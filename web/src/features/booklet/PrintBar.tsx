import { Link } from "react-router";
import { useCommand } from "../../ui/commands";

/** Back, and print; not on the paper. */
export function PrintBar({ back, what }: { back: string; what: string }) {
  useCommand({ title: "Print this page", key: "p", run: () => window.print() });
  return (
    <p className="no-print mb-4 flex items-center justify-between border-b border-rule py-2">
      <Link className="link" to={back}>
        Back to {what}
      </Link>
      <button type="button" className="plate" onClick={() => window.print()}>
        Print
      </button>
    </p>
  );
}
