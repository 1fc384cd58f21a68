import { Slider } from "radix-ui";
import { useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, KIND_LABEL } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { numberOf, useAddress } from "../../ui/address";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { SettingLine, settingQuery, useAim, useFlow, useOdds, useStories, type OddsData } from "../odds";
import { endsAfter, endsAtLast, goodBy, type Ends } from "./ends";
import { Tape } from "./Tape";

/** The slider goes so far; one step further is how rounds end, whenever that is. */
const STEPS = 10;

/** Where 100 starts end, exchange by exchange and in the end, and the ways that most of them go. */
export function FlowPage() {
  const map = useMap();
  const [params, write] = useAddress();
  const from = params.get("from") || undefined;
  // One more than is shown: whether a place to rest in is left again is told by the exchange after it.
  const flow = useFlow(map.data, from, STEPS + 1);
  const odds = useOdds(map.data);
  const stories = useStories(map.data, from);
  const ready = together({ map, flow, odds });
  if (!ready.data) return <Waiting what="Following 100 starts" on={ready} />;
  const data = ready.data;
  const start = indexOf(data.map).situation(from);
  const step = numberOf(params, "step", { min: 0, max: STEPS + 1, usual: STEPS + 1 });
  return (
    <main className="min-w-0 px-5 pt-2 pb-8">
      <SettingLine map={data.map} />
      <div className="mt-2 flex flex-wrap items-end gap-x-6 gap-y-2">
        <Heading className="mr-auto">Where they end</Heading>
        <label className="flex items-center gap-2">
          <span className="text-quiet">from</span>
          <select
            className="box max-w-64 lg:min-h-8 lg:py-0"
            value={start?.id ?? ""}
            onChange={(event) => write({ from: event.target.value || undefined })}
          >
            <option value="">all the starts of the map</option>
            {data.map.situations.map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </select>
        </label>
      </div>
      <Counted
        map={data.map}
        flow={data.flow}
        odds={data.odds}
        from={start?.id}
        step={step}
        onStep={(next) => write({ step: next > STEPS ? undefined : next })}
      />
      <section aria-labelledby="ways" className="mt-8">
        <h2 id="ways" className="border-b-2 border-ink pb-1 text-[17px]">
          The heaviest ways
        </h2>
        <Ways map={data.map} stories={stories.data ?? []} />
      </section>
    </main>
  );
}

function Counted({
  map,
  flow,
  odds,
  from,
  step,
  onStep,
}: {
  map: Schemas["Map"];
  flow: Schemas["Flow"];
  odds: OddsData;
  from: string | undefined;
  step: number;
  onStep: (step: number) => void;
}) {
  const aim = useAim(map);
  const isGood = goodBy(aim);
  if (flow.exchanges.length === 0) {
    return <p className="mt-6">No round starts anywhere on this map. Say where your students start.</p>;
  }
  const last = step > STEPS;
  const counted = last ? endsAtLast(map, odds, from, isGood) : endsAfter(map, flow, step, isGood);
  const worth = from === undefined ? odds.start : (odds.situations[from]?.worth ?? 0);
  const good = counted.ends.filter((end) => end.good).reduce((sum, end) => sum + end.count, 0);
  const when = last
    ? "in the end"
    : step === 0
      ? "at the start"
      : `after ${step} ${step === 1 ? "exchange" : "exchanges"}`;
  return (
    <section aria-label="Where the starts are" className="mt-4">
      <p className="flex items-baseline gap-3">
        <span
          className="text-[54px] leading-none font-bold"
          style={{ fontStretch: "76%" }}
          data-testid="good"
        >
          {good}
        </span>
        <span className="text-[15px]">
          <span className="font-semibold">
            of 100 starts {last ? "reach" : "have reached"}{" "}
            {aim?.chance
              ? aim.title.toLowerCase()
              : `an end that “${aim?.title.toLowerCase() ?? ""}” counts for you`}{" "}
            {when}.
          </span>{" "}
          <span className="text-quiet">
            {counted.going > 0 && `${counted.going} ${last ? "are held for ever" : "still go on"}.`}
            {!aim?.chance && ` By points the map is worth ${hundred(worth)} of 100.`}
          </span>
        </span>
      </p>
      <Bar counted={counted} />
      <div className="mt-3 flex items-center gap-4">
        <span id="step" className="shrink-0 text-quiet">
          start
        </span>
        <Slider.Root
          className="relative flex h-11 grow touch-none items-center lg:h-9"
          value={[step]}
          min={0}
          max={STEPS + 1}
          step={1}
          onValueChange={([next]) => next !== undefined && onStep(next)}
        >
          <Slider.Track className="relative h-1 w-full grow bg-rule">
            <Slider.Range className="absolute h-full bg-quiet" />
          </Slider.Track>
          <Slider.Thumb
            aria-label="After how many exchanges"
            aria-valuetext={when}
            className="block h-6 w-3 bg-ink"
          />
        </Slider.Root>
        <span className="w-24 shrink-0 font-semibold">{when}</span>
      </div>
    </section>
  );
}

const FILL = (end: { kind: string; good: boolean }) =>
  end.kind === "tap"
    ? "bg-rust text-ground"
    : end.good
      ? "bg-green text-ground"
      : "bg-[var(--body-they)] text-on-signal";

/** A hundred starts in one line: what is good from the left, what still goes on, what is lost at the right. */
function Bar({ counted }: { counted: Ends }) {
  const good = counted.ends.filter((end) => end.good);
  const bad = counted.ends.filter((end) => !end.good);
  const name = (kind: string) => KIND_LABEL[kind] ?? kind;
  return (
    <>
      <div aria-hidden="true" className="mt-2 flex h-16 gap-[3px] bg-ground">
        {[...good, { kind: "going", count: counted.going, good: false }, ...bad].map(
          (end) =>
            end.count > 0 && (
              <span
                key={end.kind}
                className={`flex min-w-0 flex-col justify-center overflow-hidden leading-tight ${end.count >= 5 ? "px-2" : ""} ${end.kind === "going" ? "bg-lane text-ink" : FILL(end)}`}
                style={{ flex: `${end.count} 1 0` }}
              >
                {end.count >= 5 && (
                  <>
                    <span className="text-[18px] font-bold">{end.count}</span>
                    <span className="truncate text-[13.5px]" style={{ fontStretch: "80%" }}>
                      {end.kind === "going" ? "still going on" : name(end.kind)}
                    </span>
                  </>
                )}
              </span>
            ),
        )}
      </div>
      <ul className="mt-1.5 flex flex-wrap gap-x-5 text-quiet" aria-label="Ends, of 100">
        {counted.ends.map((end) => (
          <li key={end.kind}>
            {name(end.kind)} <span className="font-semibold text-ink">{end.count}</span>
          </li>
        ))}
        {counted.going > 0 && (
          <li>
            still going on <span className="font-semibold text-ink">{counted.going}</span>
          </li>
        )}
      </ul>
    </>
  );
}

/** The five heaviest ways as tape, each as thick as it is often, and all the others as one quiet band. */
function Ways({ map, stories }: { map: Schemas["Map"]; stories: Schemas["CommonStory"][] }) {
  const [params] = useSearchParams();
  const isGood = goodBy(useAim(map));
  if (stories.length === 0) return <p className="mt-2 text-quiet">Nothing ends on this map yet.</p>;
  const most = stories[0]!.chance;
  const rest = 1 - stories.reduce((sum, story) => sum + story.chance, 0);
  const situation = (id: string) => indexOf(map).situation(id);
  return (
    <ol className="mt-2 space-y-2.5">
      {stories.map((story) => {
        const kind = indexOf(map).outcome(story.end)?.kind ?? situation(story.end)?.rest ?? "";
        const first = story.steps[0]?.situation ?? story.end;
        return (
          <li key={story.words.join()} className="grid grid-cols-[56px_minmax(0,1fr)] items-center gap-x-3">
            <span className="text-right text-[18px] font-bold">
              {(story.chance * 100).toFixed(1)}
              <span className="sr-only"> of 100: </span>
            </span>
            <Tape
              map={map}
              story={story}
              thick={story.chance / most}
              colour={FILL({ kind, good: isGood(kind) })}
              to={situation(first) && paths.situation(map.id, first) + settingQuery(params)}
            />
          </li>
        );
      })}
      <li className="grid grid-cols-[56px_minmax(0,1fr)] items-center gap-x-3">
        <span className="text-right text-[18px] font-bold">{(rest * 100).toFixed(1)}</span>
        <span className="bg-rule px-3 py-4 text-quiet">
          go in many smaller ways, none heavier than these.
        </span>
      </li>
    </ol>
  );
}
