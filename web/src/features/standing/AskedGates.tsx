import { useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { Picker } from "../../ui/Picker";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { LEVEL_WORDS } from "../people";
import { familyTitle } from "../record";
import { useMay } from "../session";
import { useAskGates, useGateList, type Level } from "./standing";

type Place = Schemas["GatePlace"];

/** The gates for moving up from a level: as the gym asks for them, or as the map would. */
export function AskedGates({ map, from }: { map: Schemas["Map"]; from: Level }) {
  const list = useGateList(map.id, from);
  const may = useMay("plan-classes");
  const [changing, setChanging] = useState(false);
  const id = `gates-${from}`;
  return (
    <section className="mt-6" aria-labelledby={id}>
      <h2 id={id} className="border-b-[3px] border-ink pb-1 text-lg">
        Gates from {LEVEL_WORDS[from]} on
      </h2>
      {!list.data ? (
        <Waiting what="Looking up the gates" on={together({ list })} />
      ) : changing ? (
        <Change map={map} from={from} list={list.data} done={() => setChanging(false)} />
      ) : (
        <>
          {list.data.places.length === 0 ? (
            <p className="mt-1">
              None is asked for yet. An answer in each of these places, both sides, before somebody moves up:
              the map would ask for {list.data.suggested.length}.
            </p>
          ) : (
            <ol className="mt-1 list-decimal pl-6">
              {list.data.places.map((place) => (
                <li key={place.id}>
                  {place.title} <span className="text-quiet">{familyTitle(map, place.id)}</span>
                </li>
              ))}
            </ol>
          )}
          {may && (
            <button type="button" className="word min-h-11 lg:min-h-8" onClick={() => setChanging(true)}>
              {list.data.places.length === 0 ? "Choose them" : "Change them"}
            </button>
          )}
        </>
      )}
    </section>
  );
}

function Change({
  map,
  from,
  list,
  done,
}: {
  map: Schemas["Map"];
  from: Level;
  list: Schemas["GateList"];
  done: () => void;
}) {
  const [places, setPlaces] = useState<Place[]>(list.places.length > 0 ? list.places : list.suggested);
  const ask = useAskGates(map.id, from);
  const choices = map.situations
    .filter((one) => !one.rest && !places.some((place) => place.id === one.id))
    .map((one) => ({ id: one.id, title: one.title, detail: familyTitle(map, one.id) }));
  return (
    <div className="mt-1">
      {list.places.length === 0 && (
        <p className="text-quiet">As the map would ask: where rounds begin and an answer brings most.</p>
      )}
      <ol className="mt-1">
        {places.map((place) => (
          <li
            key={place.id}
            className="flex min-h-11 items-center justify-between gap-3 border-b border-rule lg:min-h-8"
          >
            <span className="min-w-0">
              {place.title} <span className="text-quiet">{familyTitle(map, place.id)}</span>
            </span>
            <button
              type="button"
              className="word"
              aria-label={`Leave out ${place.title}`}
              onClick={() => setPlaces(places.filter((one) => one.id !== place.id))}
            >
              Leave out
            </button>
          </li>
        ))}
      </ol>
      <div className="mt-2">
        <Picker
          key={places.length}
          label="Another place"
          value=""
          choices={choices}
          none="Another place …"
          onChange={(id) => {
            const added = choices.find((one) => one.id === id);
            if (added) setPlaces([...places, added]);
          }}
        />
      </div>
      {ask.isError && <Refused problem={problemOf(ask.error)} />}
      <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <button
          type="button"
          className="plate"
          disabled={ask.isPending}
          onClick={() =>
            ask.mutate(
              places.map((one) => one.id),
              { onSuccess: done },
            )
          }
        >
          Ask for these
        </button>
        <button type="button" className="word min-h-11 lg:min-h-8" onClick={done}>
          Leave it as it was
        </button>
      </div>
    </div>
  );
}
