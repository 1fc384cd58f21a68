import { useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { INJURY_LABEL } from "../../labels";
import { Labelled } from "../../ui/Labelled";
import { Caution, Loading, Refused } from "../../ui/Notice";
import { dayInWords } from "../../ui/when";
import { useHealth, useWriteHealth } from "./people";

type Ailment = Schemas["Ailment"];

function day(now: Date): string {
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, "0")}-${String(now.getDate()).padStart(2, "0")}`;
}

/** What hurts somebody: shown when one asks for it, with who else may see it. */
export function Health({ person, name }: { person: string; name: string }) {
  const [wanted, setWanted] = useState(false);
  const health = useHealth(person, wanted);
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">What hurts</h2>
      <p className="mt-1 text-quiet">
        Owners and instructors may read this, nobody else; each reading is noted for the owner. It goes with{" "}
        {name} when they go.
      </p>
      {!wanted && (
        <button type="button" className="word mt-2 min-h-11 lg:min-h-7" onClick={() => setWanted(true)}>
          Show what hurts
        </button>
      )}
      {health.isError && <Refused problem={problemOf(health.error)} />}
      {wanted && health.isPending && <Loading what="Looking it up" />}
      {health.data && <Ailments key={JSON.stringify(health.data)} person={person} ailments={health.data} />}
    </section>
  );
}

function Ailments({ person, ailments }: { person: string; ailments: Ailment[] }) {
  const [edited, setEdited] = useState<Ailment[]>();
  const write = useWriteHealth(person);
  const today = day(new Date());
  if (!edited) {
    return (
      <div className="mt-2 space-y-2">
        {ailments.length === 0 && <p>Nothing is written down.</p>}
        {ailments.map((ailment, index) => {
          const over = Boolean(ailment.until && ailment.until < today);
          const words = (
            <>
              <strong>{INJURY_LABEL[ailment.injury]}</strong>
              {ailment.avoid && `: ${ailment.avoid}`}
              <span className="text-quiet">
                {ailment.from && ` since ${dayInWords(ailment.from)}`}
                {ailment.until && `, until ${dayInWords(ailment.until)}`}
                {over && ", over"}
              </span>
            </>
          );
          return over ? (
            <p key={index} className="pl-4">
              {words}
            </p>
          ) : (
            <Caution key={index}>{words}</Caution>
          );
        })}
        <button
          type="button"
          className="word min-h-11 lg:min-h-7"
          onClick={() =>
            setEdited(ailments.length > 0 ? ailments : [{ injury: "knee", from: today, avoid: "" }])
          }
        >
          {ailments.length > 0 ? "Change it" : "Write something down"}
        </button>
      </div>
    );
  }
  const put = (index: number, part: Partial<Ailment>) =>
    setEdited(edited.map((one, at) => (at === index ? { ...one, ...part } : one)));
  return (
    <form
      className="mt-2 space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate(edited, { onSuccess: () => setEdited(undefined) });
      }}
    >
      {edited.map((ailment, index) => (
        <fieldset key={index} className="grid gap-3 border-l-4 border-rule pl-3 sm:grid-cols-3">
          <legend className="sr-only">{INJURY_LABEL[ailment.injury]}</legend>
          <Labelled label="What">
            <select
              className="box mt-0.5"
              value={ailment.injury}
              onChange={(event) => put(index, { injury: event.target.value as Ailment["injury"] })}
            >
              {Object.entries(INJURY_LABEL).map(([injury, words]) => (
                <option key={injury} value={injury}>
                  {words}
                </option>
              ))}
            </select>
          </Labelled>
          <Labelled label="From">
            <input
              className="box mt-0.5"
              type="date"
              value={ailment.from ?? ""}
              onChange={(event) => put(index, { from: event.target.value || undefined })}
            />
          </Labelled>
          <Labelled label="Until, if known">
            <input
              className="box mt-0.5"
              type="date"
              value={ailment.until ?? ""}
              onChange={(event) => put(index, { until: event.target.value || undefined })}
            />
          </Labelled>
          <div className="sm:col-span-3">
            <Labelled label="What to avoid">
              <input
                className="box mt-0.5"
                maxLength={400}
                value={ailment.avoid}
                onChange={(event) => put(index, { avoid: event.target.value })}
              />
            </Labelled>
          </div>
          <button
            type="button"
            className="word justify-self-start"
            onClick={() => setEdited(edited.filter((_, at) => at !== index))}
          >
            Take it out
          </button>
        </fieldset>
      ))}
      {write.isError && <Refused problem={problemOf(write.error)} />}
      <p className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <button type="submit" className="plate" disabled={write.isPending}>
          Save what hurts
        </button>
        <button
          type="button"
          className="word"
          onClick={() => setEdited([...edited, { injury: "knee", from: today, avoid: "" }])}
        >
          Add another
        </button>
        <button type="button" className="word" onClick={() => setEdited(undefined)}>
          Cancel
        </button>
      </p>
    </form>
  );
}
