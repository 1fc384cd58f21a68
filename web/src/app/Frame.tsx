import { useEffect, useState, type ReactNode } from "react";
import { Link, useLocation, useMatch, useNavigate, useSearchParams } from "react-router";
import { Find, Keys } from "../features/find";
import { paths, useMaps } from "../features/map";
import { settingQuery } from "../features/odds";
import { AskBox, useSendingAgain } from "../features/question";
import { SignOut, useLeave } from "../features/session";
import { useCommand, useCommandKeys } from "../ui/commands";
import type { Theme } from "../ui/theme";
import { History } from "./History";
import { Menu } from "./Menu";
import { isCurrent, moreOf, secondOf, viewsOf, type View } from "./views";

/** The band at the top: name, views, undo, finding, the rest; and what its commands open. */
export function Frame({
  theme,
  toggleTheme,
  children,
}: {
  theme: Theme;
  toggleTheme: () => void;
  children: ReactNode;
}) {
  const mapId = useMatch("/map/:mapId/*")?.params.mapId;
  const situation = useMatch("/map/:mapId/at/:situation/*")?.params.situation;
  const maps = useMaps();
  const away = maps.data?.find((map) => map.id === mapId)?.archived ?? false;
  const { pathname } = useLocation();
  const [params] = useSearchParams();
  const [finding, setFinding] = useState(false);
  const [keys, setKeys] = useState(false);
  const [asking, setAsking] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const leave = useLeave(() => setLeaving(true));
  useCommandKeys();
  useSendingAgain();
  useFindKey(() => setFinding(true));
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [pathname]);
  const query = settingQuery(params);
  const views = mapId ? viewsOf(mapId) : [];
  const second = mapId ? secondOf(mapId, pathname) : [];
  const more = mapId ? moreOf(mapId) : [];
  const room = theme === "dark" ? "Bright hall" : "Dark room";
  useCommand({ title: room, run: toggleTheme });
  useCommand({ title: "Sign out", run: leave });
  useCommand({ title: "Keys on this page", key: "?", run: () => setKeys(true) });
  useCommand(mapId ? { title: "What if they …", key: "w", run: () => setAsking(true) } : undefined);
  useCommand({ title: "Find or do", key: "/", run: () => setFinding(true) });
  return (
    <>
      <a
        href="#page"
        className="sr-only z-10 bg-signal p-3 font-semibold text-on-signal focus:not-sr-only focus:absolute"
      >
        Skip to the page
      </a>
      <header className="on-band no-print flex min-h-[52px] flex-wrap items-center gap-x-2 bg-band px-4 text-on-band lg:gap-x-6 lg:px-5">
        <Link
          to={mapId ? paths.map(mapId) + query : "/"}
          className="flex h-6 items-center border-x-[5px] border-signal-on-band px-[7px] text-[24px] leading-none font-bold uppercase no-underline max-lg:my-2.5"
          style={{ fontStretch: "66%" }}
        >
          Narrow Gate
        </Link>
        <ViewLinks
          label="Views"
          views={views}
          query={query}
          className="flex gap-5 max-lg:hidden"
          linkClassName="flex min-h-9 items-center border-y-[3px] border-transparent no-underline hover:underline aria-[current]:border-signal-on-band"
        />
        {[...views, ...more].map((view) => (
          <GoTo key={view.title} view={view} query={query} />
        ))}
        <div className="ml-auto flex items-center gap-x-3.5 text-base lg:gap-x-5 lg:text-[14px]">
          {mapId && <History key={mapId} mapId={mapId} />}
          {mapId && (
            <button
              type="button"
              className="min-h-11 underline-offset-4 hover:underline max-lg:hidden"
              onClick={() => setAsking(true)}
            >
              What if they … <kbd className="key ml-1 border-quiet-on-band font-sans">w</kbd>
            </button>
          )}
          <button
            type="button"
            className="min-h-11 underline-offset-4 hover:underline"
            onClick={() => setFinding(true)}
          >
            Find <kbd className="key ml-1 border-quiet-on-band font-sans max-lg:hidden">/</kbd>
          </button>
          <Menu
            views={views}
            more={more}
            query={query}
            actions={[
              { title: "Keys on this page", run: () => setKeys(true) },
              { title: room, run: toggleTheme },
              { title: "Sign out", run: leave },
            ]}
          />
        </div>
      </header>
      {second.length > 0 && (
        <ViewLinks
          label="Of this place"
          views={second}
          query={query}
          className="no-print flex flex-wrap gap-x-6 border-b border-rule px-5"
          linkClassName="flex min-h-11 items-center text-quiet no-underline hover:underline aria-[current]:font-bold aria-[current]:text-ink lg:min-h-[29px]"
        />
      )}
      {away && (
        <p role="status" className="no-print border-b-2 border-ink px-5 py-2">
          <strong>This map has been put away.</strong> Nothing about it is changed until it is{" "}
          <Link to="/maps" className="word">
            taken out again
          </Link>
          .
        </p>
      )}
      <div id="page" tabIndex={-1} className="outline-none max-lg:pb-16 print:pb-0!">
        {children}
      </div>
      {mapId && (
        <>
          <button
            type="button"
            className="plate no-print fixed right-4 bottom-4 z-10 shadow-none lg:hidden"
            onClick={() => setAsking(true)}
          >
            What if they …
          </button>
          <AskBox mapId={mapId} situation={situation} open={asking} onOpenChange={setAsking} />
        </>
      )}
      <SignOut asking={leaving} setAsking={setLeaving} />
      <Find mapId={mapId} open={finding} onOpenChange={setFinding} />
      <Keys open={keys} onOpenChange={setKeys} />
    </>
  );
}

/** Views beside each other, the current one marked. */
function ViewLinks({
  label,
  views,
  query,
  className,
  linkClassName,
}: {
  label: string;
  views: View[];
  query: string;
  className: string;
  linkClassName: string;
}) {
  const { pathname } = useLocation();
  return (
    <nav aria-label={label} className={className}>
      {views.map((view) => (
        <Link
          key={view.title}
          to={view.to + query}
          aria-current={isCurrent(view, pathname) ? "page" : undefined}
          className={linkClassName}
        >
          {view.title}
        </Link>
      ))}
    </nav>
  );
}

/** Offers going to a view as a command. */
function GoTo({ view, query }: { view: View; query: string }) {
  const navigate = useNavigate();
  useCommand({ title: `Go to: ${view.title}`, run: () => void navigate(view.to + query) });
  return null;
}

/** Ctrl K, wherever the cursor is. */
function useFindKey(open: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "k") return;
      event.preventDefault();
      open();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
