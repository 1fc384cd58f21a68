import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { NotSolved } from "../../ui/Notice";
import { paths, useMap } from "../map";
import { settingQuery, useOdds } from "../odds";
import { May } from "../session";
import { ShareCard } from "../share";
import { CardOnScreen } from "./Card";
import { PrintBar } from "./PrintBar";
import { SettingLine } from "./SettingLine";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { indexOf } from "../../model/mapIndex";

/** One situation as a page to print and pin to the wall; on a phone as it is read in the hand. */
export function CardPage() {
  const { situation: id = "" } = useParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const [params] = useSearchParams();
  const [sharing, setSharing] = useState(false);
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Writing the card" on={ready} />;
  const data = ready.data;
  if (!data.odds.converged) return <NotSolved />;
  const situation = indexOf(data.map).situation(id);
  const at = data.odds.situations[id];
  if (!situation || !at) return <main className="p-5">This situation has been taken out.</main>;
  return (
    <main>
      <Heading size="unseen">Card: {situation.title}</Heading>
      <PrintBar back={paths.situation(data.map.id, id) + settingQuery(params)} what="the situation">
        <May right="share">
          <button type="button" className="word" aria-expanded={sharing} onClick={() => setSharing(!sharing)}>
            {sharing ? "Done sharing" : "Share by a link"}
          </button>
        </May>
      </PrintBar>
      {sharing && <ShareCard map={data.map} situation={situation} />}
      <CardOnScreen map={data.map} situation={situation} at={at} foot={<SettingLine map={data.map} />} />
    </main>
  );
}
