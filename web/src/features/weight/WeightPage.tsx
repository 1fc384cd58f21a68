import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { lateness } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { SeenFrom } from "../../ui/body/SeenFrom";
import { Heading } from "../../ui/Heading";
import { Caution, Loading, Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { isOut, together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery } from "../odds";
import { BasePicture } from "./BasePicture";
import { Figured } from "./Figured";
import { useAsked, useWeight, type Asked, type Change, type Weight } from "./weight";
import { adviceInWords, mapInWords, priceInWords, verdict } from "./words";

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
        {isOut(weight) ? (
          <div className="mt-4">
            <Refused problem={problemOf(weight.error)} />
          </div>
        ) : weight.data ? (
          <Seen map={map} situation={situation} weight={weight.data} asked={asked} ask={ask} />
        ) : (
          <Loading what="Weighing it" />
        )}
      </main>
      <section
        className="min-w-0 border-rule px-5 pt-3 pb-16 max-lg:border-t lg:border-l"
        aria-label="What if"
        aria-busy={weight.isPlaceholderData}
      >
        {weight.data && !isOut(weight) && <Figured weight={weight.data} asked={asked} ask={ask} />}
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
        <SeenFrom seen={asked.view} onChange={(view) => ask({ view })} />
      </div>
    </>
  );
}

function Seen({
  map,
  situation,
  weight,
  asked,
  ask,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  weight: Weight;
  asked: Asked;
  ask: (part: Partial<Asked>) => void;
}) {
  const price = priceInWords(weight, asked.done);
  const advice = adviceInWords(weight);
  const says = mapInWords(situation.facts, weight.said, (fact) => indexOf(map).fact(fact)?.title);
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
      {says.agreed && (
        <p className="mt-2">
          <span className="font-semibold">The map and the posture agree:</span> {says.agreed}.
        </p>
      )}
      {says.otherwise && (
        <p className="mt-2 border-l-4 border-rust pl-3">
          <span className="font-semibold text-rust">The map says otherwise than the posture shows:</span>{" "}
          {says.otherwise}. Mend the one that is wrong.
        </p>
      )}
      {says.told && (
        <p className="mt-2">
          {says.agreed || says.otherwise ? "The map says besides" : "The map says"}: {says.told}.
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
