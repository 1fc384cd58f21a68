import { Heading } from "../../ui/Heading";
import { PastLinks } from "../../ui/LinkList";
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
    <main className="max-w-4xl px-5 pt-4 pb-10">
      <Heading>Links</Heading>
      <p className="mt-1 max-w-2xl text-quiet">
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
      <PastLinks
        links={past.map((one) => ({
          id: one.id,
          about: `${one.title}, ${one.mapTitle}`,
          end: `${one.state === "withdrawn" ? "withdrawn" : "too old"}, made by ${one.madeBy} ${whenInWords(one.madeAt)}`,
        }))}
      />
    </main>
  );
}
