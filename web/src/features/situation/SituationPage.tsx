import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { hundred, KIND_LABEL, seconds, STAGE_LABEL } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { Caution, Failed, Loading, NotSolved } from "../../ui/Notice";
import { paths, useMap } from "../map";
import {
  OddsControls,
  settingQuery,
  useAim,
  useExplanation,
  useLateCurve,
  useOdds,
  useSetting,
  useWas,
} from "../odds";
import { BodyFigure } from "./BodyFigure";
import { biggestLoss } from "./explanation";
import { LateCurve } from "./LateCurve";
import { entriesTo, placeTitle, techniqueOf } from "./places";
import { ReactionBlock } from "./ReactionBlock";
import { ReactionForm } from "./ReactionForm";
import { WhatIf } from "./WhatIf";

/** One situation: what is held, the clock, the reactions by odds, their responses and where these land. */
export function SituationPage() {
  const { situation: id } = useParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const was = useWas(odds.data);
  if (map.isError) return <Failed problem={problemOf(map.error)} retry={() => void map.refetch()} />;
  if (odds.isError) return <Failed problem={problemOf(odds.error)} retry={() => void odds.refetch()} />;
  if (!map.data || !odds.data) return <Loading what="Solving the map" />;
  if (!odds.data.converged) return <NotSolved />;
  const situation = map.data.situations.find((s) => s.id === id);
  const at = id === undefined ? undefined : odds.data.situations[id];
  if (!situation || !at) {
    return (
      <main className="space-y-2 p-5">
        <h1 className="text-2xl">No such situation</h1>
        <p>It may have been taken out. Go back to the map and pick another.</p>
      </main>
    );
  }
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[248px_minmax(0,1fr)_264px]">
      <Position map={map.data} situation={situation} worth={at.worth} />
      <main className="min-w-0 border-rule px-5 pt-2 pb-10 lg:border-x">
        <OddsControls map={map.data} />
        <Answers
          key={situation.id}
          map={map.data}
          situation={situation}
          at={at}
          was={was?.situations[situation.id]}
        />
      </main>
      <Beside key={situation.id} map={map.data} situation={situation} at={at} />
    </div>
  );
}

