import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrapNothing, type Problem, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { Gate } from "../../ui/Gate";
import { Refused } from "../../ui/Notice";
import { Picker } from "../../ui/Picker";
import { findingPlace, lowerFirst, paths, techniqueOf, useMap, useMapChange } from "../map";
import { useOdds, useReview, type OddsData } from "../odds";
import { namedAlike, partsOf } from "../../model/partKinds";
import { inWordsOfTheForm, putParts, usePart, type Part } from "../workshop";
import { partsToSend, rowsOf, type Answer, type Pin } from "./answers";
import { Heading } from "../../ui/Heading";
import { PlacePicture } from "../picture";
import { together, Waiting } from "../../ui/Waiting";
import { indexOf } from "../../model/mapIndex";

const WORDS = ["never", "rarely", "sometimes", "often", "usually"];
const OFFERED = 6;

/** The first useful act: one pin, three answers of theirs, the odds and the hole. */
export function StartPage() {
  const map = useMap();
  const odds = useOdds(map.data);
  const [pin, setPin] = useState<Pin>();
  const [before, setBefore] = useState<number>();
  const begin = useBegun();
  const navigate = useNavigate();
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Opening" on={ready} />;
  const data = ready.data;
  const loaded = data.map;
  const known = pin?.id;
  return (
    <main className="mx-auto max-w-3xl px-5 pt-6 pb-16">
      <p className="flex justify-end">
        <button
          type="button"
          className="word"
          onClick={() => begin.mutate(undefined, { onSuccess: () => void navigate(paths.map(loaded.id)) })}
        >
          Straight to the map
        </button>
      </p>
      <Heading size="welcome">Which pin do your students complain about?</Heading>
      <Choose
        map={loaded}
        odds={data.odds}
        pin={pin}
        choose={(next) => {
          setPin(next);
          setBefore(undefined);
        }}
      />
      {pin && before === undefined && (
        <Questions
          key={pin.id ?? pin.title}
          map={loaded}
          odds={data.odds}
          pin={pin}
          onKept={(id, was) => {
            setPin({ ...pin, id });
            setBefore(was);
            begin.mutate();
          }}
        />
      )}
      {known && before !== undefined && (
        <Result map={loaded} odds={data.odds} situation={known} before={before} />
      )}
    </main>
  );
}

function useBegun() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => unwrapNothing(api.PUT("/api/session/begun")),
    onSettled: () => askAgain(queries, { queryKey: ["session"] }),
  });
}

/** The places in which rounds start most, and any other by typing. */
function Choose({
  map,
  odds,
  pin,
  choose,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  pin: Pin | undefined;
  choose: (pin: Pin) => void;
}) {
  const places = map.situations.filter((s) => !s.rest);
  const offered = [...places].sort((a, b) => b.entry - a.entry).slice(0, OFFERED);
  return (
    <div className="mt-3">
      {offered.length > 0 && (
        <div className="grid grid-cols-2 gap-3 mid:grid-cols-3">
          {offered.map((s) => {
            const worth = odds.situations[s.id]?.worth ?? 0;
            return (
              <button
                key={s.id}
                type="button"
                aria-pressed={pin?.id === s.id}
                className="border-2 border-rule p-2.5 text-left hover:border-edge aria-pressed:border-ink aria-pressed:bg-lane"
                onClick={() => choose({ id: s.id, title: s.title })}
              >
                <PlacePicture
                  map={map}
                  place={s.id}
                  width={220}
                  className="h-[110px] w-full mid:h-[140px]"
                  silent
                />
                <span className="mt-1.5 flex items-baseline justify-between gap-2 leading-tight font-semibold">
                  <span>{s.title}</span> <span>{hundred(worth)}</span>
                </span>
                <Gate worth={worth} late={s.stage === "last-chance"} className="mt-1" />
              </button>
            );
          })}
        </div>
      )}
      <div className="mt-3 max-w-md">
        <span className="text-quiet">{offered.length > 0 ? "Another one" : "Name it"}</span>
        <Picker
          label="Another pin"
          value={pin && !offered.some((s) => s.id === pin.id) ? (pin.id ?? "") : ""}
          choices={places.map((s) => ({
            id: s.id,
            title: s.title,
            detail: indexOf(map).family(s.family)?.title,
          }))}
          onChange={(id) => choose({ id, title: places.find((s) => s.id === id)?.title ?? id })}
          onNew={(title) => choose({ title })}
        />
        {pin && !pin.id && <p className="mt-1 font-semibold">New on the map: {pin.title}</p>}
      </div>
    </div>
  );
}

