import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { runToEnd, type Progress } from "../../api/run";
import { FINDING_LABEL, hundred } from "../../labels";
import { Gate } from "../../ui/Gate";
import { Loading, Refused } from "../../ui/Notice";
import { Differences } from "../history";
import { findingPlace, useMapById } from "../map";
import type { Summary } from "./names";

const SHOWN = 12;

/** What one map says otherwise than another, in odds and part by part. */
export function Compared({ map, other }: { map: Summary; other: Summary }) {
  const [, setParams] = useSearchParams();
  const [progress, setProgress] = useState<Progress>();
  const odds = useQuery({
    queryKey: ["comparison", map.id, map.revision, other.id, other.revision],
    queryFn: async ({ signal }) => {
      const question = { read: 0.25, late: 0.5 };
      const body = { kind: "comparison", question, before: other.id } as const;
      return (await runToEnd(map.id, body, signal, setProgress)).comparison!;
    },
  });
  const parts = useQuery({
    queryKey: ["difference-from", map.id, map.revision, other.id, other.revision],
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/difference-from/{other}", {
          params: { path: { mapId: map.id, other: other.id } },
        }),
      ),
  });
  const mine = useMapById(map.id);
  const theirs = useMapById(other.id);
  const title = (id: string) =>
    [...(mine.data?.situations ?? []), ...(theirs.data?.situations ?? [])].find((s) => s.id === id)?.title ??
    id;
  const failed = odds.error ?? parts.error;
  if (failed) return <Refused problem={problemOf(failed)} />;
  if (!odds.data || !parts.data) return <Loading what="Comparing" progress={progress} />;
  const changed = odds.data.situations.filter((c) => Math.abs(c.difference) >= 0.005);
  return (
    <section aria-label="What differs between the two maps">
      <p className="flex items-baseline justify-between gap-4">
        <span className="text-quiet">What differs</span>
        <button type="button" className="word" onClick={() => setParams({})}>
          Close
        </button>
      </p>
      <table className="w-full">
        <tbody>
          {[
            { name: map.title, worth: odds.data.startAfter },
            { name: other.title, worth: odds.data.startBefore },
          ].map((row, index) => (
            <tr key={index} className="border-b border-rule">
              <th className="py-1.5 pr-4 text-left">{row.name}</th>
              <td className="w-2/5">
                <Gate worth={row.worth} />
              </td>
              <td className="w-12 text-right font-semibold">{hundred(row.worth)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {changed.length > 0 && (
        <p className="mt-2">
          <span className="text-quiet">Most: </span>
          {changed
            .slice(0, SHOWN)
            .map((c) =>
              c.after === undefined || c.after === null
                ? `${title(c.situation)} is not there`
                : c.before === undefined || c.before === null
                  ? `${title(c.situation)} ${hundred(c.after)}, new`
                  : `${title(c.situation)} ${hundred(c.after)} against ${hundred(c.before)}`,
            )
            .join("; ")}
          .
        </p>
      )}
      <Holes
        title={`Holes of ${other.title} that are mended here`}
        map={theirs.data}
        holes={odds.data.gone}
      />
      <Holes title={`Holes that ${other.title} does not have`} map={mine.data} holes={odds.data.come} />
      <h2 className="mt-4 text-base lg:text-[15px]">Part by part</h2>
      <Differences changes={parts.data} was="there" />
    </section>
  );
}

function Holes({
  title,
  map,
  holes,
}: {
  title: string;
  map: Schemas["Map"] | undefined;
  holes: Schemas["Finding"][];
}) {
  if (!map || holes.length === 0) return null;
  return (
    <>
      <h2 className="mt-4 text-base lg:text-[15px]">
        {title}, {holes.length}
      </h2>
      <ul>
        {holes.slice(0, SHOWN).map((hole) => (
          <li key={`${hole.kind} ${hole.place} ${hole.response}`}>
            {findingPlace(map, hole).title} <span className="text-quiet">{FINDING_LABEL[hole.kind]}</span>
          </li>
        ))}
        {holes.length > SHOWN && <li className="text-quiet">and {holes.length - SHOWN} more</li>}
      </ul>
    </>
  );
}
