import { problemOf, type Schemas } from "../../api/client";
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
          <li
            key={one.id}
            className="flex min-h-11 flex-wrap items-center gap-x-4 border-b border-rule py-1 lg:min-h-9"
          >
            <span>
              {aboutOf(one)} <span className="text-quiet">until {whenInWords(one.expiresAt)}</span>
            </span>
            <button
              type="button"
              className="word ml-auto"
              aria-label={`Withdraw: ${aboutOf(one)}, made ${whenInWords(one.madeAt)}`}
              disabled={withdraw.isPending}
              onClick={() => withdraw.mutate(one.id)}
            >
              Withdraw
            </button>
          </li>
        ))}
      </ul>
      {withdraw.isError && <Refused problem={problemOf(withdraw.error)} />}
      {past.length > 0 && (
        <details className="mt-3">
          <summary>
            {past.length === 1
              ? "One link of the last weeks that works no longer"
              : `${past.length} links of the last weeks that work no longer`}
          </summary>
          <ul className="mt-1">
            {past.map((one) => (
              <li key={one.id} className="border-b border-rule py-1">
                {aboutOf(one)}{" "}
                <span className="text-quiet">
                  {STATE[one.state]}, made by {one.madeBy} {whenInWords(one.madeAt)}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function aboutOf(one: Schemas["Invitation"]): string {
  if (one.kind === "password") return `New password for ${one.who ?? "somebody"}`;
  const whom = one.who ?? one.whom;
  return whom === "" ? roleTitle(one.role) : `${roleTitle(one.role)}: ${whom}`;
}
