import type { Schemas } from "../../api/client";
import { Panel } from "../../ui/Panel";
import { hereIn, type Mat, type Press } from "./clock";

/** What all look at while the clock stands: the place, or one mistake and how it is put right. */
export function Look({
  open,
  onClose,
  mat,
  pictures,
  onLook,
}: {
  open: boolean;
  onClose: () => void;
  mat: Mat;
  pictures: Schemas["Pictures"];
  onLook: (at: Partial<Press>) => void;
}) {
  const { part } = hereIn(mat);
  const places = new Map<string, string>();
  for (const one of [part, ...mat.parts]) {
    if (one.place && one.placeTitle && pictures.places[one.place]) places.set(one.place, one.placeTitle);
  }
  const [here, ...others] = [...places];
  return (
    <Panel
      title="Stop, look here"
      open={open}
      onOpenChange={(is) => !is && onClose()}
      className="top-[6vh] max-h-[88vh] max-w-2xl space-y-4 overflow-y-auto p-5 text-[17px]"
    >
      <p className="text-quiet">The clock stands, and every screen shows it large.</p>
      {here ? (
        <button
          type="button"
          className="mat-key mat-key-main w-full"
          onClick={() => onLook({ place: here[0] })}
        >
          {here[1]}
        </button>
      ) : (
        <button type="button" className="mat-key mat-key-main w-full" onClick={() => onLook({})}>
          Show this
        </button>
      )}
      {part.mistakes.length > 0 && (
        <section aria-label="A mistake to put right">
          <h2 className="text-[19px]">A mistake to put right</h2>
          <ul className="mt-1 space-y-2">
            {part.mistakes.map((one) => (
              <li key={`${one.technique} ${one.mistake}`}>
                <button
                  type="button"
                  className="min-h-12 w-full border border-edge px-3 py-2 text-left hover:border-ink"
                  onClick={() =>
                    onLook({ technique: one.technique, mistake: one.mistake, place: part.place ?? undefined })
                  }
                >
                  <span className="block text-quiet">{one.title}</span>
                  <strong className="block">{one.sign}</strong> {one.fix}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {others.length > 0 && (
        <section aria-label="Another place">
          <h2 className="text-[19px]">Another place</h2>
          <p className="mt-1 flex flex-wrap gap-2">
            {others.map(([place, title]) => (
              <button
                key={place}
                type="button"
                className="min-h-12 border border-edge px-3 hover:border-ink"
                onClick={() => onLook({ place })}
              >
                {title}
              </button>
            ))}
          </p>
        </section>
      )}
      <button type="button" className="word min-h-12" onClick={onClose}>
        Not now
      </button>
    </Panel>
  );
}
