import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { Loading, Refused } from "../../ui/Notice";
import { useMap } from "../map";
import { solverHere, useOdds, useSetting } from "../odds";
import { TouchPicture } from "./TouchPicture";
import { isMarked, nextMark, useMarks, type Marks } from "./marks";
import { Toggle } from "./Toggle";
import { Question } from "./Question";
import { BeforeAnyMark, LikeliestInSight, LikelyPlaces } from "./LikelyPlaces";
import { Heading } from "../../ui/Heading";
import { isOut, together, Waiting } from "../../ui/Waiting";

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
    queryFn: ({ signal }) => {
      const told = { ...marks, where: marks.where || undefined };
      const there = () =>
        unwrap(
          api.GET("/api/maps/{mapId}/held", {
            params: { path: { mapId: mapId! }, query: { ...setting, ...told } },
            signal,
          }),
        );
      return solverHere(map.data!, setting)?.held(told, setting).catch(there) ?? there();
    },
  });
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Solving the map" on={ready} />;
  const data = ready.data;
  const judged = isMarked(marks) ? likely.data : undefined;
  return (
    <>
      <LikeliestInSight map={data.map} odds={data.odds} first={judged?.likely[0]?.situation} />
      <div className="lg:grid lg:min-h-[calc(100dvh-76px)] lg:grid-cols-[minmax(0,520px)_minmax(0,1fr)]">
        <main className="px-5 pt-2.5 pb-5">
          <Heading>What is held</Heading>
          <Question map={data.map} next={judged?.next} marks={marks} change={change} />
          <div className="mt-3">
            <TouchPicture
              map={data.map}
              marks={marks}
              onPick={(segment) => change(nextMark(marks, segment))}
            />
            <LimbButtons marks={marks} change={change} />
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
          ) : isOut(likely) ? (
            <Refused problem={problemOf(likely.error)} />
          ) : judged ? (
            <LikelyPlaces map={data.map} odds={data.odds} judged={judged} />
          ) : (
            <Loading what="Looking for it" />
          )}
        </section>
      </div>
    </>
  );
}

/** Every limb as a word that is pressed like the limb itself: held, then free, then not said. */
function LimbButtons({ marks, change }: { marks: Marks; change: (part: Partial<Marks>) => void }) {
  return (
    <div className="mt-2 grid grid-cols-3 gap-1.5 mid:grid-cols-4" role="group" aria-label="Your limbs">
      {SEGMENTS.map((segment) => {
        const held = marks.held.includes(segment);
        const free = marks.free.includes(segment);
        return (
          <button
            key={segment}
            type="button"
            aria-pressed={held ? true : free ? false : "mixed"}
            className={`flex min-h-11 items-center gap-2 border px-2.5 text-left lg:min-h-9 ${held || free ? "border-ink font-semibold" : "border-edge"}`}
            onClick={() => change(nextMark(marks, segment))}
          >
            <span
              aria-hidden="true"
              className={`size-[11px] shrink-0 border ${held ? "border-ink bg-green" : free ? "border-ink bg-lane" : "border-dashed border-edge"}`}
            />
            <span className="min-w-0 truncate max-mid:[font-stretch:78%]">
              {SEGMENT_LABEL[segment]}
              <span className={held || free ? "" : "sr-only"}>
                {" "}
                {held ? "held" : free ? "free" : "not said"}
              </span>
            </span>
          </button>
        );
      })}
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
