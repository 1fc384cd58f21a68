import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { useAddress } from "../../ui/address";
import { Gate } from "../../ui/Gate";
import { Heading } from "../../ui/Heading";
import { PlacePicture } from "../picture";
import { useReadings } from "../../queue";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery } from "../odds";
import { canSpeak, say, sayNoMore } from "../../ui/voice";
import { useDeck } from "./deck";
import { milliseconds, middle, stillToCome, type Read } from "./sitting";
import { TrainerEnd } from "./TrainerEnd";
import { useMay } from "../session";

type Card = Schemas["ReadingCard"];

/** A cue that is read wrong so often is shown by the coach, not by the phone. */
const MOST_AGAIN = 2;

/** Alone, on a phone: a cue, the answer as fast as you can, then why. It needs no network. */
export function TrainerPage() {
  const map = useMap();
  const [params, write] = useAddress();
  const seed = Number(params.get("draw")) || 1;
  const deck = useDeck(map.data, seed);
  const ready = together({ map, deck });
  if (!ready.data) return <Waiting what="Laying out the deck" on={ready} />;
  return (
    <main className="mx-auto max-w-[430px] px-5 pt-3 pb-16 text-[16px]">
      <Sitting
        key={seed}
        map={ready.data.map}
        deck={ready.data.deck}
        again={() => write({ draw: seed + 1 })}
      />
    </main>
  );
}

function Sitting({ map, deck, again }: { map: Schemas["Map"]; deck: Card[]; again: () => void }) {
  const [params] = useSearchParams();
  const mayDrill = useMay("read-maps");
  const { add, waiting } = useReadings();
  const [left, setLeft] = useState(deck.slice(1));
  const [card, setCard] = useState<Card | undefined>(deck[0]);
  const [read, setRead] = useState<Read>();
  const [reads, setReads] = useState<Read[]>([]);
  const [heard, setHeard] = useState(false);
  const choose = (chosen: string, from: number) => {
    if (!card || read) return;
    const right = card.choices.find((c) => c.right)?.technique === chosen;
    const now: Read = { card, chosen, right, milliseconds: milliseconds(from, performance.now()) };
    setRead(now);
    setReads([...reads, now]);
    const before = reads.filter((r) => r.card.reaction === card.reaction).length;
    setLeft(stillToCome(left, card, right || before >= MOST_AGAIN));
    add(map.id, {
      situation: card.situation,
      reaction: card.reaction,
      chosen,
      correct: right,
      answers: card.choices.length,
      milliseconds: now.milliseconds,
      at: new Date().toISOString(),
    });
  };
  const next = () => {
    setRead(undefined);
    setCard(left[0]);
    setLeft(left.slice(1));
  };
  const total = reads.length + left.length + (card && !read ? 1 : 0);
  return (
    <>
      <p className="flex justify-between text-quiet">
        {mayDrill ? (
          <Link className="word" to={paths.drills(map.id) + settingQuery(params)}>
            Reading trainer, back to the bench
          </Link>
        ) : (
          <span>Reading trainer</span>
        )}
        <span>
          {Math.min(reads.length + (read ? 0 : 1), total)} of {total}
        </span>
      </p>
      {waiting > 0 && (
        <p role="status" className="text-quiet">
          {waiting} {waiting === 1 ? "reading waits" : "readings wait"} to be sent; nothing is lost.
        </p>
      )}
      {deck.length === 0 ? (
        <>
          <Heading>Reading trainer</Heading>
          <p className="mt-2">
            Nothing can be read yet: no answer says when it is the one to choose. Add it on the map.
          </p>
        </>
      ) : !card ? (
        <TrainerEnd map={map} reads={reads} middle={middle(reads)} again={again} />
      ) : read ? (
        <Answer key={reads.length} read={read} next={next} />
      ) : (
        <Cue
          key={reads.length}
          map={map}
          card={card}
          choose={choose}
          heard={heard}
          onHeard={canSpeak() ? setHeard : undefined}
        />
      )}
    </>
  );
}

/**
 * The cue with what is held, and the answers to choose among. The clock runs from when it can be seen; where the cue is
 * spoken, from when it has been said, unless somebody chooses sooner.
 */
