import { useId } from "react";
import type { Schemas } from "../../api/client";
import { WORDS } from "../../labels";

/** Situations by family, then outcomes; typing letters finds one. */
export function PlaceSelect({
  map,
  value,
  onChange,
  none,
}: {
  map: Schemas["Map"];
  value: string;
  onChange: (id: string) => void;
  none: string;
}) {
  return (
    <select className="box mt-0.5" value={value} onChange={(event) => onChange(event.target.value)}>
      <option value="">{none}</option>
      {map.families.map((family) => (
        <optgroup key={family.id} label={family.title}>
          {map.situations
            .filter((s) => s.family === family.id)
            .map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
        </optgroup>
      ))}
      <optgroup label="It ends">
        {map.outcomes.map((o) => (
          <option key={o.id} value={o.id}>
            {o.title}
          </option>
        ))}
      </optgroup>
    </select>
  );
}

/** What is typed for a likelihood: a word, or a number as text. */
export interface LikelihoodDraft {
  word: string;
  number: string;
}

export function draftOf(likelihood: Schemas["Likelihood"] | undefined): LikelihoodDraft {
  return likelihood?.number !== undefined && likelihood.number !== null
    ? { word: "", number: String(likelihood.number) }
    : { word: likelihood?.word ?? "sometimes", number: "" };
}

/** The likelihood, or what is wrong with the draft. */
export function readDraft(draft: LikelihoodDraft, chance: boolean): Schemas["Likelihood"] | string {
  if (draft.word) return { word: draft.word as Schemas["Likelihood"]["word"] };
  const number = Number(draft.number.replace(",", "."));
  const fits =
    draft.number.trim() !== "" && (chance ? number >= 0 && number <= 1 : number > 0 && number <= 1e6);
  if (fits) return { number };
  return chance ? "Write a number from 0 to 1." : "Write a number above 0.";
}

export function LikelihoodField({
  label,
  draft,
  onChange,
  error,
}: {
  label: string;
  draft: LikelihoodDraft;
  onChange: (draft: LikelihoodDraft) => void;
  error?: string;
}) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block font-semibold">
        {label}
      </label>
      <div className="mt-0.5 flex gap-2">
        <select
          id={id}
          className="box"
          value={draft.word}
          onChange={(event) => onChange({ word: event.target.value, number: draft.number })}
        >
          {WORDS.map((word) => (
            <option key={word}>{word}</option>
          ))}
          <option value="">a number</option>
        </select>
        {draft.word === "" && (
          <input
            className="box w-24!"
            inputMode="decimal"
            aria-label={`${label}, as a number`}
            aria-invalid={Boolean(error)}
            value={draft.number}
            onChange={(event) => onChange({ word: "", number: event.target.value })}
          />
        )}
      </div>
      {error && (
        <span role="alert" className="block text-rust">
          {error}
        </span>
      )}
    </div>
  );
}
