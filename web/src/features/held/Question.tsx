import type { Schemas } from "../../api/client";
import { BEARING_LABEL, SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import type { Marks } from "./marks";
import { Toggle } from "./Toggle";

/** One question at a time: where they are, which everybody can tell and which tells most; then what would tell most. */
export function Question({
  map,
  next,
  marks,
  change,
}: {
  map: Schemas["Map"];
  /** The mark that would tell most; missing where none would tell more. */
  next: Schemas["NextMark"] | undefined;
  marks: Marks;
  change: (part: Partial<Marks>) => void;
}) {
  if (marks.where === "") {
    return (
      <fieldset className="mt-2 min-w-0 border-2 border-ink p-3">
        <legend className="sr-only">Where are they?</legend>
        <p aria-hidden="true" className="font-semibold">
          Where are they?
        </p>
        <div className="mt-1.5 flex flex-wrap gap-2">
          {Object.entries(BEARING_LABEL).map(([id, title]) => (
            <Toggle key={id} on={false} onClick={() => change({ where: id })}>
              {title}
            </Toggle>
          ))}
        </div>
      </fieldset>
    );
  }
  const fact = indexOf(map).fact(next?.fact);
  const segment = SEGMENTS.find((s) => s === next?.segment);
  return (
    <div className="mt-2 space-y-2">
      <p>
        They are <span className="font-semibold">{BEARING_LABEL[marks.where]}</span>.{" "}
        <button type="button" className="word" onClick={() => change({ where: "" })}>
          change
        </button>
      </p>
      <div
        role="group"
        aria-label="The next thing to tell"
        className="flex min-h-[70px] flex-wrap items-center gap-2 border-2 border-ink p-3"
      >
        {!fact && !segment && <span className="text-quiet">Press a limb: held, then free.</span>}
        {(fact || segment) && (
          <>
            <span className="mr-auto min-w-0">
              <span className="block text-quiet">This would tell most</span>
              <span className="font-semibold">
                {fact
                  ? `${fact.title}?`
                  : `${segment === "hips" ? "Are" : "Is"} your ${SEGMENT_LABEL[segment!]} held?`}
              </span>
            </span>
            <Toggle
              on={false}
              onClick={() =>
                change(fact ? { so: [...marks.so, fact.id] } : { held: [...marks.held, segment!] })
              }
            >
              yes
            </Toggle>
            <Toggle
              on={false}
              onClick={() =>
                change(fact ? { notSo: [...marks.notSo, fact.id] } : { free: [...marks.free, segment!] })
              }
            >
              no
            </Toggle>
          </>
        )}
      </div>
    </div>
  );
}
