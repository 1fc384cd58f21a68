import type { ReactNode } from "react";

/** A link that could be used, with the word that takes it back. */
export function OpenLink({
  about,
  withdrawing,
  withdraw,
  children,
}: {
  /** What it is, for whoever hears the word alone. */
  about: string;
  withdrawing: boolean;
  withdraw: () => void;
  children: ReactNode;
}) {
  return (
    <li className="flex min-h-11 items-center gap-x-4 border-b border-rule py-1 lg:min-h-9">
      <span className="min-w-0 grow">{children}</span>
      <button
        type="button"
        className="word shrink-0"
        aria-label={`Withdraw: ${about}`}
        disabled={withdrawing}
        onClick={withdraw}
      >
        Withdraw
      </button>
    </li>
  );
}

/** Links that work no longer, folded. */
export function PastLinks({ links }: { links: { id: string; about: string; end: string }[] }) {
  if (links.length === 0) return null;
  return (
    <details className="mt-3">
      <summary>
        {links.length === 1
          ? "One link of the last weeks that works no longer"
          : `${links.length} links of the last weeks that work no longer`}
      </summary>
      <ul className="mt-1">
        {links.map((one) => (
          <li key={one.id} className="border-b border-rule py-1">
            {one.about} <span className="text-quiet">{one.end}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
