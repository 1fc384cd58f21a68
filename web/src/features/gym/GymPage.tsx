import { useState } from "react";
import { Link } from "react-router";
import { problemOf } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { ROLES, roleTitle, useRightsTable, useSession } from "../session";
import { InvitationList } from "./InvitationList";
import { Invite } from "./Invite";
import { MemberRow } from "./MemberRow";
import { useInvitations, useMembers, useNameGym } from "./members";

/** Who belongs to the gym and what they may do, how somebody comes in, and what it is called. */
export function GymPage() {
  const session = useSession();
  const members = useMembers();
  const invitations = useInvitations();
  const rights = useRightsTable();
  const ready = together({ session, members, invitations, rights });
  if (!ready.data) return <Waiting what="Looking for the gym" on={ready} />;
  const data = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-48px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]">
      <main className="px-5 pt-4 pb-10">
        <div className="flex flex-wrap items-baseline gap-x-6">
          <Heading>Gym</Heading>
          <p className="ml-auto flex gap-x-5">
            <Link className="link" to="/gym/audit">
              Who did what
            </Link>
            <Link className="link" to="/gym/letters">
              Letters
            </Link>
          </p>
        </div>
        <Name key={data.session.gym} now={data.session.gym ?? ""} />
        <h2 className="mt-5 text-base lg:text-[15px]">Members, {data.members.length}</h2>
        <ul className="max-w-4xl">
          {data.members.map((member) => (
            <MemberRow key={member.id} member={member} />
          ))}
        </ul>
        <h2 className="mt-6 text-base lg:text-[15px]">All of it as one archive</h2>
        <p className="mt-1 max-w-4xl">
          Maps with their history, drills, classes, people with what hurts them, the record. Another house
          takes the gym in from it. Nobody reads a password in it; health notes stand in it, so keep it as you
          would keep those.
        </p>
        <p className="mt-1">
          <a className="word" href="/api/gyms/mine/archive" download>
            Take the gym out
          </a>
        </p>
        <details className="mt-6">
          <summary className="font-semibold">What each role may do</summary>
          <table className="mt-2 w-full border-collapse">
            <thead>
              <tr>
                <th scope="col" className="sr-only">
                  What may be done
                </th>
                {ROLES.map((role) => (
                  <th key={role} scope="col" className="px-1 pb-1 text-left align-bottom font-semibold">
                    {roleTitle(role)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {data.rights.map((right) => (
                <tr key={right.id} className="border-t border-rule">
                  <th scope="row" className="py-1 pr-3 text-left font-normal">
                    {right.title}
                  </th>
                  {ROLES.map((role) => (
                    <td key={role} className="px-1">
                      {right.roles.includes(role) ? "yes" : <span className="text-quiet">no</span>}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      </main>
      <aside className="space-y-8 border-rule px-5 pt-4 pb-10 max-lg:border-t lg:border-l">
        <Invite />
        <InvitationList invitations={data.invitations} />
      </aside>
    </div>
  );
}

function Name({ now }: { now: string }) {
  const [typed, setTyped] = useState<string>();
  const save = useNameGym();
  if (typed === undefined) {
    return (
      <p className="mt-1 text-[17px]">
        {now}{" "}
        <button type="button" className="word text-base lg:text-[14px]" onClick={() => setTyped(now)}>
          Rename
        </button>
      </p>
    );
  }
  return (
    <form
      className="mt-1 flex max-w-xl flex-wrap items-center gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed.trim() !== "") save.mutate(typed.trim(), { onSuccess: () => setTyped(undefined) });
      }}
    >
      <input
        className="box min-w-0 grow basis-60"
        aria-label="What the gym is called"
        autoFocus
        maxLength={90}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <button type="submit" className="plate" disabled={typed.trim() === "" || save.isPending}>
        Save
      </button>
      <button type="button" className="word" onClick={() => setTyped(undefined)}>
        Cancel
      </button>
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </form>
  );
}
