import { useState } from "react";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { useMapChange } from "../map";
import { NumberBox } from "./PlainFields";

/** What holds where nobody names another: the pair, and how long choosing takes. */
export function HouseForm({ map }: { map: Schemas["Map"] }) {
  const [edited, setEdited] = useState<Partial<Record<keyof Schemas["House"], unknown>>>({});
  const [tried, setTried] = useState(false);
  const save = useMapChange(map.id);
  const house = { ...map.house, ...edited };
  const changed = JSON.stringify(house) !== JSON.stringify(map.house);
  const noNumber = typeof house.thinkBase !== "number" || typeof house.thinkPerBit !== "number";
  const submit = () => {
    setTried(true);
    save.reset();
    if (noNumber) return;
    save.mutate(
      () =>
        unwrap(
          api.PUT("/api/maps/{mapId}/house", {
            params: { path: { mapId: map.id } },
            body: {
              revision: map.revision,
              matchup: house.matchup,
              thinkBase: house.thinkBase,
              thinkPerBit: house.thinkPerBit,
            } as Schemas["HouseEdit"],
          }),
        ),
      { onSuccess: () => setEdited({}) },
    );
  };
  return (
    <form
      className="mt-3 border-y border-rule py-3"
      aria-label="What the house takes for granted"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <h2 className="text-base lg:text-[15px]">Unless you name another</h2>
      <div className="mt-1 flex flex-wrap items-end gap-x-5 gap-y-2">
        <label className="block">
          <span className="block text-quiet">the pair is</span>
          <select
            className="box mt-0.5"
            value={(house.matchup as string | undefined) ?? ""}
            onChange={(event) => setEdited({ ...edited, matchup: event.target.value })}
          >
            {map.matchups.map((matchup) => (
              <option key={matchup.id} value={matchup.id}>
                {matchup.title}
              </option>
            ))}
          </select>
        </label>
        <label className="block">
          <span className="block text-quiet">seconds to react at all</span>
          <NumberBox
            className="mt-0.5 w-24!"
            value={house.thinkBase}
            onChange={(thinkBase) => setEdited({ ...edited, thinkBase })}
          />
        </label>
        <label className="block">
          <span className="block text-quiet">and for each doubling of the choices</span>
          <NumberBox
            className="mt-0.5 w-24!"
            value={house.thinkPerBit}
            onChange={(thinkPerBit) => setEdited({ ...edited, thinkPerBit })}
          />
        </label>
        <button type="submit" className="plate" disabled={!changed || save.isPending}>
          Keep for the house
        </button>
        {changed && (
          <button
            type="button"
            className="word"
            onClick={() => {
              setEdited({});
              setTried(false);
              save.reset();
            }}
          >
            As it was
          </button>
        )}
      </div>
      {tried && noNumber && (
        <p role="alert" className="border-l-4 border-rust pl-3 font-semibold text-rust">
          Write both times as numbers of seconds from 0 to 10, such as 0.2.
        </p>
      )}
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </form>
  );
}
