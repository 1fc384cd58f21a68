import { problemOf, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { whenInWords } from "../../ui/when";
import { useWithdrawLink } from "./links";

/** Links that could be used now, each to be withdrawn. */
export function OpenLinks({ links, named }: { links: Schemas["SharedLink"][]; named: boolean }) {
  const withdraw = useWithdrawLink();
  return (
    <>
      <ul>
        {links.map((one) => (
          <li
            key={one.id}
            className="flex min-h-11 items-center gap-x-4 border-b border-rule py-1 lg:min-h-9"
          >
            <span className="min-w-0 grow">
              {named && (
                <>
                  <strong>{one.title}</strong>, {one.mapTitle}{" "}
                </>
              )}
              <span className={named ? "text-quiet" : ""}>
                {named ? "until" : "Until"} {whenInWords(one.expiresAt)}, made by {one.madeBy}{" "}
                {whenInWords(one.madeAt)}
              </span>
            </span>
            <button
              type="button"
              className="word shrink-0"
              aria-label={`Withdraw: ${one.title}, made ${whenInWords(one.madeAt)}`}
              disabled={withdraw.isPending}
              onClick={() => withdraw.mutate(one.id)}
            >
              Withdraw
            </button>
          </li>
        ))}
      </ul>
      {withdraw.isError && <Refused problem={problemOf(withdraw.error)} />}
    </>
  );
}
