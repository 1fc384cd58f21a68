import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { tenths } from "../../labels";
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

/** What was asked and has no answer yet, each with the way to answer it in place. */
export function Questions({ map, questions }: { map: Schemas["Map"]; questions: Question[] }) {
  const { waiting } = useAsk();
  const order = useFrozenOrder(questions, keyOf, `${map.id} ${map.revision} ${questions.length}`);
  const here = waiting.filter((a) => a.mapId === map.id);
  return (
    <section aria-labelledby="questions" className="mt-3">
      <h2 id="questions" className="text-[19px]">
        Nobody has answered these yet
      </h2>
      <p className="text-quiet">
        What an answer would be worth to all starts comes first, at most so much of 100.
      </p>
      {here.length > 0 && (
        <p className="mt-2 border-l-4 border-rust pl-3" role="status">
          {here.length} kept on this device until there is a connection:{" "}
          {here.map((a) => `“${a.words}”`).join(", ")}
        </p>
      )}
      {questions.length === 0 && (
        <p className="mt-4">
          Every question has its answer. The next one from the mat is two touches away: “What if they …”.
        </p>
      )}
      <Reorder
        first={order.first && `what if they ${lowerFirst(withoutThey(order.first.words))}?`}
        reorder={order.reorder}
      />
      <ul>
        {order.items.map((question) => (
          <Row key={keyOf(question)} map={map} question={question} />
        ))}
      </ul>
    </section>
  );
}

function Row({ map, question }: { map: Schemas["Map"]; question: Question }) {
  const [params] = useSearchParams();
  const [answering, setAnswering] = useState(false);
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
  const place = indexOf(map).situation(question.situation);
  const reaction = indexOf(map).reaction(question.reaction);
  const response = indexOf(map).response(question.reaction, question.response);
  const technique = techniqueOf(map, reaction);
  const words = lowerFirst(withoutThey(question.words));
  const gain = question.gain ?? undefined;
  return (
    <li className="border-b border-rule py-2.5">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-6 gap-y-0.5 md:grid-cols-[minmax(0,1fr)_auto_88px]">
        <div className="flex min-w-0 items-start gap-3">
          {place && (
            <PlacePicture
              map={map}
              place={place.id}
              width={72}
              silent
              className="h-12 w-[72px] shrink-0 max-sm:hidden"
            />
          )}
          <div className="min-w-0">
            <p className="text-[17px] font-semibold">What if they {words}?</p>
            <p className="text-quiet">
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
          {question.id && (
            <button
              type="button"
              className="word"
              aria-label={`Drop: they ${words}`}
              disabled={drop.isPending}
              onClick={() => drop.mutate()}
            >
              Drop
            </button>
          )}
        </div>
        <p className="max-md:col-span-2 md:text-right">
          {gain === undefined ? (
            <span className="text-quiet">cannot tell</span>
          ) : (
            <span className="font-bold text-green">+{tenths(gain)}</span>
          )}
        </p>
      </div>
      {answering && question.id && (
        <AnswerForm map={map} question={question} onDone={() => setAnswering(false)} />
      )}
      {answering && reaction && response && (
        <ResponseForm
          map={map}
          reaction={reaction.id}
          response={response}
          onDone={() => setAnswering(false)}
        />
      )}
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
  const save = useMapChange(map.id);
  const queries = useQueryClient();
  const reactions = partsOf(map, "reactions").filter(
    (r) => !question.situation || indexOf(map).reaction(r.id)?.from === question.situation,
  );
  const send = () =>
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
          onDone();
        },
      },
    );
  return (
    <form
      className="my-2 space-y-3 border-2 border-ink bg-ground p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reaction) send();
      }}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
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
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <div className="flex gap-5">
        <button type="submit" className="plate" disabled={reaction === "" || save.isPending}>
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
