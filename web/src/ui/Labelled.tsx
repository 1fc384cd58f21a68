import type { ReactNode } from "react";

/** A field with its name. What is wrong with it stands outside the label, so that the name stays the name. */
export function Labelled({ label, children, error }: { label: string; children: ReactNode; error?: string }) {
  return (
    <div className="min-w-0">
      <label className="block">
        <span className="font-semibold">{label}</span>
        {children}
      </label>
      {error && (
        <span role="alert" className="block text-rust">
          {error}
        </span>
      )}
    </div>
  );
}
