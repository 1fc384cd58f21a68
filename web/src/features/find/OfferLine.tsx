import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { Gate, Odds } from "../../ui/Gate";
import { lowerFirst, reactionTitle } from "../map";
import type { Overview } from "../odds";
import { PlacePicture } from "../picture";
import { isKeep, type Offer } from "./offers";
import { keyName } from "./keyName";

/** One line under the box: its picture, what it is, its gate and number, and what to do there first. */
export function OfferLine({
  map,
  odds,
  offer,
  on,
  isFirst,
}: {
  map: Schemas["Map"];
  odds: Overview | undefined;
  offer: Offer;
  /** The line that Enter takes. */
  on: boolean;
  /** The first of the ways to keep it, which has a key. */
  isFirst: boolean;
}) {
  const quiet = on ? "" : "text-quiet";
  if (isKeep(offer)) {
    return (
      <span className="flex min-h-11 flex-wrap items-center gap-x-1.5 py-1 lg:min-h-9">
        <span className="font-semibold">
          {offer.about
            ? `Not here: keep the question about “${offer.about.title}”`
            : "Not here: keep the question"}
        </span>
        <span className={`min-w-0 grow truncate ${quiet}`}>“{offer.words}”</span>
        {isFirst && <kbd className="key px-1 font-sans max-lg:hidden">Shift Enter</kbd>}
      </span>
    );
  }
  const { entry } = offer;
  const leads = entry.leads === undefined ? undefined : odds?.situations[entry.leads];
  const first = leads?.best && !leads.stop ? lowerFirst(reactionTitle(map, leads.best)) : undefined;
  const late = indexOf(map).situation(entry.leads)?.stage === "last-chance";
  return (
    <span className="grid min-h-11 grid-cols-[56px_minmax(0,1fr)_76px] items-center gap-x-3 py-1 lg:min-h-9">
      {entry.place ? (
        <PlacePicture map={map} place={entry.place} width={56} className="h-9 w-14" silent />
      ) : (
        <span className={`text-[13.5px] ${quiet}`}>{entry.kind}</span>
      )}
      <span className="min-w-0">
        <span className="block truncate font-semibold">{entry.title}</span>
        <span className={`block truncate ${quiet}`}>
          {[entry.detail, first && `first: ${first}`].filter(Boolean).join(" · ")}
        </span>
      </span>
      {leads ? (
        <span className="text-right">
          <Odds worth={leads.worth} />
          <span className={`block border ${on ? "border-ground" : "border-transparent"}`}>
            <Gate worth={leads.worth} late={late} />
          </span>
        </span>
      ) : (
        entry.key && <kbd className="key justify-self-end px-1 font-sans">{keyName(entry.key)}</kbd>
      )}
    </span>
  );
}
