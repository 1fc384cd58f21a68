import { useState } from "react";
import { Link } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { HandOn } from "../../ui/HandOn";
import { Refused } from "../../ui/Notice";
import { whenInWords } from "../../ui/when";
import { matchupOf, NOBODY, useSetting } from "../odds";
import { useLinks, useShareCard } from "./links";
import { OpenLinks } from "./OpenLinks";

const WORKS = [
  { days: 7, title: "a week" },
  { days: 28, title: "four weeks" },
  { days: 84, title: "twelve weeks" },
];

/** Makes links by which somebody without a sign-in reads a card, and withdraws those there are. */
export function ShareCard({ map, situation }: { map: Schemas["Map"]; situation: Schemas["Situation"] }) {
  const [setting] = useSetting();
  const [days, setDays] = useState(28);
  const share = useShareCard();
  const links = useLinks();
  const open = (links.data ?? []).filter(
    (one) => one.state === "open" && one.map === map.id && one.place === situation.id,
  );
  const made = share.data && open.some((one) => one.id === share.data.id) ? share.data : undefined;
  return (
    <section className="no-print border-b border-rule px-5 py-3" aria-label="Share this card">
      <div className="max-w-2xl">
        <p>
          Whoever has the link reads this card without signing in, as the map stands then. Nothing else of the
          map goes with it, and nobody’s name.
          {(setting.you ?? setting.room) && (
            <>
              {" "}
              <strong>Who is under whom is left out:</strong> the odds on it are for “
              {matchupOf(map, { ...setting, ...NOBODY })?.title ?? "Even pair"}”.
            </>
          )}
        </p>
        <form
          className="mt-2 space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            const { aim, matchup, read, late, stance = [] } = setting;
            share.mutate({
              map: map.id,
              place: situation.id,
              setting: { aim, matchup, read, late, stances: stance },
              days,
            });
          }}
        >
          <fieldset className="flex flex-wrap items-center gap-x-5">
            <legend className="sr-only">It works for</legend>
            <span aria-hidden="true">It works for</span>
            {WORKS.map((one) => (
              <label key={one.days} className="flex min-h-11 items-center gap-2 lg:min-h-8">
                <input
                  type="radio"
                  name="days"
                  checked={days === one.days}
                  onChange={() => setDays(one.days)}
                />
                {one.title}
              </label>
            ))}
          </fieldset>
          {share.isError && <Refused problem={problemOf(share.error)} />}
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <button type="submit" className="plate" disabled={share.isPending}>
              Make the link
            </button>
            <Link to="/links" className="word flex items-center">
              all links
            </Link>
          </div>
          {made && (
            <HandOn
              key={made.id}
              address={`${location.origin}/card#${made.token}`}
              about="Hand this on to whom it is for"
            >
              It works until {whenInWords(made.expiresAt)}, for whoever has it.
            </HandOn>
          )}
        </form>
        {open.length > 0 && (
          <div className="mt-3">
            <h2 className="text-base lg:text-[15px]">Links to this card that work</h2>
            <OpenLinks links={open} named={false} />
          </div>
        )}
      </div>
    </section>
  );
}
