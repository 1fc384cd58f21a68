import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Problem, type Schemas } from "../../api/client";
import { HandOn } from "../../ui/HandOn";
import { Refused } from "../../ui/Notice";
import { Panel } from "../../ui/Panel";
import { whenInWords } from "../../ui/when";

type Kind = Schemas["MatLink"]["kind"];

const KINDS: { kind: Kind; title: string; says: string; path: string }[] = [
  {
    kind: "screen",
    title: "A screen for the room",
    says: "Shows the class and nothing else, with first names only.",
    path: "/screen",
  },
  {
    kind: "clicker",
    title: "A clicker",
    says: "Three large buttons on a phone: on, back, stop. It cannot end the class.",
    path: "/clicker",
  },
  {
    kind: "feeder",
    title: "A feeder’s phone",
    says: "What to show next, and the answer to it; for whoever is on top.",
    path: "/feeder",
  },
];

/** Links by which others follow the class without a sign-in, and what withdraws them. */
export function Screens({
  open,
  onClose,
  mapId,
  lesson,
}: {
  open: boolean;
  onClose: () => void;
  mapId: string;
  lesson: string;
}) {
  const queries = useQueryClient();
  const path = { params: { path: { mapId, lesson } } };
  const key = ["mat-links", mapId, lesson];
  const links = useQuery({
    queryKey: key,
    enabled: open,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/classes/{lesson}/mat/links", path)),
  });
  const [made, setMade] = useState<{ kind: Kind; address: string }>();
  const [problem, setProblem] = useState<Problem>();
  const during = async (deed: () => Promise<void>) => {
    try {
      setProblem(undefined);
      await deed();
      await askAgain(queries, { queryKey: key });
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  const make = (kind: Kind, page: string) =>
    during(async () => {
      const link = await unwrap(
        api.POST("/api/maps/{mapId}/classes/{lesson}/mat/links", { ...path, body: { kind } }),
      );
      setMade({ kind, address: `${location.origin}${page}#${link.token}` });
    });
  const withdraw = (link: string) =>
    during(async () => {
      await unwrapNothing(
        api.DELETE("/api/maps/{mapId}/classes/{lesson}/mat/links/{link}", {
          params: { path: { mapId, lesson, link } },
        }),
      );
      setMade(undefined);
    });
  // A link is told once: it is gone when one comes back.
  const close = () => {
    setMade(undefined);
    onClose();
  };
  const working = (links.data ?? []).filter((one) => one.state === "open");
  return (
    <Panel
      title="Screens and clickers"
      open={open}
      onOpenChange={(is) => !is && close()}
      className="top-[6vh] max-h-[88vh] max-w-2xl space-y-4 overflow-y-auto p-5 text-[17px]"
    >
      {/* Above what grows, so that it stays where it is. */}
      <button type="button" className="word min-h-12" onClick={close}>
        Back to the mat
      </button>
      {problem && <Refused problem={problem} />}
      <ul className="space-y-3">
        {KINDS.map(({ kind, title, says, path: page }) => (
          <li key={kind} className="border-b border-rule pb-3">
            <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
              <div className="min-w-0 flex-1 basis-64">
                <h2 className="text-[19px]">{title}</h2>
                <p className="text-quiet">{says}</p>
              </div>
              <button type="button" className="plate min-h-12" onClick={() => void make(kind, page)}>
                Make a link
              </button>
            </div>
            {made?.kind === kind && (
              <div className="mt-2">
                <HandOn address={made.address} about={title}>
                  It works for twelve hours.
                </HandOn>
              </div>
            )}
          </li>
        ))}
      </ul>
      <section aria-label="Links that work">
        <h2 className="text-[19px]">Links that work</h2>
        {working.length === 0 ? (
          <p className="text-quiet">None yet.</p>
        ) : (
          <ul>
            {working.map((one) => (
              <li key={one.id} className="flex items-center justify-between gap-4 border-b border-rule py-1">
                <span>
                  {KINDS.find(({ kind }) => kind === one.kind)?.title}, made by {one.madeBy}{" "}
                  {whenInWords(one.madeAt)}
                </span>
                <button
                  type="button"
                  className="word min-h-11"
                  aria-label={`Withdraw ${KINDS.find(({ kind }) => kind === one.kind)?.title.toLowerCase()}`}
                  onClick={() => void withdraw(one.id)}
                >
                  Withdraw
                </button>
              </li>
            ))}
          </ul>
        )}
      </section>
    </Panel>
  );
}
