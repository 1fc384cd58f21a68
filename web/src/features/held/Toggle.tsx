/** A word that is pressed or not. */
export function Toggle({ on, onClick, children }: { on: boolean; onClick: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onClick}
      className="min-h-11 min-w-16 border border-edge px-3 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-ground lg:min-h-9"
    >
      {children}
    </button>
  );
}
