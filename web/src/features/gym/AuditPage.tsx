import { useInfiniteQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, problemOf, unwrap } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Failed, Loading } from "../../ui/Notice";
import { isOut } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";

const AT_ONCE = 50;

/** Who did what when, the newest first; nobody changes what stands there. */
export function AuditPage() {
  const audit = useInfiniteQuery({
    queryKey: ["audit"],
    queryFn: ({ pageParam }) =>
      unwrap(api.GET("/api/audit", { params: { query: { before: pageParam, most: AT_ONCE } } })),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length < AT_ONCE ? undefined : last.at(-1)?.id),
  });
  if (isOut(audit)) return <Failed problem={problemOf(audit.error)} retry={() => void audit.refetch()} />;
  if (!audit.data) return <Loading what="Looking back" />;
  const noted = audit.data.pages.flat();
  return (
    <main className="max-w-4xl px-5 pt-4 pb-10">
      <Heading>Who did what</Heading>
      <p className="mt-1 text-quiet">
        Members, roles, passwords, links, files taken out, deletions. Nobody changes what stands here.{" "}
        <Link className="link" to="/gym">
          Back to the gym
        </Link>
      </p>
      {noted.length === 0 && <p className="mt-4">Nothing yet.</p>}
      <ol className="mt-4">
        {noted.map((one) => (
          <li
            key={one.id}
            className="grid gap-x-4 border-b border-rule py-1.5 sm:grid-cols-[11rem_minmax(0,1fr)]"
          >
            <span className="text-quiet">{whenInWords(one.at)}</span>
            <span>
              <span className="font-semibold">{one.actor ?? "Somebody who is forgotten"}</span> {one.deed}
              {one.subject && (
                <>
                  {" "}
                  <span className="font-semibold">{one.subject}</span>
                </>
              )}
              {one.detail !== "" && (
                <>
                  {" "}
                  <span className="text-quiet">{one.detail}</span>
                </>
              )}
            </span>
          </li>
        ))}
      </ol>
      {audit.hasNextPage && (
        <button
          type="button"
          className="word mt-3 min-h-11"
          disabled={audit.isFetchingNextPage}
          onClick={() => void audit.fetchNextPage()}
        >
          Further back
        </button>
      )}
    </main>
  );
}
