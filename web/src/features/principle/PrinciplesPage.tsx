import { useMemo, type ReactNode } from "react";
import { Link, useLocation, useSearchParams } from "react-router";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { hundred, tenths } from "../../labels";
import { Gate } from "../../ui/Gate";
import { Refused } from "../../ui/Notice";
import { paths, placeTitle, reactionTitle, useMap, useMapChange } from "../map";
import { Reorder, SettingLine, settingQuery, useFrozenOrder, useSetting, useStances } from "../odds";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { indexOf } from "../../model/mapIndex";
import { useMay } from "../session";

/** By how much a stance of a principle moves the map at most, in [0,1]. */
const spread = ({ choices, byCondition }: Schemas["StanceComparison"]) =>
  Math.max(0, ...choices.map((choice) => Math.abs(choice.start - byCondition)));

/** Less than one start in a thousand is nothing to argue about. */
const changesMuch = (comparison: Schemas["StanceComparison"]) => spread(comparison) >= 0.001;

/** What good coaches disagree on: the stances side by side, what each is worth, and what leaves the map with it. */
export function PrinciplesPage() {
  const map = useMap();
  const stances = useStances(map.data);
  const { hash } = useLocation();
  const sorted = useMemo(
    () => [...(stances.data ?? [])].sort((a, b) => spread(b) - spread(a)),
    [stances.data],
  );
  const order = useFrozenOrder(
    sorted,
    (comparison) => comparison.principle,
    `${map.data?.id} ${map.data?.revision} ${sorted.length}`,
  );
  const ready = together({ map, stances });
  if (!ready.data) return <Waiting what="Solving the map for every stance" on={ready} />;
  const loaded = ready.data.map;
  const rest = order.items.filter((comparison) => !changesMuch(comparison));
  const row = (comparison: Schemas["StanceComparison"]) => {
    const principle = indexOf(loaded).principle(comparison.principle);
    return (
      principle && (
        <PrincipleRow key={principle.id} map={loaded} principle={principle} comparison={comparison} />
      )
    );
  };
  return (
    <main className="px-5 pt-2 pb-12">
      <SettingLine map={loaded} />
      <Heading className="mt-3">Stances</Heading>
      <p className="max-w-3xl text-quiet">
        Each figure is the whole map with that stance taken, of 100 starts, under the matchup above. Trying a
        stance changes nothing for anybody else; taking it for the house does.
      </p>
      {loaded.principles.length === 0 && <p className="mt-4">This map names no principle yet.</p>}
      <Reorder
        first={order.first && indexOf(loaded).principle(order.first.principle)?.title}
        reorder={order.reorder}
      />
      {order.items.filter(changesMuch).map(row)}
      {rest.length > 0 && (
        <details className="mt-6" open={rest.some((c) => `#${c.principle}` === hash) || undefined}>
          <summary className="min-h-8 font-semibold">
            {rest.length} that {rest.length === 1 ? "changes" : "change"} next to nothing for this pair
          </summary>
          {rest.map(row)}
        </details>
      )}
    </main>
  );
}

/** The stance tried out in the address, its id, or "any" for going by the condition; undefined when none is tried. */
function useTried(principle: string): [string | undefined, (stance: string | undefined) => void] {
  const [setting, change] = useSetting();
  const others = (setting.stance ?? []).filter((s) => !s.startsWith(`${principle}/`));
  const tried = setting.stance?.find((s) => s.startsWith(`${principle}/`))?.slice(principle.length + 1);
  return [
    tried,
    (stance) => change({ stance: stance === undefined ? others : [...others, `${principle}/${stance}`] }),
  ];
}

