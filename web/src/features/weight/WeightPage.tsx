import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { lateness } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { Heading } from "../../ui/Heading";
import { Measure } from "../../ui/Measure";
import { Caution, Loading, Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery } from "../odds";
import { BasePicture } from "./BasePicture";
import { Rose } from "./Rose";
import { RangeBar } from "./RangeBar";
import {
  MEASURE_NAMES,
  MEASURES,
  useAsked,
  useWeight,
  type Asked,
  type Change,
  type Figures,
  type Seen,
  type Weight,
} from "./weight";
import {
  adviceInWords,
  changeInWords,
  degrees,
  kilograms,
  noBaseInWords,
  noLoadInWords,
  priceInWords,
  verdict,
  wayInWords,
} from "./words";

/** One place weighed: what rests on you, what they stand on, and what changes when a post is taken away. */
export function WeightPage() {
  const { situation: id } = useParams();
  const map = useMap();
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Opening the map" on={ready} />;
  const situation = indexOf(ready.data.map).situation(id);
  if (!situation) {
    return (
      <main className="space-y-2 p-5">
        <Heading size="notice">No such situation</Heading>
        <p>
          It may have been taken out.{" "}
          <Link className="link" to={paths.weights(ready.data.map.id)}>
            Pick another
          </Link>
          .
        </p>
      </main>
    );
  }
  return <WeighedPlace key={situation.id} map={ready.data.map} situation={situation} />;
}

function WeighedPlace({ map, situation }: { map: Schemas["Map"]; situation: Schemas["Situation"] }) {
  const [asked, ask] = useAsked();
  const weight = useWeight(map, situation.id, asked);
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-82px)] lg:grid-cols-[minmax(0,1.24fr)_minmax(0,1fr)]">
      <main className="min-w-0 px-5 pt-2 pb-8">
        <Where map={map} situation={situation} asked={asked} ask={ask} />
        {weight.isError ? (
          <div className="mt-4">
            <Refused problem={problemOf(weight.error)} />
          </div>
        ) : weight.data ? (
          <Seen situation={situation} weight={weight.data} asked={asked} ask={ask} />
        ) : (
          <Loading what="Weighing it" />
        )}
      </main>
      <section
        className="min-w-0 border-rule px-5 pt-3 pb-16 max-lg:border-t lg:border-l"
        aria-label="What if"
        aria-busy={weight.isPlaceholderData}
      >
        {weight.data && !weight.isError && <Figured weight={weight.data} asked={asked} ask={ask} />}
      </section>
    </div>
  );
}

/** Which place it is, and another one. */
function Where({
  map,
  situation,
  asked,
  ask,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  asked: Asked;
  ask: (part: Partial<Asked>) => void;
}) {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const [another, setAnother] = useState(false);
  const query = settingQuery(params);
  return (
    <>
      <p className="text-quiet">
        {indexOf(map).family(situation.family)?.title}, {lateness(situation).toLowerCase()} ·{" "}
        <Link className="link" to={paths.situation(map.id, situation.id) + query}>
          open the place
        </Link>{" "}
        ·{" "}
        <button type="button" className="word" onClick={() => setAnother(!another)} aria-expanded={another}>
          weigh another
        </button>
      </p>
      {another && (
        <div className="my-2 max-w-sm">
          <Picker
            label="Weigh another place"
            value=""
            choices={map.situations.map((one) => ({
              id: one.id,
              title: one.title,
              detail: indexOf(map).family(one.family)?.title,
            }))}
            onChange={(id) => void navigate(paths.weight(map.id, id) + (query || ""))}
          />
        </div>
      )}
      <div className="flex flex-wrap items-end justify-between gap-x-5">
        <Heading size="place">{situation.title}</Heading>
        <div className="flex flex-wrap gap-x-5" role="group" aria-label="Seen from">
          {VIEWS.map((view) => (
            <button
              key={view.id}
              type="button"
              aria-pressed={asked.view === view.id}
              className="min-h-11 border-b-[3px] border-transparent text-quiet hover:text-ink aria-pressed:border-ink aria-pressed:font-semibold aria-pressed:text-ink lg:min-h-7"
              onClick={() => ask({ view: view.id })}
            >
              {view.title}
            </button>
          ))}
        </div>
      </div>
    </>
  );
}

const VIEWS: { id: Seen; title: string }[] = [
  { id: "standing", title: "standing height" },
  { id: "above", title: "from above" },
  { id: "other", title: "other side" },
];

