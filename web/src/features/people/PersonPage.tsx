import { useQuery } from "@tanstack/react-query";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api, problemOf, unwrap } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { Panel } from "../../ui/Panel";
import { together, Waiting } from "../../ui/Waiting";
import { dayInWords } from "../../ui/when";
import { May, useMay } from "../session";
import { editOf, PersonFields, problemsOf, typedOf } from "./Fields";
import { Health } from "./Health";
import {
  LEVEL_WORDS,
  sizesInWords,
  useChangePerson,
  useLinkPerson,
  usePerson,
  useRemovePerson,
  type Person,
} from "./people";

/** A person: what is known, what hurts, and how everything about them is taken out or away. */
export function PersonPage() {
  const id = useParams().person ?? "";
  const person = usePerson(id);
  const ready = together({ person });
  const mayEdit = useMay("edit-people");
  if (!ready.data) return <Waiting what="Looking them up" on={ready} />;
  const data = ready.data.person;
  return (
    <main className="px-5 pt-4 pb-10">
      <p>
        <Link className="link" to="/people">
          People
        </Link>
      </p>
      <Heading>{data.name}</Heading>
      <p className="mt-0.5 text-quiet">
        {[
          sizesInWords(data),
          data.level && LEVEL_WORDS[data.level],
          data.age === "children" && "a child",
          data.joined && `since ${dayInWords(data.joined)}`,
          data.accountName && `signs in as ${data.accountName}`,
        ]
          .filter(Boolean)
          .join(", ")}
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,30rem)_minmax(0,1fr)]">
        {mayEdit && <Form key={data.version} person={data} />}
        <div className="max-w-2xl space-y-8">
          <May right="read-health">
            <Health person={data.id} name={data.name} />
          </May>
          <May right="manage-members">
            <Account person={data} />
          </May>
          {mayEdit && <Away person={data} />}
        </div>
      </div>
    </main>
  );
}

function Form({ person }: { person: Person }) {
  const [typed, setTyped] = useState(() => typedOf(person));
  const [tried, setTried] = useState(false);
  const change = useChangePerson(person.id);
  const problems = problemsOf(typed);
  const clean = JSON.stringify(editOf(typed)) === JSON.stringify(editOf(typedOf(person)));
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!Object.values(problems).some(Boolean))
          change.mutate({ version: person.version, person: editOf(typed) });
      }}
    >
      <PersonFields
        typed={typed}
        problems={tried ? problems : {}}
        onChange={(next) => {
          change.reset();
          setTyped(next);
        }}
      />
      {change.isError && <Refused problem={problemOf(change.error)} />}
      <button type="submit" className="plate" disabled={clean || change.isPending}>
        {clean && person.version > 1 ? "Saved" : "Save"}
      </button>
    </form>
  );
}

/** As which member somebody signs in, so that what they do there is theirs. */
function Account({ person }: { person: Person }) {
  const members = useQuery({ queryKey: ["members"], queryFn: () => unwrap(api.GET("/api/members")) });
  const link = useLinkPerson(person.id);
  return (
    <section>
      <Labelled label="Signs in as">
        <select
          className="box mt-0.5 block max-w-xs"
          value={person.account ?? ""}
          disabled={!members.data || link.isPending}
          onChange={(event) => link.mutate(event.target.value || undefined)}
        >
          <option value="">does not sign in</option>
          {members.data?.map((member) => (
            <option key={member.id} value={member.id}>
              {member.displayName}
            </option>
          ))}
        </select>
      </Labelled>
      {link.isError && <Refused problem={problemOf(link.error)} />}
    </section>
  );
}

function Away({ person }: { person: Person }) {
  const [asking, setAsking] = useState(false);
  const remove = useRemovePerson(person.id);
  const navigate = useNavigate();
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Taking out, and taking away</h2>
      <p className="mt-1 flex flex-wrap gap-x-6">
        <May right="read-health">
          <a
            className="word inline-flex min-h-11 items-center lg:min-h-7"
            href={`/api/people/${person.id}/archive`}
            download
          >
            Everything about {person.name}, as files
          </a>
        </May>
        <button type="button" className="word min-h-11 lg:min-h-7" onClick={() => setAsking(true)}>
          Take {person.name} off the roster …
        </button>
      </p>
      <Panel
        title={`Take ${person.name} off the roster`}
        open={asking}
        onOpenChange={setAsking}
        className="top-0 p-4 sm:top-[12vh] sm:w-[560px]"
      >
        <p className="mt-2">
          What is known of {person.name} goes, with what hurts them, and nobody can bring it back. Rounds in
          which they were below still count for the gym, without a name. Whether they sign in is another
          matter: that is on the page of the gym.
        </p>
        {remove.isError && <Refused problem={problemOf(remove.error)} />}
        <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
          <button
            type="button"
            className="plate"
            disabled={remove.isPending}
            onClick={() => remove.mutate(undefined, { onSuccess: () => void navigate("/people") })}
          >
            Take them off
          </button>
          <Dialog.Close className="word">They stay</Dialog.Close>
        </div>
      </Panel>
    </section>
  );
}