function PrincipleRow({
  map,
  principle,
  comparison,
}: {
  map: Schemas["Map"];
  principle: Schemas["Principle"];
  comparison: Schemas["StanceComparison"];
}) {
  const [tried, tryOut] = useTried(principle.id);
  const save = useMapChange(map.id);
  const house = principle.house ?? undefined;
  const now = tried ?? house ?? "any";
  const take = (stance: string | undefined) =>
    save.mutate(
      () =>
        unwrap(
          api.PUT("/api/maps/{mapId}/principles/{principle}/house", {
            params: {
              path: { mapId: map.id, principle: principle.id },
              query: { revision: map.revision, stance },
            },
          }),
        ),
      { onSuccess: () => tryOut(undefined) },
    );
  return (
    <section
      id={principle.id}
      className="mt-2 mb-4 border-t-[3px] border-ink pt-2"
      aria-label={principle.title}
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-[18px]">{principle.title}</h2>
        <p className="text-quiet">
          {house
            ? `The house: ${principle.stances.find((s) => s.id === house)?.title.toLowerCase()}.`
            : "The house goes by the condition."}
        </p>
      </div>
      <div className="mt-2 grid gap-x-6 gap-y-4 md:grid-cols-3">
        {comparison.choices.map((choice) => {
          const stance = principle.stances.find((s) => s.id === choice.stance);
          return (
            stance && (
              <Choice
                key={stance.id}
                title={stance.title}
                wants={stance.wants}
                worth={choice.start}
                against={comparison.byCondition}
                now={now === stance.id}
                house={house === stance.id}
                tryIt={() => tryOut(house === stance.id ? undefined : stance.id)}
                takeIt={() => take(stance.id)}
              >
                <Consequences map={map} choice={choice} />
              </Choice>
            )
          );
        })}
        <Choice
          title="By the condition"
          wants={principle.condition || "No condition separates them yet; both are taught everywhere."}
          worth={comparison.byCondition}
          now={now === "any"}
          house={house === undefined}
          tryIt={() => tryOut(house === undefined ? undefined : "any")}
          takeIt={() => take(undefined)}
        >
          <p className="text-quiet">Nothing leaves the map; each place decides by what is so there.</p>
        </Choice>
      </div>
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </section>
  );
}

function Choice({
  title,
  wants,
  worth,
  against,
  now,
  house,
  tryIt,
  takeIt,
  children,
}: {
  title: string;
  wants: string;
  worth: number;
  against?: number;
  now: boolean;
  house: boolean;
  tryIt: () => void;
  takeIt: () => void;
  children: ReactNode;
}) {
  const difference = against === undefined ? 0 : (worth - against) * 100;
  const mayEdit = useMay("edit-maps");
  return (
    <div className={`min-w-0 border-l-4 pl-3 ${now ? "border-ink" : "border-rule"}`}>
      <div className="flex items-baseline gap-3">
        <h3 className="text-base lg:text-[15px]">{title}</h3>
        <span className="ml-auto text-[20px] font-bold">{hundred(worth)}</span>
        {Math.abs(difference) >= 0.05 && (
          <span className="text-quiet">
            {difference > 0 ? "+" : "−"}
            {Math.abs(difference).toFixed(1)}
          </span>
        )}
      </div>
      <Gate worth={worth} className="mt-1" />
      {wants && <p className="mt-1.5">{wants}</p>}
      <div className="mt-1.5">{children}</div>
      <div className="mt-1 flex flex-wrap gap-x-5">
        {now ? (
          <span className="font-semibold">{house ? "Taken by the house" : "Being tried"}</span>
        ) : (
          <button type="button" className="word" aria-label={`Try it: ${title}`} onClick={tryIt}>
            Try it
          </button>
        )}
        {!house && mayEdit && (
          <button
            type="button"
            className="word"
            aria-label={`Take it for the house: ${title}`}
            onClick={takeIt}
          >
            Take it for the house
          </button>
        )}
      </div>
    </div>
  );
}

const SHOWN = 3;

/** What would no longer be taught, and the places that change most. */
function Consequences({ map, choice }: { map: Schemas["Map"]; choice: Schemas["StanceChoice"] }) {
  const [params] = useSearchParams();
  const leaves = [...new Set(choice.leaves.map((id) => reactionTitle(map, id)))];
  const changed = Object.entries(choice.situations);
  return (
    <>
      <p>
        <span className="text-quiet">Leaves the map: </span>
        {leaves.length === 0 ? "nothing" : leaves.join("; ")}.
      </p>
      {changed.length > 0 && (
        <p className="mt-0.5">
          <span className="text-quiet">Changes most: </span>
          {changed.slice(0, SHOWN).map(([id, change], index) => (
            <span key={id}>
              {index > 0 && ", "}
              <Link className="link" to={paths.situation(map.id, id) + settingQuery(params)}>
                {placeTitle(map, id)}
              </Link>{" "}
              {change > 0 ? "+" : "−"}
              {tenths(change)}
            </span>
          ))}
          .
        </p>
      )}
    </>
  );
}