function Seen({
  situation,
  weight,
  asked,
  ask,
}: {
  situation: Schemas["Situation"];
  weight: Weight;
  asked: Asked;
  ask: (part: Partial<Asked>) => void;
}) {
  const price = priceInWords(weight, asked.done);
  const advice = adviceInWords(weight);
  const tried = weight.best?.changes.every((change) => asked.done.includes(change as Change));
  return (
    <>
      <BasePicture
        weight={weight}
        held={situation.held}
        title={situation.title}
        width={640}
        className="mx-auto mt-1 max-h-[min(58dvh,680px)] w-full"
      />
      <Legend weight={weight} />
      <div className="mt-3 border-t-2 border-ink pt-2" aria-live="polite">
        <p
          className="text-[20px] leading-[1.25] font-semibold"
          style={{ fontStretch: "92%" }}
          data-testid="verdict"
        >
          {verdict(weight, asked.done)}
        </p>
        {price && (
          <div className="mt-2">
            <Caution>{price}</Caution>
          </div>
        )}
      </div>
      {advice && !tried && (
        <p className="mt-2">
          {advice}{" "}
          <button
            type="button"
            className="word"
            onClick={() =>
              ask({ done: [...new Set([...untrapped(asked.done), ...(weight.best!.changes as Change[])])] })
            }
          >
            try it
          </button>
        </p>
      )}
      <p className="mt-2 text-quiet">
        <span className="font-semibold">Left out:</span> pull and push, friction, muscle, a hand that holds
        you, and the moment they already move. For comparing two places; not a load to trust. How it is done
        safely is your instructor’s to show.
      </p>
    </>
  );
}

function untrapped(done: readonly Change[]): Change[] {
  return done.filter((change) => !change.startsWith("trap-"));
}

function Legend({ weight }: { weight: Weight }) {
  if (weight.marks.base.length === 0) return null;
  const taken = weight.marks.posts.some((post) => post.taken);
  return (
    <ul className="mt-2 flex flex-wrap gap-x-6 gap-y-1" aria-label="Marks in the picture">
      <li className="flex items-center gap-2">
        <svg viewBox="-9 -9 18 18" className="size-[15px]" aria-hidden="true">
          <circle r="8" fill="var(--tape)" stroke="var(--body-edge)" strokeWidth="2" />
          <path d="M0 0V-8A8 8 0 0 1 8 0zM0 0V8A8 8 0 0 1 -8 0z" fill="var(--body-edge)" />
        </svg>
        their weight, {Math.round(weight.now.height)} cm up
      </li>
      <li className="flex items-center gap-2">
        <span
          className="h-[6px] w-7 border-y border-[var(--body-edge)] bg-[var(--tape)]"
          aria-hidden="true"
        />
        base
      </li>
      {taken && (
        <li className="flex items-center gap-2">
          <span className="w-7 border-t-2 border-dashed border-ink" aria-hidden="true" />
          base that is left
        </li>
      )}
      <li className="flex items-center gap-2">
        <span className="h-[8px] w-5 border border-ink bg-signal" aria-hidden="true" />
        weakest side
      </li>
      {taken && (
        <li className="flex items-center gap-2">
          <span aria-hidden="true" className="text-[17px] leading-none font-bold">
            ×
          </span>
          post taken away
        </li>
      )}
    </ul>
  );
}

