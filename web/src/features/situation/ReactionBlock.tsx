import { useRef, useState, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { hundred, seconds, tenths } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { hasDraft } from "../../ui/draft";
import { difference, Gate, narrowness, Odds } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { useWide } from "../../ui/media";
import { closedInWords, insteadInWords, lowerFirst, NARROW, placeTitle, techniqueOf } from "../map";
import { useGates } from "../odds";
import { Calls, useCalled } from "./Calls";
import { likelihoodText } from "./places";
import { ReactionForm, reactionKey } from "./ReactionForm";
import { ResponseForm, responseKey } from "./ResponseForm";
import { Responses } from "./Responses";
import { forWhom, Steps, Teaching } from "./Teaching";
import { TheyLine } from "./TheyLine";
import { Why } from "./Why";
import { dayInWords } from "../../ui/when";
import { May } from "../session";

/** True while something typed about an answer, or about what they do about it, waits to be saved. */
export function isDrafted(map: Schemas["Map"], reaction: string): boolean {
  const responses = indexOf(map).reaction(reaction)?.responses ?? [];
  return [
    reactionKey(map, reaction),
    responseKey(map, reaction),
    ...responses.map((response) => responseKey(map, reaction, response.id)),
  ].some(hasDraft);
}

/** One reaction: a line with its gate; open, how it is done and everything they do about it. */
export function ReactionBlock({
  map,
  situation,
  reaction,
  odds,
  was,
  rank,
  best,
  open,
  turn,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
  /** What it was worth before something changed here. */
  was?: number;
  rank: number;
  /** The answer to choose here, if there is one. */
  best: string | null | undefined;
  open: boolean;
  /** Opens it, or makes it a line. */
  turn: () => void;
}) {
  const technique = techniqueOf(map, reaction);
  const title = technique?.title ?? reaction.technique;
  const by = was === undefined ? "" : difference(was, odds.worth);
  const hangs = useGates(map)
    .data?.gates.slice(0, NARROW)
    .find((gate) => gate.reaction === reaction.id);
  return (
    <section
      id={reaction.id}
      tabIndex={-1}
      className={`group/answer relative border-b border-rule ${open ? "pt-1.5 pb-1" : ""}`}
      aria-label={title}
    >
      {hangs && (
        <span
          aria-hidden="true"
          className="absolute inset-y-1 -left-[17px] w-[10px] border border-ink bg-signal max-mid:hidden"
        />
      )}
      <div className="flex min-h-11 items-center gap-x-3 max-mid:flex-wrap lg:min-h-8">
        <h3 className="flex min-w-0 grow basis-0 font-normal">
          <button
            type="button"
            aria-expanded={open}
            className={`flex min-h-11 min-w-0 grow basis-0 items-center gap-x-3 text-left lg:min-h-8 ${odds.usable ? "" : "text-quiet"}`}
            onClick={turn}
          >
            <span className="key shrink-0">{rank}</span>
            <span
              className={`min-w-0 font-semibold ${open ? "text-[18px]" : "text-[15px] mid:truncate lg:max-w-[75%] lg:shrink-0"}`}
              style={odds.known ? narrowness(odds.worth) : undefined}
            >
              {title}
            </span>
            {!open && reaction.when && (
              <span className="min-w-0 shrink-[9] truncate text-quiet max-lg:hidden">
                when {lowerFirst(reaction.when)}
              </span>
            )}
            {!open && (
              <span className="ml-auto shrink-0 text-quiet max-lg:hidden">{seconds(reaction.seconds)}</span>
            )}
          </button>
        </h3>
        {open && hangs && (
          // On a phone in a line of its own, under the name.
          <span className="max-mid:order-last max-mid:w-full">
            <span className="border border-ink bg-signal px-1.5 text-on-signal">
              the map hangs on it: −{tenths(hangs.lost)} without
            </span>
          </span>
        )}
        {!open && odds.usable && odds.known && (
          <Gate
            worth={odds.worth}
            beside={was}
            className="w-[90px] shrink-0 max-mid:order-last max-mid:w-full lg:w-[150px]"
          />
        )}
        {!open && !odds.usable && <span className="shrink-0 text-rust">closed</span>}
        <span className="w-14 shrink-0 text-right">
          {!odds.known && <span className="text-quiet">not yet</span>}
          {odds.known && odds.usable && <Odds worth={odds.worth} by={by} className="text-[17px]" />}
        </span>
      </div>
      {open && (
        <Opened
          map={map}
          situation={situation}
          reaction={reaction}
          odds={odds}
          was={was}
          rank={rank}
          best={best}
          title={title}
        />
      )}
    </section>
  );
}

/** An answer that is looked at: when, how, what they do about it, why it is worth that. */
function Opened({
  map,
  situation,
  reaction,
  odds,
  was,
  rank,
  best,
  title,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
  was?: number;
  rank: number;
  best: string | null | undefined;
  title: string;
}) {
  const [editing, setEditing] = useState(() => hasDraft(reactionKey(map, reaction.id)));
  const [adding, setAdding] = useState(() => hasDraft(responseKey(map, reaction.id)));
  const technique = techniqueOf(map, reaction);
  const called = useCalled(map, reaction);
  const wide = useWide();
  const lands = mostlyLands(odds);
  const block = useRef<HTMLDivElement>(null);
  /** The focus goes to what changed: the form is gone with whatever had it. */
  const done = (close: (open: boolean) => void) => {
    close(false);
    block.current?.closest("section")?.focus();
  };
  return (
    <div ref={block} className="lg:pl-[34px]">
      {odds.known && <Gate worth={odds.worth} beside={was} height={10} className="mid:hidden" />}
      <div className="flex items-baseline gap-x-3">
        <p className="min-w-0 grow">
          {reaction.when && (
            <>
              <span className="font-semibold">When</span> {lowerFirst(reaction.when)}
            </>
          )}
        </p>
        <May right="edit-maps">
          <button
            type="button"
            className="word edit-word"
            aria-label={`Edit ${title}`}
            onClick={() => setEditing(!editing)}
          >
            Edit
          </button>
        </May>
      </div>
      {odds.usable ? (
        <Working map={map} situation={situation} reaction={reaction} odds={odds} />
      ) : (
        <p className="text-rust">
          Closed {closedInWords(map, reaction, odds.closedBy)}
          {insteadInWords(map, odds.closedBy, best)}.
        </p>
      )}
      {technique && technique.cautions.length > 0 && (
        <div className="mt-1 space-y-1">
          {technique.cautions.map((caution) => (
            <Caution key={caution}>{caution}</Caution>
          ))}
        </div>
      )}
      {editing && <ReactionForm map={map} reaction={reaction} onDone={() => done(setEditing)} />}
      {technique && wide && rank === 1 && lands !== undefined && (
        <div className="mt-2">
          <Steps map={map} technique={technique} from={situation.id} to={lands} />
        </div>
      )}
      {odds.responses.length === 0 && (
        <p className="mt-2 text-rust">What do they do about it? Nobody has said yet.</p>
      )}
      <Responses map={map} reaction={reaction} odds={odds} className="mt-1" />
      {adding ? (
        <ResponseForm map={map} reaction={reaction.id} onDone={() => done(setAdding)} />
      ) : (
        <May right="edit-maps">
          <TheyLine map={map} reaction={reaction} title={title} more={() => setAdding(true)} />
        </May>
      )}
      <div className="flex flex-wrap gap-x-6">
        {technique && (
          <Disclosure title="How it is done">
            <p className="mb-1 text-quiet">{forWhom(technique)}</p>
            <Teaching map={map} technique={technique} from={situation.id} to={lands} />
          </Disclosure>
        )}
        {odds.usable && called.length > 0 && (
          <May right="read-maps">
            <Disclosure title="Call what they do">
              <Calls map={map} reaction={reaction} called={called} />
            </Disclosure>
          </May>
        )}
        {odds.usable && odds.known && (
          <Disclosure title={`Why ${hundred(odds.worth)}?`}>
            <Why map={map} reaction={reaction.id} worth={odds.worth} />
          </Disclosure>
        )}
      </div>
    </div>
  );
}

/** Where it leads most often, of what has an answer. */
function mostlyLands(odds: Schemas["ReactionOdds"]): string | undefined {
  const answered = odds.responses.filter((response) => response.answered);
  return answered.sort((a, b) => b.chance - a.chance)[0]?.lands;
}

/** Something that can be looked up here; what is inside is made only when it is opened. */
function Disclosure({ title, children }: { title: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <div className={open ? "order-last basis-full" : ""}>
      <button type="button" className="word" aria-expanded={open} onClick={() => setOpen(!open)}>
        {title}
      </button>
      {open && <div className="mt-1 mb-2 max-w-2xl border-l-2 border-rule pl-3">{children}</div>}
    </div>
  );
}

/** "while your legs are free, unless they control your head" */
function needsInWords(map: Schemas["Map"], needs: Record<string, boolean>): string {
  const title = (id: string) => lowerFirst(indexOf(map).fact(id)?.title ?? id);
  const wanted = Object.keys(needs).filter((id) => needs[id]);
  const unwanted = Object.keys(needs).filter((id) => !needs[id]);
  const parts = [
    wanted.length > 0 ? `while ${wanted.map(title).join(" and ")}` : "",
    unwanted.length > 0 ? `unless ${unwanted.map(title).join(" or ")}` : "",
  ];
  return parts.filter(Boolean).join(", ");
}

function Working({
  map,
  situation,
  reaction,
  odds,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  reaction: Schemas["Reaction"];
  odds: Schemas["ReactionOdds"];
}) {
  const needs = needsInWords(map, reaction.needs);
  return (
    <p className="text-quiet">
      {[
        needs,
        `${likelihoodText(reaction.works, true)} gets going`,
        reaction.source && learnedFrom(reaction.source),
        seconds(reaction.seconds),
        situation.clock && `in time ${hundred(odds.inTime)} of 100`,
        `when stuffed: ${lowerFirst(placeTitle(map, reaction.stuffed ?? situation.id))}`,
      ]
        .filter(Boolean)
        .join(" · ")}
    </p>
  );
}

/** Where a figure comes from that was learned on the mat. */
function learnedFrom({ before, tries, until }: Schemas["Source"]): string {
  return `learned from ${Math.round(tries)} tries until ${dayInWords(until)}; it was ${likelihoodText(before, true)} before`;
}
