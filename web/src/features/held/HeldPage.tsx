import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { BEARING_LABEL, SEGMENT_LABEL, SEGMENTS, type Segment } from "../../labels";
import { Loading, Refused } from "../../ui/Notice";
import { useMap } from "../map";
import { useOdds, useSetting } from "../odds";
import { TouchPicture } from "./TouchPicture";
import { isMarked, nextMark, useMarks, type Marks } from "./marks";
import { Toggle } from "./Toggle";
import { BeforeAnyMark, LikeliestInSight, LikelyPlaces } from "./LikelyPlaces";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

/** From what is held to where one is, and the first thing to do about it. */
export function HeldPage() {
  const map = useMap();
  const odds = useOdds(map.data);
  const [marks, change] = useMarks();
  const [setting] = useSetting();
  const mapId = map.data?.id;
  const likely = useQuery({
    queryKey: ["held", mapId, map.data?.revision, marks, setting],
    enabled: mapId !== undefined && isMarked(marks),
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/held", {
          params: {
            path: { mapId: mapId! },
            query: { ...setting, ...marks, where: marks.where || undefined },
          },
        }),
      ),
  });
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Solving the map" on={ready} />;
  const data = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,480px)_minmax(0,1fr)]">
      <main className="px-5 pt-3 pb-5">
        <Heading>What is held</Heading>
        <Where marks={marks} change={change} />
        <p className="mt-3 text-quiet">Then press a part of the body: once for held, again for free.</p>
        <div className="mt-3">
          <TouchPicture map={data.map} marks={marks} onPick={(segment) => change(nextMark(marks, segment))} />
          <div className="mt-2">
            {SEGMENTS.map((segment) => (
              <SegmentRow key={segment} segment={segment} marks={marks} change={change} />
            ))}
          </div>
        </div>
        <Facts map={data.map} marks={marks} change={change} />
        {isMarked(marks) && (
          <button
            type="button"
            className="word mt-2"
            onClick={() => change({ where: "", held: [], free: [], so: [], notSo: [] })}
          >
            Begin again
          </button>
        )}
      </main>
      <section
        id="where"
        className="border-rule px-5 pt-3 pb-16 max-lg:border-t lg:border-l"
        aria-label="Where you are"
      >
        {!isMarked(marks) ? (
          <BeforeAnyMark map={data.map} odds={data.odds} />
        ) : likely.isError ? (
          <Refused problem={problemOf(likely.error)} />
        ) : likely.data ? (
          <>
            <LikelyPlaces
              map={data.map}
              odds={data.odds}
              judged={likely.data}
              marks={marks}
              change={change}
            />
            <LikeliestInSight map={data.map} odds={data.odds} first={likely.data.likely[0]?.situation} />
          </>
        ) : (
          <Loading what="Looking for it" />
        )}
      </section>
    </div>
  );
}

/** Where they are, which everybody can tell and which tells most. */
function Where({ marks, change }: { marks: Marks; change: (part: Partial<Marks>) => void }) {
  return (
    <fieldset className="mt-2 min-w-0">
      <legend className="font-semibold">Where are they?</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {Object.entries(BEARING_LABEL).map(([id, title]) => (
          <Toggle
            key={id}
            on={marks.where === id}
            onClick={() => change({ where: marks.where === id ? "" : id })}
          >
            {title}
          </Toggle>
        ))}
      </div>
    </fieldset>
  );
}

function SegmentRow({
  segment,
  marks,
  change,
}: {
  segment: Segment;
  marks: Marks;
  change: (part: Partial<Marks>) => void;
}) {
  const held = marks.held.includes(segment);
  const free = marks.free.includes(segment);
  const others = {
    held: marks.held.filter((s) => s !== segment),
    free: marks.free.filter((s) => s !== segment),
  };
  return (
    <div
      className="flex items-center gap-2 border-b border-rule py-1 first:border-t"
      role="group"
      aria-label={SEGMENT_LABEL[segment]}
    >
      <span className="mr-auto first-letter:uppercase">{SEGMENT_LABEL[segment]}</span>
      <Toggle
        on={held}
        onClick={() => change(held ? others : { ...others, held: [...others.held, segment] })}
      >
        held
      </Toggle>
      <Toggle
        on={free}
        onClick={() => change(free ? others : { ...others, free: [...others.free, segment] })}
      >
        free
      </Toggle>
    </div>
  );
}

function Facts({
  map,
  marks,
  change,
}: {
  map: Schemas["Map"];
  marks: Marks;
  change: (part: Partial<Marks>) => void;
}) {
  const told = [...marks.so, ...marks.notSo];
  return (
    <div className="mt-3">
      {map.facts
        .filter((f) => told.includes(f.id))
        .map((fact) => (
          <FactRow key={fact.id} fact={fact} marks={marks} change={change} />
        ))}
      <label className="mt-2 block">
        <span className="text-quiet">And it is so that …</span>
        <select
          className="box mt-0.5"
          value=""
          onChange={(event) => event.target.value && change({ so: [...marks.so, event.target.value] })}
        >
          <option value="">choose if you know</option>
          {map.facts
            .filter((f) => !told.includes(f.id))
            .map((f) => (
              <option key={f.id} value={f.id}>
                {f.title}
              </option>
            ))}
        </select>
      </label>
    </div>
  );
}

function FactRow({
  fact,
  marks,
  change,
}: {
  fact: Schemas["Fact"];
  marks: Marks;
  change: (part: Partial<Marks>) => void;
}) {
  const so = marks.so.includes(fact.id);
  const notSo = marks.notSo.includes(fact.id);
  const others = {
    so: marks.so.filter((f) => f !== fact.id),
    notSo: marks.notSo.filter((f) => f !== fact.id),
  };
  return (
    <div
      className="flex flex-wrap items-center gap-2 border-b border-rule py-1"
      role="group"
      aria-label={fact.title}
    >
      <span className="mr-auto">{fact.title}</span>
      <Toggle on={so} onClick={() => change(so ? others : { ...others, so: [...others.so, fact.id] })}>
        yes
      </Toggle>
      <Toggle
        on={notSo}
        onClick={() => change(notSo ? others : { ...others, notSo: [...others.notSo, fact.id] })}
      >
        no
      </Toggle>
    </div>
  );
}
