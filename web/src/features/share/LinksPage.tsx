import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { useLinks } from "./links";
import { OpenLinks } from "./OpenLinks";

/** Cards that go about by links: which anybody could open now, and which of late. */
export function LinksPage() {
  const links = useLinks();
  const ready = together({ links });
  if (!ready.data) return <Waiting what="Looking up the links" on={ready} />;
  const open = ready.data.links.filter((one) => one.state === "open");
  const past = ready.data.links.filter((one) => one.state !== "open");
  return (
    <main className="max-w-3xl px-5 pt-4 pb-10">
      <Heading>Links</Heading>
      <p className="mt-1 text-quiet">
        Whoever has a link reads one card without signing in: the place, what is taught there and the odds, as
        the map stands then. One is made on the card itself. Withdrawn, it shows nothing from that moment.
      </p>
      <h2 className="mt-5 text-base lg:text-[15px]">Links that work</h2>
      {open.length === 0 ? (
        <p className="mt-1 text-quiet">None. Open a place, then its card, and share it there.</p>
      ) : (
        <div className="mt-1">
          <OpenLinks links={open} named />
        </div>
      )}
      {past.length > 0 && (
        <details className="mt-4">
          <summary>
            {past.length === 1
              ? "One link of the last weeks that works no longer"
              : `${past.length} links of the last weeks that work no longer`}
          </summary>
          <ul className="mt-1">
            {past.map((one) => (
              <li key={one.id} className="border-b border-rule py-1">
                {one.title}, {one.mapTitle}{" "}
                <span className="text-quiet">
                  {one.state === "withdrawn" ? "withdrawn" : "too old"}, made by {one.madeBy}{" "}
                  {whenInWords(one.madeAt)}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </main>
  );
}
