import { useParams, useSearchParams } from "react-router";
import { problemOf } from "../../api/client";
import { Failed, Loading, NotSolved } from "../../ui/Notice";
import { paths, useMap } from "../map";
import { settingQuery, useOdds } from "../odds";
import { Card } from "./Card";
import { PrintBar } from "./PrintBar";
import { SettingLine } from "./SettingLine";

/** One situation as a page to print and pin to the wall. */
export function CardPage() {
  const { situation: id = "" } = useParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const [params] = useSearchParams();
  if (map.isError) return <Failed problem={problemOf(map.error)} retry={() => void map.refetch()} />;
  if (odds.isError) return <Failed problem={problemOf(odds.error)} retry={() => void odds.refetch()} />;
  if (!map.data || !odds.data) return <Loading what="Writing the card" />;
  if (!odds.data.converged) return <NotSolved />;
  const situation = map.data.situations.find((s) => s.id === id);
  const at = odds.data.situations[id];
  if (!situation || !at) return <main className="p-5">This situation has been taken out.</main>;
  return (
    <main className="mx-auto max-w-[820px] px-5 pb-10">
      <h1 className="sr-only">Card: {situation.title}</h1>
      <PrintBar back={paths.situation(map.data.id, id) + settingQuery(params)} what="the situation" />
      <Card map={map.data} situation={situation} at={at} />
      <SettingLine map={map.data} />
    </main>
  );
}
