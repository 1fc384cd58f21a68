import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { hundred, tenths } from "../../labels";
import { Gate } from "../../ui/Gate";
import { Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { lowerFirst, paths, techniqueOf, useMapChange, withoutThey } from "../map";
import { Reorder, settingQuery, useFrozenOrder } from "../odds";
import { PlacePicture } from "../picture";
import { ResponseForm } from "../situation";
import { partsOf } from "../../model/partKinds";
import { FieldInput, RESPONSE_FIELDS, type Part } from "../workshop";
import { useAsk } from "./asked";
import { indexOf } from "../../model/mapIndex";

type Question = Schemas["OpenQuestion"];

const keyOf = (q: Question) => q.id ?? `${q.reaction} ${q.response}`;

/** As many of the largest stand as cards; the rest are folded. */
const CARDS = 3;

/** What was asked and has no answer yet: the largest as cards that are answered in place, the rest folded. */
export function Questions({
  map,
  questions,
  start,
}: {
  map: Schemas["Map"];
  questions: Question[];
  /** What the map is worth now, in [0,1]. */
  start: number;
}) {
  const { waiting } = useAsk();
  const order = useFrozenOrder(questions, keyOf, `${map.id} ${map.revision} ${questions.length}`);
  const here = waiting.filter((a) => a.mapId === map.id);
  const cards = order.items.slice(0, CARDS);
  const rest = order.items.slice(CARDS);
  return (
    <section aria-labelledby="questions" className="mt-2">
      <h2 id="questions" className="text-[17px]">
        Nobody has answered these yet
      </h2>
      {here.length > 0 && (
        <p className="mt-2 border-l-4 border-rust pl-3" role="status">
          {here.length} kept on this device until there is a connection:{" "}
          {here.map((a) => `“${a.words}”`).join(", ")}
        </p>
      )}
      {questions.length === 0 && (
        <p className="mt-2">
          Every question has its answer. The next one from the mat goes into “What if they …”.
        </p>
      )}
      <Reorder
        first={order.first && `what if they ${lowerFirst(withoutThey(order.first.words))}?`}
        reorder={order.reorder}
      />
      <ul className="grid gap-5 mid:grid-cols-2 lg:grid-cols-3">
        {cards.map((question) => (
          <Card key={keyOf(question)} map={map} question={question} start={start} />
        ))}
      </ul>
      {rest.length > 0 && (
        <details className="mt-3" open={rest.length <= 2 || undefined}>
          <summary className="min-h-8 font-semibold">
            {rest.length} smaller {rest.length === 1 ? "one" : "ones"}
          </summary>
          <ul>
            {rest.map((question) => (
              <Row key={keyOf(question)} map={map} question={question} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** What a question is about, in the words that its forms and buttons go by. */
function aboutOf(map: Schemas["Map"], question: Question) {
  const reaction = indexOf(map).reaction(question.reaction);
  return {
    place: indexOf(map).situation(question.situation),
    reaction,
    response: indexOf(map).response(question.reaction, question.response),
    technique: techniqueOf(map, reaction),
    words: lowerFirst(withoutThey(question.words)),
  };
}

/** A question with its picture, where it was asked, after what, and by whom. */
function Asked({
  map,
  question,
  wide,
  picture,
}: {
  map: Schemas["Map"];
  question: Question;
  /** Width of the picture, in pixels, and the classes that give it its size. */
  wide: number;
  picture: string;
}) {
  const [params] = useSearchParams();
  const { place, technique, words } = aboutOf(map, question);
  return (
    <div className="flex min-w-0 items-start gap-3">
      {place && (
        <PlacePicture map={map} place={place.id} width={wide} silent className={`shrink-0 ${picture}`} />
      )}
      <div className="min-w-0">
        <p className="text-[16px] leading-tight font-semibold">What if they {words}?</p>
        <p className="mt-0.5 text-quiet">
          {place ? (
            <>
              in{" "}
              <Link className="link" to={paths.situation(map.id, place.id) + settingQuery(params)}>
                {place.title}
              </Link>
            </>
          ) : (
            "not placed yet"
          )}
          {technique && <>, after you: {lowerFirst(technique.title)}</>}
          {question.author && <>, asked by {question.author}</>}
        </p>
      </div>
    </div>
  );
}

/** Drops a question that needs no answer any more; nothing for what is no kept question. */
function Drop({ map, question }: { map: Schemas["Map"]; question: Question }) {
  const { words } = aboutOf(map, question);
  const queries = useQueryClient();
  const drop = useMutation({
    mutationFn: () =>
      unwrapNothing(
        api.DELETE("/api/maps/{mapId}/questions/{question}", {
          params: { path: { mapId: map.id, question: question.id! } },
        }),
      ),
    onSettled: () => askAgain(queries, { queryKey: ["questions", map.id] }),
  });
  const [asking, ask] = useState(false);
  if (!question.id) return null;
  if (!asking) {
    return (
      <button type="button" className="word" aria-label={`Drop: they ${words}`} onClick={() => ask(true)}>
        Drop
      </button>
    );
  }
  return (
    <span className="flex flex-wrap items-baseline gap-x-4">
      <span>Drop it for good?</span>
      <button type="button" className="word" disabled={drop.isPending} onClick={() => drop.mutate()}>
        Drop it
      </button>
      {/* The word that was pressed is gone, and this is the careful one. */}
      <button type="button" className="word" autoFocus onClick={() => ask(false)}>
        Keep it
      </button>
    </span>
  );
}

function Card({ map, question, start }: { map: Schemas["Map"]; question: Question; start: number }) {
  const { place, words } = aboutOf(map, question);
  const [whole, setWhole] = useState(false);
  const gain = question.gain ?? undefined;
  const then = Math.min(1, start + (gain ?? 0));
  const atLength = question.id && place ? "Answer at length" : "Answer";
  return (
    <li className="flex min-w-0 flex-col gap-2 border-2 border-ink p-3">
      <Asked map={map} question={question} wide={110} picture="h-[72px] w-[110px]" />
      {gain === undefined ? (
        <p className="text-quiet">What an answer would bring cannot be told before it has a place.</p>
      ) : (
        <div>
          <p className="flex items-baseline justify-between">
            <span>
              {hundred(start)} of 100 now, {hundred(then)} at most if answered
            </span>
            <span className="font-bold text-green">{gain < 0.0005 ? "little" : `+${tenths(gain)}`}</span>
          </p>
          <Gate worth={then} beside={start} height={12} className="mt-1" />
        </div>
      )}
      {whole ? (
        <WholeAnswer map={map} question={question} onDone={() => setWhole(false)} />
      ) : (
        <div className="mt-auto">
          {question.id && place && <AnswerLine map={map} question={question} words={words} />}
          <p className="flex gap-x-5">
            <button
              type="button"
              className="word"
              aria-label={`${atLength}: they ${words}`}
              onClick={() => setWhole(true)}
            >
              {atLength}
            </button>
            <Drop map={map} question={question} />
          </p>
        </div>
      )}
    </li>
  );
}

/** The answer in one line: where you are then; after the best answer of the place, and as often as things usually are. */
function AnswerLine({ map, question, words }: { map: Schemas["Map"]; question: Question; words: string }) {
  const [leads, setLeads] = useState("");
  const answer = useAnswer(map, question);
  const after = indexOf(map).answersFrom(question.situation)[0];
  if (!after) return null;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (leads) answer.send(after.id, { often: "sometimes", leads });
      }}
    >
      <span className="block font-semibold">What do you do then? You are in</span>
      <div className="flex items-center gap-2">
        <div className="min-w-0 grow">
          <Picker
            label={`Where you are then, when they ${words}`}
            value={leads}
            choices={[...map.situations, ...map.outcomes].map(({ id, title }) => ({ id, title }))}
            onChange={setLeads}
          />
        </div>
        <button
          type="submit"
          className="plate"
          aria-label={`Answer it: they ${words}`}
          disabled={leads === "" || answer.isPending}
        >
          Answer
        </button>
      </div>
      {answer.problem && <Refused problem={answer.problem} />}
    </form>
  );
}

function WholeAnswer({
  map,
  question,
  onDone,
}: {
  map: Schemas["Map"];
  question: Question;
  onDone: () => void;
}) {
  const { reaction, response } = aboutOf(map, question);
  if (question.id) return <AnswerForm map={map} question={question} onDone={onDone} />;
  if (!reaction || !response) return null;
  return <ResponseForm map={map} reaction={reaction.id} response={response} onDone={onDone} />;
}

/** Sends an answer to a kept question; then it is a question no longer. */
function useAnswer(map: Schemas["Map"], question: Question) {
  const save = useMapChange(map.id);
  const queries = useQueryClient();
  const send = (reaction: string, value: Part, done?: () => void) =>
    save.mutate(
      () =>
        unwrap(
          api.POST("/api/maps/{mapId}/questions/{question}/answer", {
            params: { path: { mapId: map.id, question: question.id! } },
            body: {
              revision: map.revision,
              reaction,
              often:
                typeof value.often === "number"
                  ? { number: value.often }
                  : { word: value.often as Schemas["Likelihood"]["word"] },
              leads: value.leads as string | undefined,
            },
          }),
        ),
      {
        onSuccess: () => {
          void askAgain(queries, { queryKey: ["questions", map.id] });
          done?.();
        },
      },
    );
  return { send, isPending: save.isPending, problem: save.isError ? problemOf(save.error) : undefined };
}

function Row({ map, question }: { map: Schemas["Map"]; question: Question }) {
  const [answering, setAnswering] = useState(false);
  const { words } = aboutOf(map, question);
  const gain = question.gain ?? undefined;
  return (
    <li className="border-b border-rule py-2.5">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-6 gap-y-0.5 md:grid-cols-[minmax(0,1fr)_auto_88px]">
        <Asked map={map} question={question} wide={72} picture="h-12 w-[72px] max-sm:hidden" />
        <div className="flex gap-x-5">
          <button
            type="button"
            className="word"
            aria-expanded={answering}
            aria-label={`Answer: they ${words}`}
            onClick={() => setAnswering(!answering)}
          >
            Answer
          </button>
          <Drop map={map} question={question} />
        </div>
        <p className="max-md:col-span-2 md:text-right">
          {gain === undefined ? (
            <span className="text-quiet">cannot tell</span>
          ) : (
            <span className="font-bold text-green">+{tenths(gain)}</span>
          )}
        </p>
      </div>
      {answering && <WholeAnswer map={map} question={question} onDone={() => setAnswering(false)} />}
    </li>
  );
}

/** Puts a kept question to a reaction, with how often they do it and where it lands. */
function AnswerForm({
  map,
  question,
  onDone,
}: {
  map: Schemas["Map"];
  question: Question;
  onDone: () => void;
}) {
  const here = indexOf(map).answersFrom(question.situation);
  const [reaction, setReaction] = useState(here[0]?.id ?? "");
  const [value, setValue] = useState<Part>({ often: "sometimes" });
  const answer = useAnswer(map, question);
  const reactions = partsOf(map, "reactions").filter(
    (r) => !question.situation || indexOf(map).reaction(r.id)?.from === question.situation,
  );
  return (
    <form
      className="@container my-2 space-y-3 border-2 border-ink bg-ground p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reaction) answer.send(reaction, value, onDone);
      }}
    >
      <div className="grid gap-x-5 gap-y-3 @lg:grid-cols-2">
        <div className="min-w-0">
          <span className="block font-semibold">After you</span>
          <Picker label="After you" value={reaction} choices={reactions} onChange={setReaction} />
        </div>
        {RESPONSE_FIELDS.filter((f) => f.name !== "cue").map((field) => (
          <FieldInput
            key={field.name}
            map={map}
            field={field.kind === "ref" ? { ...field, makes: undefined } : field}
            place={`/${field.name}`}
            value={value[field.name]}
            errors={NO_ERRORS}
            make={() => ""}
            made={[]}
            part={value}
            onChange={(next) => setValue((now) => ({ ...now, [field.name]: next }))}
          />
        ))}
      </div>
      {answer.problem && <Refused problem={answer.problem} />}
      <div className="flex gap-5">
        <button type="submit" className="plate" disabled={reaction === "" || answer.isPending}>
          Save
        </button>
        <button type="button" className="word" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}

const NO_ERRORS = new Map<string, string>();