function Questions({
  map,
  odds,
  pin,
  onKept,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  pin: Pin;
  onKept: (situation: string, before: number) => void;
}) {
  const at = pin.id ? odds.situations[pin.id] : undefined;
  const reaction = indexOf(map).reaction(at?.best) ?? indexOf(map).answersFrom(pin.id)[0];
  const technique = techniqueOf(map, reaction);
  const [doing, setDoing] = useState("");
  const [rows, setRows] = useState<Answer[]>(() => rowsOf(reaction));
  const save = useMapChange(map.id);
  const what = technique?.title ?? doing.trim();
  const change = (index: number, part: Partial<Answer>) =>
    setRows((now) => now.map((row, i) => (i === index ? { ...row, ...part } : row)));
  const some = rows.some((row) => row.cue.trim() !== "");
  return (
    <form
      className="mt-8 border-t-[3px] border-ink pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (what === "" || !some) return;
        const { situation, parts } = partsToSend(map, pin, reaction, what, rows);
        save.mutate(() => putParts(map.id, map.revision, `What they do in “${pin.title}”`, parts), {
          onSuccess: () => onKept(situation, at?.worth ?? 0),
        });
      }}
    >
      {pin.id && (
        <PlacePicture map={map} place={pin.id} width={260} className="float-right ml-5 h-36 max-w-[44%]" />
      )}
      {technique ? (
        <>
          <h2 className="text-[20px]">You: {lowerFirst(technique.title)}. What do they do?</h2>
          {reaction?.when && <p className="text-quiet">Your answer when {lowerFirst(reaction.when)}.</p>}
        </>
      ) : (
        <label className="block max-w-md">
          <span className="text-[20px] font-semibold">What do you do there first?</span>
          <input
            className="box mt-1"
            maxLength={90}
            placeholder="Frame, bridge, hip escape"
            value={doing}
            onChange={(event) => setDoing(event.target.value)}
          />
        </label>
      )}
      <ol className="mt-3 space-y-4">
        {rows.map((row, index) => (
          <li key={index} className="border-l-4 border-rule pl-3" aria-label={`Answer ${index + 1}`}>
            {row.response ? (
              <p className="text-[17px] font-semibold">{row.cue}</p>
            ) : (
              <input
                className="box max-w-md"
                aria-label={`What else do they do, ${index + 1}`}
                placeholder={index === 0 ? "They …" : "They also …"}
                maxLength={390}
                value={row.cue}
                onChange={(event) => change(index, { cue: event.target.value })}
              />
            )}
            <div className="mt-1.5 flex flex-wrap gap-2" role="group" aria-label={`How often, ${index + 1}`}>
              {WORDS.map((word) => (
                <button
                  key={word}
                  type="button"
                  aria-pressed={row.often === word}
                  className="min-h-11 border border-edge px-3 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-ground lg:min-h-9"
                  onClick={() => change(index, { often: word })}
                >
                  {word}
                </button>
              ))}
            </div>
            {!row.response && row.cue.trim() !== "" && (
              <div className="mt-1.5 max-w-md">
                <span className="text-quiet">and then you are in</span>
                <Picker
                  label={`Where it lands, ${index + 1}`}
                  value={row.leads ?? ""}
                  none="I have no answer to that yet"
                  choices={namedAlike("situations").flatMap((list) => partsOf(map, list))}
                  onChange={(id) => change(index, { leads: id || undefined })}
                />
              </div>
            )}
          </li>
        ))}
      </ol>
      {save.isError && <Refused problem={inForm(problemOf(save.error))} />}
      <button type="submit" className="plate mt-4" disabled={what === "" || !some || save.isPending}>
        Show the odds
      </button>
    </form>
  );
}

