import { problemOf, type Schemas } from "../../api/client";
import { OpenLink, PastLinks } from "../../ui/LinkList";
import { Refused } from "../../ui/Notice";
import { whenInWords } from "../../ui/when";
import { roleTitle } from "../session";
import { useWithdraw } from "./members";

const STATE: Record<Schemas["Invitation"]["state"], string> = {
  open: "open",
  used: "used",
  withdrawn: "withdrawn",
  over: "too old",
};

/** Links that were made: those that could still be used first, the rest folded. */
export function InvitationList({ invitations }: { invitations: Schemas["Invitation"][] }) {
  const open = invitations.filter((one) => one.state === "open");
  const past = invitations.filter((one) => one.state !== "open");
  const withdraw = useWithdraw();
  if (invitations.length === 0) return null;
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Links that could still be used</h2>
      {open.length === 0 && <p className="mt-1 text-quiet">None.</p>}
      <ul className="mt-1">
        {open.map((one) => (
          <OpenLink
            key={one.id}
            about={`${aboutOf(one)}, made ${whenInWords(one.madeAt)}`}
            withdrawing={withdraw.isPending}
            withdraw={() => withdraw.mutate(one.id)}
          >
            {aboutOf(one)} <span className="text-quiet">until {whenInWords(one.expiresAt)}</span>
          </OpenLink>
        ))}
      </ul>
      {withdraw.isError && <Refused problem={problemOf(withdraw.error)} />}
      <PastLinks
        links={past.map((one) => ({
          id: one.id,
          about: aboutOf(one),
          end: `${STATE[one.state]}, made by ${one.madeBy} ${whenInWords(one.madeAt)}`,
        }))}
      />
    </section>
  );
}

function aboutOf(one: Schemas["Invitation"]): string {
  if (one.kind === "password") return `New password for ${one.who ?? "somebody"}`;
  const whom = one.who ?? one.whom;
  return whom === "" ? roleTitle(one.role) : `${roleTitle(one.role)}: ${whom}`;
}
