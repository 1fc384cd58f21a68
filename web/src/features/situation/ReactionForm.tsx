import { useState } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { EditForm } from "./EditForm";
import { Labelled } from "../../ui/Labelled";
import { draftOf, LikelihoodField, PlaceSelect, readDraft } from "./Fields";

const NEW = "+new";

/** Adds or changes what you do in a situation. */
export function ReactionForm({
  map,
  situation,
  reaction,
  onDone,
}: {
  map: Schemas["Map"];
  situation: string;
  reaction?: Schemas["Reaction"];
  onDone: () => void;
}) {
  const [revision] = useState(map.revision);
  const [technique, setTechnique] = useState(reaction?.technique ?? NEW);
  const [name, setName] = useState("");
  const [needs, setNeeds] = useState<Record<string, boolean>>(reaction?.needs ?? {});
  const [seconds, setSeconds] = useState(String(reaction?.seconds ?? 2));
  const [works, setWorks] = useState(draftOf(reaction?.works));
  const [stuffed, setStuffed] = useState(reaction?.stuffed ?? "");
  const [tried, setTried] = useState(false);
  const likelihood = readDraft(works, true);
  const time = Number(seconds.replace(",", "."));
  const nameError = technique === NEW && name.trim() === "" ? "Give it a name." : undefined;
  const timeError =
    seconds.trim() !== "" && time >= 0 && time <= 120 ? undefined : "Write seconds from 0 to 120.";
  const read = () => {
    setTried(true);
    if (nameError || timeError || typeof likelihood === "string") return undefined;
    const body = {
      ...(technique === NEW ? { newTechnique: name.trim() } : { technique }),
      needs,
      seconds: time,
      works: likelihood,
      stuffed: stuffed || undefined,
    };
    return (mapId: string, base: number) =>
      reaction
        ? unwrap(
            api.PUT("/api/maps/{mapId}/reactions/{reaction}", {
              params: { path: { mapId, reaction: reaction.id } },
              body: { ...body, revision: base },
            }),
          )
        : unwrap(
            api.POST("/api/maps/{mapId}/situations/{situation}/reactions", {
              params: { path: { mapId, situation } },
              body: { ...body, revision: base },
            }),
          );
  };
  return (
    <EditForm
      revision={revision}
      read={read}
      onDone={onDone}
      remove={
        reaction && {
          label: "Take this reaction out",
          edit: (mapId, base) =>
            unwrap(
              api.DELETE("/api/maps/{mapId}/reactions/{reaction}", {
                params: { path: { mapId, reaction: reaction.id }, query: { revision: base } },
              }),
            ),
        }
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Labelled label="What you do">
          <select
            className="box mt-0.5"
            value={technique}
            onChange={(event) => setTechnique(event.target.value)}
          >
            <option value={NEW}>a technique not on the map yet</option>
            {map.techniques.map((t) => (
              <option key={t.id} value={t.id}>
                {t.title}
              </option>
            ))}
          </select>
        </Labelled>
        {technique === NEW && (
          <Labelled label="Its name" error={tried ? nameError : undefined}>
            <input
              className="box mt-0.5"
              maxLength={90}
              value={name}
              aria-invalid={tried && Boolean(nameError)}
              onChange={(event) => setName(event.target.value)}
            />
          </Labelled>
        )}
        <LikelihoodField
          label="How often it gets going"
          draft={works}
          onChange={setWorks}
          error={tried && typeof likelihood === "string" ? likelihood : undefined}
        />
        <Labelled label="Seconds it takes" error={tried ? timeError : undefined}>
          <input
            className="box mt-0.5"
            inputMode="decimal"
            value={seconds}
            aria-invalid={tried && Boolean(timeError)}
            onChange={(event) => setSeconds(event.target.value)}
          />
        </Labelled>
        <Labelled label="When they stuff it">
          <PlaceSelect map={map} value={stuffed} onChange={setStuffed} none="you are where you were" />
        </Labelled>
      </div>
      <Needs map={map} needs={needs} onChange={setNeeds} />
    </EditForm>
  );
}

function Needs({
  map,
  needs,
  onChange,
}: {
  map: Schemas["Map"];
  needs: Record<string, boolean>;
  onChange: (needs: Record<string, boolean>) => void;
}) {
  const title = (id: string) => map.facts.find((f) => f.id === id)?.title ?? id;
  const without = (id: string) => Object.fromEntries(Object.entries(needs).filter(([fact]) => fact !== id));
  return (
    <fieldset>
      <legend className="font-semibold">It needs</legend>
      <ul>
        {Object.entries(needs).map(([id, wanted]) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4">
            <span>
              {title(id)}: {wanted ? "yes" : "no"}
            </span>
            <button type="button" className="word" onClick={() => onChange({ ...needs, [id]: !wanted })}>
              turn round
            </button>
            <button type="button" className="word" onClick={() => onChange(without(id))}>
              not needed
            </button>
          </li>
        ))}
      </ul>
      <select
        className="box mt-0.5 sm:max-w-80"
        aria-label="Add something it needs"
        value=""
        onChange={(event) => event.target.value && onChange({ ...needs, [event.target.value]: true })}
      >
        <option value="">add something it needs …</option>
        {map.facts
          .filter((f) => !(f.id in needs))
          .map((f) => (
            <option key={f.id} value={f.id}>
              {f.title}
            </option>
          ))}
      </select>
    </fieldset>
  );
}