function Figured({
  weight,
  asked,
  ask,
}: {
  weight: Weight;
  asked: Asked;
  ask: (part: Partial<Asked>) => void;
}) {
  const toggle = (change: Change) =>
    ask({
      done: asked.done.includes(change)
        ? asked.done.filter((one) => one !== change)
        : [...asked.done, change],
    });
  const changed = weight.changes.some((change) => change.done);
  return (
    <>
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pl-2 font-bold">What if …</th>
            <th className="py-1 pr-3 text-right font-normal text-quiet">weakest</th>
            <th className="py-1 pr-3 text-right font-normal text-quiet">on you</th>
            <th className="py-1 font-normal text-quiet">then</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-b border-rule">
            <td className="py-1 pl-2 text-quiet">nothing yet</td>
            <Row figures={weight.first} />
          </tr>
          {weight.changes.map((change) => (
            <tr key={change.change} className={`border-b border-rule ${change.done ? "bg-lane" : ""}`}>
              <td
                className={`pl-1.5 ${change.done ? "border-l-[3px] border-ink" : "border-l-[3px] border-transparent"}`}
              >
                <button
                  type="button"
                  aria-pressed={change.done}
                  className="word min-h-11 text-left aria-pressed:font-bold aria-pressed:text-ink lg:min-h-7"
                  onClick={() => toggle(change.change)}
                >
                  {changeInWords(change.change)}
                </button>
              </td>
              <Row figures={change.then} />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 flex flex-wrap justify-between gap-x-4 text-quiet">
        <span>white with a bar: done · below 0° they lean on you already</span>
        <button type="button" className="word" disabled={!changed} onClick={() => ask({ done: [] })}>
          as at first
        </button>
      </p>
      <div className="mt-1 grid gap-x-8 border-t border-rule pt-1 sm:grid-cols-2">
        {MEASURE_NAMES.map((name) => {
          const { label, unit, min, max } = MEASURES[name];
          return (
            <Measure
              key={name}
              label={label}
              words={`${asked[name]} ${unit}`}
              value={asked[name]}
              min={min}
              max={max}
              step={1}
              onChange={(value) => ask({ [name]: value })}
            />
          );
        })}
      </div>
      <div className="mt-2 grid gap-x-6 gap-y-4 border-t-2 border-ink pt-2 sm:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)]">
        <section aria-label="How far before they tip">
          <h2 className="text-base lg:text-[15px]">How far before they tip</h2>
          {weight.rose && weight.now.weakest ? (
            <>
              <p className="text-quiet">turned like the picture{changed && " · dashed: nothing changed"}</p>
              <Rose rose={weight.rose} weakest={weight.now.weakest.degrees} changed={changed} />
              <p className="text-quiet">
                {weight.now.weakest.degrees > 0 &&
                  `Lifting them over the weakest side takes ${Math.round(weight.now.weakest.work)} J. `}
                {weight.now.own &&
                  Math.abs(weight.now.own.degrees - weight.now.weakest.degrees) >= 1 &&
                  `Without a hand that lands: ${degrees(weight.now.own.degrees)} ${wayInWords(weight.now.own.way)}.`}
              </p>
            </>
          ) : (
            <p className="mt-1">{noBaseInWords(weight.now.noBase)}</p>
          )}
        </section>
        <OnYou weight={weight} asked={asked} />
      </div>
    </>
  );
}

function Row({ figures }: { figures: Figures }) {
  return (
    <>
      <td className="pr-3 text-right font-semibold whitespace-nowrap">
        {figures.weakest ? degrees(figures.weakest.degrees) : "–"}
      </td>
      <td className="pr-3 text-right font-semibold whitespace-nowrap">
        {figures.load ? kilograms(figures.load.likely) : "–"}
      </td>
      <td className="leading-tight lg:text-[13.5px]">
        {figures.weakest ? wayInWords(figures.weakest.way) : ""}
      </td>
    </>
  );
}

/** What of them rests on you: likely, possible, and where. */
function OnYou({ weight, asked }: { weight: Weight; asked: Asked }) {
  const [why, setWhy] = useState(false);
  const { load } = weight.now;
  const before = weight.first.load;
  return (
    <section aria-label="Of them on you">
      <h2 className="text-base lg:text-[15px]">Of them on you</h2>
      {!load ? (
        <p className="mt-1">
          <span className="text-[40px] leading-none font-bold">–</span>
          <span className="block">{noLoadInWords(weight.now.noLoad)}</span>
        </p>
      ) : (
        <>
          <p className="flex items-end gap-2">
            <span
              className="text-[52px] leading-none font-bold"
              style={{ fontStretch: "82%" }}
              data-testid="on-you"
            >
              {Math.round(load.likely)}
            </span>
            <span className="pb-1">
              kg of {asked.theirWeight}
              {before && Math.abs(before.likely - load.likely) >= 0.5 && (
                <span className="block font-semibold">
                  ({load.likely > before.likely ? "+" : "−"}
                  {Math.abs(Math.round(load.likely) - Math.round(before.likely))})
                </span>
              )}
            </span>
          </p>
          <div className="mt-2">
            <RangeBar load={load} of={asked.theirWeight} before={before?.likely} />
          </div>
          <p className="mt-1">
            {Math.round((100 * load.likely) / asked.yourWeight)} of 100 of your own weight. Likely{" "}
            {Math.round(load.likely)}, possible {Math.round(load.least)}–{Math.round(load.most)}.{" "}
            <button type="button" className="word" aria-expanded={why} onClick={() => setWhy(!why)}>
              why?
            </button>
          </p>
          {why && (
            <p className="mt-1 text-quiet">
              On more than three points a body can share its weight in many ways: at {Math.round(load.least)}{" "}
              kg their own posts carry the rest, at {Math.round(load.most)} kg hardly anything. Likely is what
              comes if every point gives alike and a trunk half as much.
            </p>
          )}
          {load.spots.length > 0 && (
            <>
              <h3 className="mt-3 font-semibold">Where it rests</h3>
              <ul>
                {load.spots.map((spot) => (
                  <li key={spot.spot} className="flex items-center gap-2">
                    <span className="w-10 shrink-0">{spot.spot}</span>
                    <span className="relative h-[9px] min-w-0 grow bg-lane" aria-hidden="true">
                      <span
                        className="absolute inset-y-0 left-0 bg-quiet"
                        style={{
                          width: `${Math.min(100, (100 * spot.kilograms) / Math.max(1, load.likely))}%`,
                        }}
                      />
                    </span>
                    <span className="w-6 shrink-0 text-right font-semibold">
                      {Math.round(spot.kilograms)}
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
    </section>
  );
}