function Position({
  map,
  situation,
  worth,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  worth: number;
}) {
  const [params] = useSearchParams();
  const family = map.families.find((f) => f.id === situation.family);
  const entries = entriesTo(map, situation.id);
  return (
    <aside className="px-5 pt-3 pb-4" aria-label="The situation">
      <h1 className="text-[26px] leading-[1.1]" style={narrowness(worth)}>
        {situation.title}
      </h1>
      <p className="mt-1 mb-3 text-quiet">
        {family?.title}, {STAGE_LABEL[situation.stage].toLowerCase()}
      </p>
      <BodyFigure held={situation.held} />
      {situation.clock ? (
        <p className="mt-4 border-t border-rule pt-3">
          <span className="flex justify-between gap-2">
            <span>If you do nothing</span>
            <span className="font-semibold">{seconds(situation.clock.seconds)}</span>
          </span>
          <span className="text-quiet">
            then:{" "}
            <Link
              className="link"
              to={paths.situation(map.id, situation.clock.becomes) + settingQuery(params)}
            >
              {placeTitle(map, situation.clock.becomes)}
            </Link>
          </span>
        </p>
      ) : (
        <p className="mt-4 border-t border-rule pt-3 text-quiet">Nobody gains by waiting here.</p>
      )}
      {entries.length > 0 && (
        <details className="mt-3 border-t border-rule pt-3" open={entries.length <= 5}>
          <summary className="font-semibold">How you got here</summary>
          <ul className="mt-1 space-y-1">
            {entries.map(({ from, how }) => (
              <li key={from.id}>
                <Link className="link" to={paths.situation(map.id, from.id) + settingQuery(params)}>
                  {from.title}
                </Link>
                <span className="block text-quiet">{how}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </aside>
  );
}

function Answers({
  map,
  situation,
  at,
  was,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
  was?: Schemas["SituationOdds"];
}) {
  const [adding, setAdding] = useState(false);
  const late = situation.stage === "last-chance";
  const before = was && hundred(was.worth) !== hundred(at.worth) ? hundred(was.worth) : undefined;
  return (
    <>
      <div className="mt-3 flex items-end gap-4 border-b-[3px] border-ink pb-3">
        <span
          className="text-[60px] leading-[0.8] font-bold"
          style={{ fontStretch: "76%" }}
          data-testid="odds"
        >
          {hundred(at.worth)}
        </span>
        <div className="min-w-0 grow">
          <p aria-live="polite">
            <Sentence map={map} at={at} was={before} />
          </p>
          <Gate worth={at.worth} late={late} height={12} className="mt-1.5" />
        </div>
      </div>
      {at.reactions.map((reactionOdds, index) => {
        const reaction = map.reactions.find((r) => r.id === reactionOdds.reaction);
        return (
          reaction && (
            <ReactionBlock
              key={reaction.id}
              map={map}
              situation={situation}
              reaction={reaction}
              odds={reactionOdds}
              was={was?.reactions.find((r) => r.reaction === reaction.id)}
              rank={index + 1}
            />
          )
        );
      })}
      {at.reactions.length === 0 && (
        <p className="py-4 text-rust">Nothing is taught from here. Until something is, the clock runs.</p>
      )}
      {adding ? (
        <ReactionForm map={map} situation={situation.id} onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="word mt-3" onClick={() => setAdding(true)}>
          Add what you do
        </button>
      )}
    </>
  );
}

/** "52 of 100 starts reach guard or better. They end in guard 31, reversal 21, tap 9." */
function Sentence({
  map,
  at,
  was,
}: {
  map: Schemas["Map"];
  at: Schemas["SituationOdds"];
  was: number | undefined;
}) {
  const aim = useAim(map);
  const explanation = useExplanation(map, at.best ?? undefined);
  const loss = explanation.data && biggestLoss(map, explanation.data);
  const ends = Object.entries(at.ends)
    .map(([kind, chance]) => ({ kind, count: hundred(chance) }))
    .filter((end) => end.count > 0)
    .sort((a, b) => b.count - a.count);
  const held = 100 - ends.reduce((sum, end) => sum + end.count, 0);
  const list = ends.map((end) => `${KIND_LABEL[end.kind] ?? end.kind} ${end.count}`);
  if (held >= 2) list.push(`held for ever ${held}`);
  return (
    <>
      {aim?.chance ? (
        <>of 100 starts here reach {aim.title.toLowerCase()}</>
      ) : (
        <>of 100 by {aim?.title.toLowerCase()}</>
      )}
      {was === undefined ? "" : `, was ${was}`}
      {at.stop ? ". Staying is best" : ""}. {loss && <>{loss} </>}
      <span className="text-quiet">They end in {list.join(", ")}.</span>
    </>
  );
}

function Beside({
  map,
  situation,
  at,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
}) {
  const [params] = useSearchParams();
  const [setting] = useSetting();
  const late = useLateCurve(map);
  const reactions = at.reactions
    .map((odds) => map.reactions.find((r) => r.id === odds.reaction))
    .filter((r) => r !== undefined);
  const techniques = [...new Set(reactions.map((r) => techniqueOf(map, r)).filter((t) => t !== undefined))];
  const cautions = [...new Set(techniques.flatMap((t) => t.cautions))];
  const best = techniques[0];
  return (
    <aside className="space-y-6 px-5 pt-4 pb-10" aria-label="Beside the answers">
      <WhatIf map={map} reactions={reactions} best={at.best ?? undefined} />
      <p>
        <Link
          to={paths.drill(map.id, situation.id) + settingQuery(params)}
          className="plate inline-flex items-center no-underline"
        >
          Drill this
        </Link>
      </p>
      {late.data && (
        <section>
          <h2 className="text-base lg:text-[15px]">If you start late</h2>
          <LateCurve
            delays={late.data.delays}
            worth={late.data.situations[situation.id] ?? []}
            now={setting.late}
          />
        </section>
      )}
      {cautions.length > 0 && (
        <section className="space-y-2">
          {cautions.map((caution) => (
            <Caution key={caution}>{caution}</Caution>
          ))}
        </section>
      )}
      {best && best.checkpoints.length > 0 && (
        <section>
          <h2 className="text-base lg:text-[15px]">{best.title}</h2>
          <ol className="mt-1 list-decimal space-y-0.5 pl-5">
            {best.checkpoints.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        </section>
      )}
      {techniques.some((t) => t.faults.length > 0) && (
        <section>
          <h2 className="text-base lg:text-[15px]">Watch for</h2>
          {techniques
            .flatMap((t) => t.faults)
            .slice(0, 4)
            .map((fault) => (
              <p key={fault.sign} className="mt-1.5">
                <span className="font-semibold">{fault.sign}.</span> {fault.cause}.{" "}
                <span className="text-quiet">{fault.fix}.</span>
              </p>
            ))}
        </section>
      )}
      {techniques.some((t) => t.questions.length > 0) && (
        <section>
          <h2 className="text-base lg:text-[15px]">Asked before</h2>
          {techniques
            .flatMap((t) => t.questions)
            .slice(0, 3)
            .map((question) => (
              <p key={question.ask} className="mt-1.5">
                <span className="font-semibold">{question.ask}</span> {question.answer}
              </p>
            ))}
        </section>
      )}
    </aside>
  );
}
