import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { askAgain } from "../../api/askAgain";
import { problemOf, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { Gate } from "../../ui/Gate";
import { Caution, Refused } from "../../ui/Notice";
import { dayInWords } from "../../ui/when";
import { lowerFirst, paths, placeTitle, reactionTitle, useMapChange } from "../map";
import { PlacePicture } from "../picture";
import { useMay } from "../session";
import { NUMBERED } from "./Reliability";
import {
  behindInWords,
  decideAnew,
  error,
  keepWritten,
  onesidedInWords,
  putLearned,
  seenOf,
  type Explanation,
  type Truth,
  type TruthPlace,
} from "./truth";

/** Where map and mat disagree most, each with the answer that explains it best and what can be done about it. */
export function Disagreements({ map, truth }: { map: Schemas["Map"]; truth: Truth }) {
  const off = truth.places.filter((one) => !one.agrees).slice(0, NUMBERED);
  return (
    <section aria-labelledby="disagree">
      <h2
        id="disagree"
        className="flex items-baseline justify-between gap-3 border-b-[3px] border-ink pb-1 text-lg"
      >
        Where map and mat disagree most
        <span className="text-[15px] font-normal text-quiet">and what explains it</span>
      </h2>
      {off.length === 0 ? (
        <p className="border-b border-rule py-3">
          Nowhere, as far as can be said: in every place with enough rounds the map lies inside what was seen.
        </p>
      ) : (
        <ol>
          {off.map((one, at) => (
            <Disagreement key={one.place} map={map} one={one} rank={at + 1} />
          ))}
        </ol>
      )}
    </section>
  );
}

function Disagreement({ map, one, rank }: { map: Schemas["Map"]; one: TruthPlace; rank: number }) {
  const { share } = seenOf(one);
  return (
    <li className="grid gap-x-4 border-b border-rule py-3 mid:grid-cols-[9.5rem_minmax(0,1fr)]">
      <PlacePicture
        map={map}
        place={one.place}
        width={170}
        className="max-h-32 w-full max-mid:hidden"
        silent
      />
      <div className="min-w-0">
        <div className="flex items-baseline justify-between gap-3">
          <h3 className="min-w-0 text-[17px]" style={{ fontStretch: "88%" }}>
            {rank}.{" "}
            <Link className="no-underline hover:underline" to={paths.situation(map.id, one.place)}>
              {placeTitle(map, one.place)}
            </Link>
          </h3>
          <p className="whitespace-nowrap text-quiet">
            map <strong className="text-ink">{hundred(one.said)}</strong> seen{" "}
            <strong className="text-ink">{hundred(share)}</strong>
          </p>
        </div>
        <Gate worth={share} doubt={one} beside={one.said} height={14} className="my-1.5" />
        {one.explains ? (
          <Explained map={map} one={one} explains={one.explains} />
        ) : (
          <>
            <p>
              No single answer explains it. Note what got going, and it will show:{" "}
              <Link className="link" to={paths.log(map.id)}>
                log a round
              </Link>
              .
            </p>
            <Onesided one={one} />
          </>
        )}
      </div>
    </li>
  );
}

function Onesided({ one }: { one: TruthPlace }) {
  const words = onesidedInWords(one);
  return words.length > 0 && <Caution>{words.join("; ")}.</Caution>;
}

function Explained({ map, one, explains }: { map: Schemas["Map"]; one: TruthPlace; explains: Explanation }) {
  const { before, learned, low, high, tooLittle, moves, moved } = explains;
  const from = indexOf(map).reaction(explains.reaction)?.from ?? one.place;
  const first = moves.find((move) => move.place !== one.place) ?? moves[0];
  return (
    <>
      <p>
        <Link className="link font-semibold" to={paths.situation(map.id, from)}>
          “{reactionTitle(map, explains.reaction)}”
        </Link>{" "}
        {from !== one.place && <>({lowerFirst(placeTitle(map, from))}) </>}
        gets going {learned < before ? "less" : "more"} often than the map says:{" "}
        <strong className="whitespace-nowrap">
          {hundred(before)} → {hundred(learned)}
        </strong>{" "}
        ({hundred(low)} to {hundred(high)}).
      </p>
      <p className="mt-0.5 text-quiet">
        {behindInWords(explains)}. With {hundred(learned)} the map says {hundred(explains.saidThen)} here and
        the error is {error(explains.scoreThen)}
        {explains.instead && (
          <>; “{lowerFirst(reactionTitle(map, explains.instead))}” would be taught first</>
        )}
        {first && (
          <>
            ; {moved === 1 ? "one place moves" : `${moved} places move`},{" "}
            {lowerFirst(placeTitle(map, first.place))} {hundred(first.before)} → {hundred(first.then)}
          </>
        )}
        .
      </p>
      {tooLittle && (
        <p className="mt-0.5 text-quiet">{hundred(high) - hundred(low)} wide: too little to say for sure.</p>
      )}
      <Onesided one={one} />
      <Decide map={map} explains={explains} />
    </>
  );
}

/** Use it, or keep what is written; the first is the main word only where it is known well enough. */
function Decide({ map, explains }: { map: Schemas["Map"]; explains: Explanation }) {
  const may = useMay("edit-maps");
  const queries = useQueryClient();
  const use = useMapChange(map.id);
  const again = () => askAgain(queries, { queryKey: ["record", map.id] });
  const keep = useMutation({ mutationFn: () => keepWritten(map.id, explains.reaction), onSuccess: again });
  const anew = useMutation({ mutationFn: (id: string) => decideAnew(map.id, id), onSuccess: again });
  const { before, learned, tooLittle, kept } = explains;
  const failed = use.error ?? keep.error ?? anew.error;
  if (!may) return kept ? <p className="mt-1 text-quiet">{keptInWords(before, kept)}</p> : null;
  if (kept) {
    return (
      <p className="mt-1">
        {keptInWords(before, kept)}{" "}
        <button type="button" className="word" onClick={() => anew.mutate(kept.id)}>
          Decide anew
        </button>
      </p>
    );
  }
  const put = () => use.mutate(() => putLearned(map.id, explains), { onError: () => void again() });
  const busy = use.isPending || keep.isPending;
  return (
    <>
      <p className="mt-1.5 flex flex-wrap items-center gap-2">
        {tooLittle ? (
          <>
            <Plain onClick={() => keep.mutate()} busy={busy}>
              Keep {hundred(before)} for now
            </Plain>
            <button type="button" className="word" disabled={busy} onClick={put}>
              Use {hundred(learned)} all the same
            </button>
          </>
        ) : (
          <>
            <button type="button" className="plate min-h-10 px-4" disabled={busy} onClick={put}>
              Use {hundred(learned)}
            </button>
            <Plain onClick={() => keep.mutate()} busy={busy}>
              Keep {hundred(before)}
            </Plain>
          </>
        )}
      </p>
      {failed && <Refused problem={problemOf(failed)} />}
    </>
  );
}

function Plain({
  onClick,
  busy,
  children,
}: {
  onClick: () => void;
  busy: boolean;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      className="min-h-10 border border-ink px-4 font-semibold max-lg:min-h-11"
      disabled={busy}
      onClick={onClick}
    >
      {children}
    </button>
  );
}

function keptInWords(before: number, kept: NonNullable<Explanation["kept"]>): string {
  return `Kept at ${hundred(before)} on ${dayInWords(kept.at)}${kept.author ? ` by ${kept.author}` : ""}.`;
}
