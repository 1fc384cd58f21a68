import { useEffect, type ReactNode } from "react";
import { Link, useLocation, useMatch, useSearchParams } from "react-router";
import { paths } from "../features/map";
import { settingQuery } from "../features/odds";
import { useSignOut } from "../features/session";
import type { Theme } from "../ui/theme";
import { History } from "./History";

/** The band at the top: name, views, undo, room, sign out. */
export function Frame({
  theme,
  toggleTheme,
  children,
}: {
  theme: Theme;
  toggleTheme: () => void;
  children: ReactNode;
}) {
  const match = useMatch("/map/:mapId/*");
  const mapId = match?.params.mapId;
  const signOut = useSignOut();
  const { pathname } = useLocation();
  const [params] = useSearchParams();
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [pathname]);
  return (
    <>
      <a
        href="#page"
        className="sr-only z-10 bg-signal p-3 font-semibold text-on-signal focus:not-sr-only focus:absolute"
      >
        Skip to the page
      </a>
      <header className="on-band no-print flex min-h-[52px] flex-wrap items-center gap-x-6 bg-band px-5 text-on-band">
        <Link
          to={mapId ? paths.map(mapId) + settingQuery(params) : "/"}
          className="flex h-6 items-center border-x-[5px] border-signal-on-band px-[7px] text-[24px] leading-none font-bold uppercase no-underline max-lg:my-2.5"
          style={{ fontStretch: "66%" }}
        >
          Narrow Gate
        </Link>
        <nav aria-label="Views" className="flex gap-5">
          {mapId &&
            [
              { title: "Map", to: paths.map(mapId) },
              { title: "Gates", to: paths.gates(mapId) },
            ].map((view) => (
              <Link
                key={view.title}
                to={view.to + settingQuery(params)}
                aria-current={pathname === view.to ? "page" : undefined}
                className="flex min-h-11 items-center border-y-[3px] border-transparent no-underline hover:underline aria-[current]:border-signal-on-band lg:min-h-9"
              >
                {view.title}
              </Link>
            ))}
        </nav>
        <div className="ml-auto flex items-center gap-x-5 text-base lg:text-[14px]">
          {mapId && <History key={mapId} mapId={mapId} />}
          <button
            type="button"
            className="min-h-11 text-quiet-on-band underline-offset-4 hover:underline"
            onClick={toggleTheme}
          >
            {theme === "dark" ? "Bright hall" : "Dark room"}
          </button>
          <button
            type="button"
            className="min-h-11 text-quiet-on-band underline-offset-4 hover:underline"
            onClick={() => signOut.mutate()}
          >
            Sign out
          </button>
        </div>
      </header>
      <div id="page" tabIndex={-1} className="outline-none">
        {children}
      </div>
    </>
  );
}
