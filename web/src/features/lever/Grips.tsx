import { useState } from "react";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { useMapChange } from "../map";
import { NumberBox } from "../workshop";
import { May } from "../session";

type Grip = { title: string; grade: unknown };

const PLACES = [
  { title: "near the elbow", along: 0.2 },
  { title: "half way", along: 0.5 },
  { title: "at the wrist", along: 1 },
];

/** The house's own ladder of grips, and what each is worth where it holds: grade times distance. */
export function Grips({ map }: { map: Schemas["Map"] }) {
  const grips = map.house.grips;
  const [edited, setEdited] = useState<Grip[]>();
  const best = Math.max(1, ...grips.map((grip) => grip.grade));
  return (
    <>
      {grips.length === 0 && !edited && <p className="mt-1">The house has graded no grip yet.</p>}
      {grips.length > 0 && !edited && (
        <table className="mt-2 w-full border-collapse text-left">
          <thead>
            <tr className="border-b-2 border-ink text-quiet">
              <th className="py-1 pr-3 font-normal">Grip, weak to strong</th>
              {PLACES.map((place) => (
                <th key={place.title} className="w-[22%] py-1 pr-3 font-normal">
                  {place.title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {grips.map((grip) => (
              <tr key={grip.title} className="border-b border-rule">
                <td className="py-1.5 pr-3 font-semibold">{grip.title}</td>
                {PLACES.map((place) => {
                  const worth = grip.grade * place.along;
                  return (
                    <td key={place.title} className="py-1.5 pr-3">
                      <span className="flex items-center gap-2">
                        <span className="h-[9px] min-w-0 grow bg-lane max-sm:hidden" aria-hidden="true">
                          <span
                            className="block h-full bg-green"
                            style={{ width: `${(100 * worth) / best}%` }}
                          />
                        </span>
                        <span className="w-8 text-right font-semibold">
                          {worth.toFixed(1).replace(/\.0$/, "")}
                        </span>
                      </span>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {edited ? (
        <GripsForm map={map} grips={edited} setGrips={setEdited} done={() => setEdited(undefined)} />
      ) : (
        <p className="mt-1 text-quiet">
          The grades are your gym’s own, not measured; the distance is the lever’s.{" "}
          <May right="edit-maps">
            <button type="button" className="word" onClick={() => setEdited(grips)}>
              Grade them otherwise
            </button>
          </May>
        </p>
      )}
    </>
  );
}

const MOST = 8;

function GripsForm({
  map,
  grips,
  setGrips,
  done,
}: {
  map: Schemas["Map"];
  grips: Grip[];
  setGrips: (grips: Grip[]) => void;
  done: () => void;
}) {
  const save = useMapChange(map.id);
  const change = (place: number, part: Partial<Grip>) =>
    setGrips(grips.map((grip, i) => (i === place ? { ...grip, ...part } : grip)));
  const missing = grips.findIndex((grip) => grip.title.trim() === "" || typeof grip.grade !== "number");
  const [tried, setTried] = useState(false);
  const submit = () => {
    setTried(true);
    save.reset();
    if (missing >= 0) return;
    save.mutate(
      () =>
        unwrap(
          api.PUT("/api/maps/{mapId}/house/grips", {
            params: { path: { mapId: map.id } },
            body: { revision: map.revision, grips: grips as Schemas["GripEdit"][] },
          }),
        ),
      { onSuccess: done },
    );
  };
  return (
    <form
      className="mt-2 space-y-2"
      aria-label="The ladder of grips"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {grips.map((grip, place) => (
        <div key={place} className="flex flex-wrap items-center gap-2">
          <input
            className="box w-64!"
            aria-label={`Grip ${place + 1}`}
            value={grip.title}
            maxLength={90}
            aria-invalid={tried && grip.title.trim() === ""}
            onChange={(event) => change(place, { title: event.target.value })}
          />
          <NumberBox
            className="w-20!"
            label={`Grade of grip ${place + 1}, 1 to 10`}
            value={grip.grade}
            invalid={tried && typeof grip.grade !== "number"}
            onChange={(grade) => change(place, { grade })}
          />
          <button
            type="button"
            className="word"
            aria-label={`Take out grip ${place + 1}`}
            onClick={() => setGrips(grips.filter((_, i) => i !== place))}
          >
            take out
          </button>
        </div>
      ))}
      {tried && missing >= 0 && (
        <p role="alert" className="text-rust">
          Grip {missing + 1} needs a name and a grade from 1 to 10.
        </p>
      )}
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <p className="flex flex-wrap items-center gap-x-4">
        <button type="submit" className="plate" disabled={save.isPending}>
          Keep for the house
        </button>
        {grips.length < MOST && (
          <button
            type="button"
            className="word"
            onClick={() => setGrips([...grips, { title: "", grade: 1 }])}
          >
            One more grip
          </button>
        )}
        <button type="button" className="word" onClick={done}>
          Leave it
        </button>
      </p>
    </form>
  );
}
