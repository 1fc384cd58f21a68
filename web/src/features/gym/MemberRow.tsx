import { useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { Panel } from "../../ui/Panel";
import { dayInWords } from "../../ui/when";
import { ROLES, roleTitle } from "../session";
import { MadeLink } from "./MadeLink";
import { useEndSessions, useGiveRole, useOfferPassword, usePutOut } from "./members";

type Role = Schemas["RoleEdit"]["role"];

/** A member: the role, which holds at once, and what an owner does when somebody has trouble or goes. */
export function MemberRow({ member }: { member: Schemas["Member"] }) {
  const give = useGiveRole();
  const [open, setOpen] = useState(false);
  const [before, setBefore] = useState<Role>();
  const becomes = (role: Role) => {
    setBefore(member.role === role ? undefined : (member.role as Role));
    give.mutate({ member: member.id, role });
  };
  return (
    <li className="border-b border-rule py-1">
      <div className="grid grid-cols-[minmax(0,1fr)_8rem] items-center gap-x-4 sm:grid-cols-[minmax(0,1fr)_9rem]">
        <p className="min-w-0">
          {member.oneself ? (
            <span className="text-[17px] font-semibold lg:text-base">{member.displayName} (you)</span>
          ) : (
            <button
              type="button"
              className="min-h-11 text-left text-[17px] font-semibold underline decoration-edge decoration-1 underline-offset-[3px] lg:min-h-9 lg:text-base"
              aria-expanded={open}
              onClick={() => setOpen(!open)}
            >
              {member.displayName}
            </button>
          )}{" "}
          <span className="text-quiet">
            {member.name}, since {dayInWords(member.since)}
          </span>
        </p>
        <select
          className="box"
          aria-label={`Role of ${member.displayName}`}
          value={member.role}
          disabled={give.isPending}
          onChange={(event) => becomes(event.target.value as Role)}
        >
          {ROLES.map((role) => (
            <option key={role} value={role}>
              {roleTitle(role)}
            </option>
          ))}
        </select>
      </div>
      <p role="status">
        {give.isSuccess && before && before !== member.role && (
          <>
            {roleTitle(member.role)} from now on.{" "}
            <button type="button" className="word" onClick={() => becomes(before)}>
              Back to {roleTitle(before).toLowerCase()}
            </button>
          </>
        )}
      </p>
      {give.isError && <Refused problem={problemOf(give.error)} />}
      {open && <Trouble member={member} />}
    </li>
  );
}

/** What an owner does when a member has trouble, or goes. */
function Trouble({ member }: { member: Schemas["Member"] }) {
  const end = useEndSessions();
  const offer = useOfferPassword();
  const [going, setGoing] = useState(false);
  const failed = [end, offer].find((one) => one.isError);
  return (
    <div className="space-y-2 pb-2 pl-4">
      <p className="flex flex-wrap gap-x-5">
        <button
          type="button"
          className="word min-h-11 lg:min-h-7"
          disabled={offer.isPending}
          onClick={() => offer.mutate(member.id)}
        >
          A link for a new password
        </button>
        <button
          type="button"
          className="word min-h-11 lg:min-h-7"
          disabled={end.isPending}
          onClick={() => end.mutate(member.id)}
        >
          Sign out everywhere
        </button>
        <button type="button" className="word min-h-11 lg:min-h-7" onClick={() => setGoing(true)}>
          Put out …
        </button>
      </p>
      <p role="status">{end.isSuccess && `${member.displayName} is signed out everywhere.`}</p>
      {offer.data && (
        <MadeLink
          key={offer.data.id}
          link={offer.data}
          about={`Hand this on to ${member.displayName}, who chooses a password by it`}
        />
      )}
      {failed && <Refused problem={problemOf(failed.error)} />}
      <PutOut member={member} open={going} setOpen={setGoing} />
    </div>
  );
}

function PutOut({
  member,
  open,
  setOpen,
}: {
  member: Schemas["Member"];
  open: boolean;
  setOpen: (open: boolean) => void;
}) {
  const putOut = usePutOut();
  const go = (forgotten: boolean) =>
    putOut.mutate({ member: member.id, forgotten }, { onSuccess: () => setOpen(false) });
  return (
    <Panel
      title={`Put ${member.displayName} out`}
      open={open}
      onOpenChange={setOpen}
      className="top-0 p-4 sm:top-[12vh] sm:w-[560px]"
    >
      <p className="mt-2">
        {member.displayName} is signed out at once and cannot sign in any more. What they wrote stays. With
        the name forgotten, nobody can tell any more whose it was, what stands about them on the roster goes,
        and nobody can bring that back.
      </p>
      {putOut.isError && <Refused problem={problemOf(putOut.error)} />}
      <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
        <button type="button" className="plate" disabled={putOut.isPending} onClick={() => go(false)}>
          Put them out, keep the name
        </button>
        <button type="button" className="word" disabled={putOut.isPending} onClick={() => go(true)}>
          Put them out and forget the name
        </button>
        <button type="button" className="word" onClick={() => setOpen(false)}>
          They stay
        </button>
      </div>
    </Panel>
  );
}
