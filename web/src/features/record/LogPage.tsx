import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { isoDay } from "../../ui/days";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { shortNames } from "../lesson";
import { useMap } from "../map";
import { usePeople } from "../pair";
import type { Schemas } from "../../api/client";
import { End, type Noted } from "./End";
import { useRecord } from "./events";
import { Kept } from "./Kept";
import {
  nextPair,
  swapped,
  today,
  twinOf,
  useLogged,
  useTonight,
  type Ending,
  type Pair,
  type Tonight,
} from "./log";
import { Others } from "./Others";
import { Start, Who } from "./Start";
import { Waits } from "./Waits";

/** A round in three taps, at the mat's edge: where it started, how it ended, who is next. */
export function LogPage() {
  const map = useMap();
  const people = usePeople();
  const tonight = useTonight(map.data?.id);
  const ready = together({ map, people, tonight });
  if (!ready.data) return <Waiting what="Opening the log" on={ready} />;
  if (ready.data.people.length < 2) {
    return (
      <main className="max-w-2xl px-5 pt-4 pb-10">
        <Heading>Log a round</Heading>
        <p className="mt-2">
          A round is logged for two people of the roster.{" "}
          <Link className="link" to="/people">
            Write down who trains
          </Link>{" "}
          first; a name is enough.
        </p>
      </main>
    );
  }
  return <Log map={ready.data.map} people={ready.data.people} tonight={ready.data.tonight} />;
}

type Step = "start" | "end" | "kept" | "who";

interface Last {
  id: string;
  at: string;
  pair: Pair;
  start: string;
  ending: Ending;
  gone: boolean;
}

const STEP: Record<Step, { heading: string; number?: number }> = {
  who: { heading: "Who rolled?" },
  start: { heading: "Where did it start?", number: 1 },
  end: { heading: "How did it end?", number: 2 },
  kept: { heading: "Kept", number: 3 },
};

function Log({
  map,
  people,
  tonight,
}: {
  map: Schemas["Map"];
  people: Schemas["Person"][];
  tonight: Tonight;
}) {
  const mapId = map.id;
  const { log, takeOut, waiting } = useRecord();
  const logged = useLogged(mapId, isoDay(new Date())).data;
  const rounds = today(logged, waiting, mapId);
  const [pair, setPair] = useState<Pair | undefined>(tonight.pairs[0]);
  const [start, setStart] = useState<string>();
  const [step, setStep] = useState<Step>(pair ? "start" : "who");
  const [last, setLast] = useState<Last>();
  const heading = useRef<HTMLDivElement>(null);
  const shown = useRef(step);
  const names = shortNames(people);
  const name = (id: string) => names.get(id) ?? "Somebody";
  useEffect(() => {
    if (shown.current === step) return;
    shown.current = step;
    heading.current?.focus({ preventScroll: true });
    window.scrollTo({ top: 0 });
  }, [step]);
  const keep = (ending: Ending, noted: Noted) => {
    if (!pair || !start) return;
    const id = crypto.randomUUID();
    const at = new Date().toISOString();
    log(mapId, {
      id,
      kind: "round",
      at,
      person: pair.bottom,
      partner: pair.top,
      start,
      ending,
      ...noted,
    });
    setLast({ id, at, pair, start, ending, gone: false });
    setStep("kept");
  };
  const undo = () => {
    if (!last) return;
    takeOut(mapId, last.id);
    setLast({ ...last, gone: true });
  };
  const { heading: words, number } = STEP[step];
  return (
    <main className="mx-auto max-w-[34rem] px-4 pt-2 pb-8 lg:mx-0 lg:max-w-[62rem] lg:px-5">
      <p className="flex min-h-11 items-center justify-between text-quiet">
        {step === "start" && !last ? (
          <span>{tonight.title ?? "No class today"}</span>
        ) : (
          <button
            type="button"
            className="word min-h-11"
            onClick={() => setStep(step === "end" ? "start" : last && step !== "kept" ? "kept" : "start")}
            disabled={step === "who" && !pair}
          >
            {step === "end" ? "Where it started" : step === "kept" ? "Another start" : "Back"}
          </button>
        )}
        {number && <span>{number} of 3</span>}
      </p>
      <div ref={heading} tabIndex={-1} className="border-b-[3px] border-ink pb-2 outline-none">
        <Heading size="sheet">{words}</Heading>
      </div>
      {step === "who" && (
        <Others
          people={people}
          pairs={tonight.pairs}
          pair={pair}
          rounds={rounds}
          name={name}
          choose={(chosen) => {
            setPair(chosen);
            setStep(start && last ? "end" : "start");
          }}
        />
      )}
      {step === "start" && pair && (
        <>
          <Who pair={pair} name={name} swap={() => setPair(swapped(pair))} other={() => setStep("who")} />
          <Start
            map={map}
            tonight={tonight}
            start={start}
            choose={(place) => {
              setStart(place);
              setStep("end");
            }}
          />
        </>
      )}
      {step === "end" && pair && start && (
        <End
          key={last?.id}
          map={map}
          start={start}
          pair={pair}
          name={name}
          choose={keep}
          back={() => setStep("start")}
        />
      )}
      {step === "kept" && last && (
        <Kept
          map={map}
          mapId={mapId}
          pair={last.pair}
          start={last.start}
          ending={last.ending}
          gone={last.gone}
          twin={twinOf(last, rounds)}
          waits={waiting.some((one) => one.event.id === last.id)}
          pairs={tonight.pairs}
          next={nextPair(tonight.pairs, last.pair, last.start, rounds)}
          rounds={rounds}
          name={name}
          undo={undo}
          go={(chosen) => {
            setPair(chosen);
            setStart(last.start);
            setStep("end");
          }}
          others={() => setStep("who")}
        />
      )}
      <Waits />
    </main>
  );
}
