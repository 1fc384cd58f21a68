import { useState, type ReactNode } from "react";

/** A link that was just made: it is told this once, to be copied and handed on. */
export function HandOn({
  address,
  about,
  children,
}: {
  address: string;
  about: string;
  children: ReactNode;
}) {
  const [copied, setCopied] = useState(false);
  return (
    <div role="status" className="border-l-4 border-ink bg-lane px-3 py-2">
      <p className="font-semibold">{about}</p>
      <div className="mt-1 flex gap-3">
        <input
          className="box min-w-0 grow"
          readOnly
          aria-label="The link"
          value={address}
          onFocus={(event) => event.target.select()}
        />
        <button
          type="button"
          className="plate shrink-0"
          onClick={() =>
            void navigator.clipboard
              .writeText(address)
              .then(() => setCopied(true))
              // Without leave to write there, one copies by hand what is chosen on focus.
              .catch(() => setCopied(false))
          }
        >
          {copied ? "Copied" : "Copy"}
        </button>
      </div>
      <p className="mt-1 text-quiet">{children} It is shown here and never again.</p>
    </div>
  );
}
