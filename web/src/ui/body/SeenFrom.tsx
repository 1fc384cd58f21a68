/** From where two bodies are seen. */
export type Seen = "standing" | "above" | "other";

const VIEWS: { id: Seen; title: string }[] = [
  { id: "standing", title: "standing height" },
  { id: "above", title: "from above" },
  { id: "other", title: "other side" },
];

/** Chooses from where two bodies are seen. */
export function SeenFrom({ seen, onChange }: { seen: Seen; onChange: (seen: Seen) => void }) {
  return (
    <div className="flex flex-wrap gap-x-5" role="group" aria-label="Seen from">
      {VIEWS.map((view) => (
        <button
          key={view.id}
          type="button"
          aria-pressed={seen === view.id}
          className="min-h-11 border-b-[3px] border-transparent text-quiet hover:text-ink aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink lg:min-h-7"
          onClick={() => onChange(view.id)}
        >
          {view.title}
        </button>
      ))}
    </div>
  );
}