function Result({
  map,
  odds,
  situation,
  before,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  situation: string;
  before: number;
}) {
  const review = useReview(map);
  const place = indexOf(map).situation(situation);
  const worth = odds.situations[situation]?.worth ?? 0;
  const holes =
    review.data?.filter((f) => !f.dismissed && findingPlace(map, f).situation === situation) ?? [];
  // What they do and nobody has answered is the plainest hole of all.
  const hole = holes.find((f) => f.kind === "unanswered-response") ?? holes[0];
  if (!place) return null;
  return (
    <section
      className="mt-8 border-t-[3px] border-ink pt-3"
      aria-live="polite"
      aria-label="The odds and the hole"
    >
      <div className="flex items-end gap-4">
        <span className="text-[60px] leading-[0.8] font-bold" style={{ fontStretch: "76%" }}>
          {hundred(worth)}
        </span>
        <div className="min-w-0 grow">
          <p>
            of 100 starts in “{place.title}” get out
            {hundred(before) === hundred(worth) ? "." : `, was ${hundred(before)}.`}
          </p>
          <Gate worth={worth} beside={before} height={16} className="mt-1.5" />
        </div>
      </div>
      {hole && (
        <div className="mt-4 border border-dashed border-rust p-3">
          <p className="font-semibold text-rust">The hole: {lowerFirst(findingPlace(map, hole).title)}</p>
          <p>{hole.reason}</p>
          {hole.kind === "unanswered-response" && hole.response ? (
            <AnswerHole key={hole.response} map={map} reaction={hole.place} response={hole.response} />
          ) : (
            <p className="text-quiet">{hole.mend}</p>
          )}
        </div>
      )}
      {review.data && !hole && (
        <p className="mt-3">No hole here: every answer of theirs has been answered.</p>
      )}
      <p className="mt-4 flex flex-wrap gap-5">
        <Link className="plate inline-flex items-center no-underline" to={paths.situation(map.id, situation)}>
          Open it
        </Link>
        <Link className="word" to={paths.drillFrom(map.id, situation, "")}>
          Drill it tonight
        </Link>
        <Link className="word" to={paths.map(map.id)}>
          See the whole map
        </Link>
      </p>
      <p className="mt-3 text-quiet">Each is one change of the map; Ctrl Z takes it back.</p>
    </section>
  );
}

/** Answers the hole where it stands: one line, and the number above it rises. */
function AnswerHole({
  map,
  reaction,
  response,
}: {
  map: Schemas["Map"];
  reaction: string;
  response: string;
}) {
  const part = usePart(map, "reactions", reaction);
  const save = useMapChange(map.id);
  const [leads, setLeads] = useState("");
  const cue = indexOf(map).response(reaction, response)?.cue ?? "";
  const send = () => {
    const whole = part.data;
    if (!whole || leads === "") return;
    const responses = ((whole.responses as Part[] | undefined) ?? []).map((r) =>
      r.id === response ? { ...r, leads } : r,
    );
    save.mutate(() =>
      putParts(map.id, map.revision, `Answered “${cue}”`, [
        { list: "reactions", id: reaction, part: { ...whole, responses } },
      ]),
    );
  };
  return (
    <form
      className="mt-2 max-w-lg"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <span className="block font-semibold">What do you do then? You are in</span>
      <div className="flex items-center gap-2">
        <div className="min-w-0 grow">
          <Picker
            label="Where you are then"
            value={leads}
            choices={namedAlike("situations").flatMap((list) => partsOf(map, list))}
            onChange={setLeads}
          />
        </div>
        <button type="submit" className="plate" disabled={leads === "" || !part.data || save.isPending}>
          Answer it
        </button>
      </div>
      {save.isError && <Refused problem={inForm(problemOf(save.error))} />}
    </form>
  );
}

function inForm(problem: Problem): Problem {
  return {
    ...problem,
    detail: inWordsOfTheForm(problem.detail),
    problems: problem.problems?.map((p) => ({ ...p, message: inWordsOfTheForm(p.message) })),
  };
}