function Cue({
  map,
  card,
  choose,
  heard,
  onHeard,
}: {
  map: Schemas["Map"];
  card: Card;
  choose: (technique: string, from: number) => void;
  heard: boolean;
  onHeard?: (heard: boolean) => void;
}) {
  const from = useRef(0);
  useEffect(() => {
    from.current = performance.now();
  }, []);
  useEffect(() => {
    if (!heard) return;
    say(card.cue, () => {
      from.current = performance.now();
    });
    return sayNoMore;
  }, [heard, card.cue]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const choice = card.choices[Number(event.key) - 1];
      if (choice && !event.ctrlKey && !event.metaKey && !event.altKey) choose(choice.technique, from.current);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
  const situation = indexOf(map).situation(card.situation);
  return (
    <>
      <Heading size="place" className="mt-2">
        {card.cue}
      </Heading>
      <p className="flex flex-wrap items-baseline justify-between gap-x-4 text-quiet">
        {card.situationTitle}
        {onHeard && (
          <button type="button" className="word" aria-pressed={heard} onClick={() => onHeard(!heard)}>
            {heard ? "Only shown" : "Hear it"}
          </button>
        )}
      </p>
      {situation && (
        <PlacePicture map={map} place={situation.id} width={320} className="mx-auto my-2 h-52 w-full" />
      )}
      <ol className="space-y-2">
        {card.choices.map((choice, index) => (
          <li key={choice.technique}>
            <button
              type="button"
              className="flex min-h-14 w-full items-center gap-3 border-2 border-ink bg-lane px-3 py-2 text-left font-semibold"
              onClick={() => choose(choice.technique, from.current)}
            >
              <span aria-hidden="true" className="text-quiet">
                {index + 1}
              </span>
              {choice.title}
            </button>
          </li>
        ))}
      </ol>
    </>
  );
}

/** Right or not yet, and why: what each answer is worth there. */
function Answer({ read, next }: { read: Read; next: () => void }) {
  const { card } = read;
  const right = card.choices.find((c) => c.right)!;
  const yours = card.choices.find((c) => c.technique === read.chosen)!;
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => button.current?.focus(), []);
  const costs = hundred(right.worth) - hundred(yours.worth);
  return (
    <>
      <div className="mt-2 flex items-baseline justify-between gap-3">
        <Heading size="sheet">{read.right ? "Right" : "Not yet"}</Heading>
        <p className="text-quiet">
          after <strong className="text-ink">{(read.milliseconds / 1000).toFixed(1)} s</strong>
        </p>
      </div>
      <p className="text-quiet">{card.cue}</p>
      <ol className="mt-2 space-y-2">
        {[right, ...(read.right ? [] : [yours])].map((choice) => (
          <li
            key={choice.technique}
            className={`flex min-h-14 items-center justify-between gap-3 px-3 py-2 font-semibold ${choice.right ? "bg-green text-ground" : "border-2 border-dashed border-rust"}`}
          >
            {choice.title}
            <span className={choice.right ? "" : "text-rust"}>{choice.right ? "right" : "yours"}</span>
          </li>
        ))}
      </ol>
      <h2 className="mt-4 text-base">Why</h2>
      <ul className="mt-1 space-y-1">
        {[...card.choices]
          .sort((a, b) => b.worth - a.worth)
          .map((choice) => (
            <li key={choice.technique} className="flex items-center gap-3">
              <span className={`min-w-0 grow ${choice.right ? "font-semibold" : ""}`}>{choice.title}</span>
              <Gate worth={choice.worth} className="w-20 shrink-0" />
              <span className="w-8 text-right font-semibold">{hundred(choice.worth)}</span>
            </li>
          ))}
      </ul>
      <p className="mt-1 text-quiet">
        of 100 starts there.
        {!read.right && costs > 0 && ` The mix-up costs ${costs}.`}
        {!read.right && " It comes again within the next four."}
      </p>
      {card.checkpoints.length > 0 && <p className="mt-2">It begins: {card.checkpoints[0]}.</p>}
      <button ref={button} type="button" className="plate mt-4 min-h-14 w-full text-left" onClick={next}>
        Next
      </button>
    </>
  );
}
