import { useEffect, useState, type ReactNode } from "react";
import { Link, useLocation, useMatch, useNavigate, useSearchParams } from "react-router";
import { Box, Keys } from "../features/find";
import { paths, useMaps } from "../features/map";
import { settingQuery } from "../features/odds";
import { useSendingAgain } from "../features/question";
import { useSendingRecord } from "../features/record";
import { SignOut, useLeave, useRights, useSession } from "../features/session";
import { useSendingEdits, useSendingPresses, useSendingReadings } from "../queue";
import { useCommand, useCommandKeys } from "../ui/commands";
import type { Theme } from "../ui/theme";
import { useWide } from "../ui/media";
import { useComeBack } from "./comeBack";
import { DeviceLines } from "./DeviceLines";
import { useKeeping } from "./keeping";
import { Menu } from "./Menu";
import { UndoLine } from "./UndoLine";
import { isCurrent, moreOf, placesOf, type View } from "./views";

const NEAR = "narrowgate-map";

/** The band: name, places, the one box, the rest; under it the views of the place. On a phone it stands at the bottom. */
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
  const begun = useSession().data?.begun ?? true;
  // Somebody who has not begun yet is asked one thing, and offered nothing beside it.
  const isFirstVisit = useMatch("/map/:mapId/start") !== null && !begun;
  const maps = useMaps();
  const away = maps.data?.find((map) => map.id === mapId)?.archived ?? false;
  const { pathname } = useLocation();
  const [params] = useSearchParams();
  const [keys, setKeys] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const leave = useLeave(() => setLeaving(true));
  const wide = useWide();
  const follow = useComeBack();
  useCommandKeys();
  useSendingAgain();
  useSendingRecord();
  useSendingReadings();
  useSendingPresses();
  useSendingEdits();
  const query = settingQuery(params);
  // Beside the maps, too, one finds back to the one where one was.
  const near = useNearMap(mapId);
  const may = useRights();
  useKeeping(near);
  const places = near && !isFirstVisit ? placesOf(near, may) : [];
  const second = places.find((place) => isCurrent(place, pathname))?.views ?? [];
  const more = isFirstVisit ? [{ title: "Maps", to: paths.maps() }] : moreOf(near, may, wide);
  const room = theme === "dark" ? "Bright hall" : "Dark room";
  useCommand({ title: room, run: toggleTheme });
  useCommand({ title: "Sign out", run: leave });
  useCommand({ title: "Keys on this page", key: "?", run: () => setKeys(true) });
  const box = mapId && !isFirstVisit && <Box key={mapId} mapId={mapId} situation={situation} />;
  const menu = (
    <Menu
      more={more}
      current={more.find((view) => isCurrent(view, pathname))}
      query={query}
      actions={[
        { title: "Keys", run: () => setKeys(true) },
        { title: room, run: toggleTheme },
        { title: "Sign out", run: leave },
      ]}
    />
  );
  return (
    <>
      <a
        href="#page"
        className="sr-only z-40 bg-signal p-3 font-semibold text-on-signal focus:not-sr-only focus:fixed"
      >
        Skip to the page
      </a>
      {wide && (
        <header className="on-band no-print sticky top-0 z-20 flex h-12 items-center gap-x-5 bg-band px-5 text-on-band">
          <Link
            to={near ? paths.map(near) + query : "/"}
            className="flex h-6 shrink-0 items-center border-x-[5px] border-on-band px-[7px] text-[24px] leading-none font-bold uppercase no-underline"
            style={{ fontStretch: "66%" }}
          >
            Narrow Gate
          </Link>
          <ViewLinks
            label="Places"
            views={places}
            query={query}
            className="flex h-full gap-1 text-[15px]"
            linkClassName="flex items-center border-y-[3px] border-transparent px-2 no-underline hover:underline aria-[current]:border-b-on-band aria-[current]:font-semibold"
          />
          <div className="ml-auto flex min-w-0 grow items-center justify-end gap-x-4">
            {box}
            {menu}
          </div>
        </header>
      )}
      {everyOne([...places, ...places.flatMap((place) => place.views.slice(1)), ...more]).map((view) => (
        <GoTo key={view.to} view={view} query={query} />
      ))}
      {second.length > 0 && !(situation && !wide) && (
        <ViewLinks
          label="Views"
          views={second}
          query={query}
          className="no-print flex gap-x-5 overflow-x-auto border-b border-rule px-5 whitespace-nowrap lg:gap-x-6"
          linkClassName="flex min-h-11 items-center text-quiet no-underline hover:underline aria-[current]:font-bold aria-[current]:text-ink lg:min-h-7"
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
      {/* Notes which link is followed; the links themselves take the keys. */}
      <div
        id="page"
        tabIndex={-1}
        className={`outline-none ${wide ? "" : box ? "pb-28" : "pb-14"} print:pb-0!`}
        onClickCapture={follow}
      >
        {children}
      </div>
      <DeviceLines
        place={
          wide
            ? "right-5 bottom-4 max-w-xl border-2"
            : `inset-x-0 border-y-2 ${box ? "bottom-28" : "bottom-14"}`
        }
      />
      {!wide && (
        <div className="no-print fixed inset-x-0 bottom-0 z-20 pb-[env(safe-area-inset-bottom)]">
          {box}
          <div className="on-band flex h-[52px] items-stretch bg-band px-2 text-on-band">
            <ViewLinks
              label="Places"
              views={near ? places.filter((place) => place.views.length > 0) : [{ title: "Map", to: "/" }]}
              query={query}
              className="flex grow-[5] basis-0"
              linkClassName="flex grow basis-0 items-center justify-center border-y-4 border-transparent no-underline aria-[current]:border-t-on-band aria-[current]:font-bold"
            />
            <div className="flex grow basis-0 items-center justify-center">{menu}</div>
          </div>
        </div>
      )}
      {mapId && may("edit-maps") && <UndoLine key={mapId} mapId={mapId} />}
      <SignOut asking={leaving} setAsking={setLeaving} />
      <Keys open={keys} onOpenChange={setKeys} />
    </>
  );
}

/** Each view once: one that has no room in the bar of a phone stands in the menu as well. */
function everyOne(views: View[]): View[] {
  return [...new Map(views.map((view) => [view.to, view])).values()];
}

/** The map that is open, or was open last; before any was, the first there is. */
function useNearMap(open: string | undefined): string | undefined {
  const maps = useMaps().data;
  useEffect(() => {
    if (open) sessionStorage.setItem(NEAR, open);
  }, [open]);
  if (open) return open;
  const last = sessionStorage.getItem(NEAR);
  return maps?.find((map) => map.id === last)?.id ?? maps?.find((map) => !map.archived)?.id;
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
