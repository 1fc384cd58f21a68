import { problemOf, type Schemas } from "../../api/client";
import { OpenLink } from "../../ui/LinkList";
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
          <OpenLink
            key={one.id}
            about={`${one.title}, made ${whenInWords(one.madeAt)}`}
            withdrawing={withdraw.isPending}
            withdraw={() => withdraw.mutate(one.id)}
          >
            {named && (
              <>
                <strong>{one.title}</strong>, {one.mapTitle}{" "}
              </>
            )}
            <span className={named ? "text-quiet" : ""}>
              {named ? "until" : "Until"} {whenInWords(one.expiresAt)}, made by {one.madeBy}{" "}
              {whenInWords(one.madeAt)}
            </span>
          </OpenLink>
        ))}
      </ul>
      {withdraw.isError && <Refused problem={problemOf(withdraw.error)} />}
    </>
  );
}
