import { useState } from "react";
import { problemOf, type Problem } from "../../api/client";
import { later } from "../../ui/days";
import { useKeepClass } from "../lesson";
import { daysBetween, mondayOf, toRepeat, type PlannedTerm } from "./weeks";

/** Puts the classes of the last week that has any into every week after it, without anybody in them yet. */
export function Repeat({
  mapId,
  term,
  onDone,
  onProblem,
}: {
  mapId: string;
  term: PlannedTerm;
  onDone: (words: string) => Promise<void>;
  onProblem: (problem: Problem) => void;
}) {
  const { keep, one, remove } = useKeepClass(mapId);
  const [done, setDone] = useState<number>();
  const [made, setMade] = useState<string[]>([]);
  const { from, mondays } = toRepeat(term);
  const days = mondays.flatMap((monday) =>
    from
      .map((was) => ({ was, day: later(monday, daysBetween(mondayOf(was.day), was.day)) }))
      .filter(({ day }) => day <= term.last),
  );
  const repeat = async () => {
    const kept: string[] = [];
    try {
      setDone(0);
      for (const { was, day } of days) {
        const { lesson } = await one(was.id);
        kept.push(await keep({ ...lesson, day, here: [], fixed: [], out: [], term: [], turn: 0 }));
        setDone(kept.length);
      }
      await onDone(`${kept.length} classes are on the calendar.`);
    } catch (error) {
      onProblem(problemOf(error));
    } finally {
      setMade(kept);
      setDone(undefined);
    }
  };
  const takeBack = async () => {
    try {
      for (const id of made) await remove(id);
      setMade([]);
      await onDone("They are off the calendar again.");
    } catch (error) {
      onProblem(problemOf(error));
    }
  };
  if (done !== undefined)
    return (
      <span role="status" className="text-quiet">
        {done} of {days.length} …
      </span>
    );
  return (
    <>
      {days.length > 0 && (
        <button type="button" className="word" onClick={() => void repeat()}>
          Repeat the last week until the end ({days.length} classes)
        </button>
      )}
      {made.length > 0 && (
        <button type="button" className="word" onClick={() => void takeBack()}>
          Take the {made.length} classes off again
        </button>
      )}
    </>
  );
}
