import { useQueryClient } from "@tanstack/react-query";
import { Dialog } from "radix-ui";
import { lazy, Suspense, useEffect, useRef, type ReactNode } from "react";
import { Navigate, Route, Routes } from "react-router";
import { onSignedOut, problemOf } from "../api/client";
import { MapPage, paths, useFirstMap } from "../features/map";
import { SignIn, useSession } from "../features/session";
import { SituationPage } from "../features/situation";
import { Failed, Loading } from "../ui/Notice";
import { useTheme } from "../ui/theme";
import { Frame } from "./Frame";

const GatesPage = lazy(() => import("../features/gates").then((m) => ({ default: m.GatesPage })));
const DrillPage = lazy(() => import("../features/drill").then((m) => ({ default: m.DrillPage })));

export function App() {
  const [theme, toggleTheme] = useTheme();
  return (
    <Gatekeeper>
      <Frame theme={theme} toggleTheme={toggleTheme}>
        <Suspense fallback={<Loading what="Opening" />}>
          <Routes>
            <Route path="/" element={<FirstMap />} />
            <Route path="/map/:mapId" element={<MapPage />} />
            <Route path="/map/:mapId/gates" element={<GatesPage />} />
            <Route path="/map/:mapId/at/:situation" element={<SituationPage />} />
            <Route path="/map/:mapId/at/:situation/drill" element={<DrillPage />} />
            <Route path="*" element={<NotThere />} />
          </Routes>
        </Suspense>
      </Frame>
    </Gatekeeper>
  );
}

/** Lets only the signed-in through. When a session ends meanwhile, the page stays and sign-in comes over it. */
function Gatekeeper({ children }: { children: ReactNode }) {
  const session = useSession();
  const queries = useQueryClient();
  const wasIn = useRef(false);
  useEffect(() => {
    onSignedOut(() => {
      if (wasIn.current) queries.setQueryData(["session"], { signedIn: false });
    });
  }, [queries]);
  const signedIn = session.data?.signedIn ?? false;
  useEffect(() => {
    if (signedIn) wasIn.current = true;
  }, [signedIn]);
  if (session.isError)
    return <Failed problem={problemOf(session.error)} retry={() => void session.refetch()} />;
  if (!session.data) return <Loading what="Opening" />;
  // eslint-disable-next-line react-hooks/refs -- whether the page below is open decides, not what it shows
  if (!signedIn && !wasIn.current) {
    return (
      <main className="grid min-h-dvh place-items-center p-4">
        <SignIn />
      </main>
    );
  }
  return (
    <>
      {children}
      <Dialog.Root open={!signedIn}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 bg-[#000]/60" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-1/2 left-1/2 w-[min(92vw,24rem)] -translate-1/2 border-2 border-ink"
          >
            <SignIn again />
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function FirstMap() {
  const maps = useFirstMap();
  if (maps.isError) return <Failed problem={problemOf(maps.error)} retry={() => void maps.refetch()} />;
  if (!maps.data) return <Loading what="Opening" />;
  const first = maps.data[0];
  if (!first) {
    return (
      <main className="p-5">
        There is no map yet. Start Narrow Gate with an empty database to get the demo gym’s map.
      </main>
    );
  }
  return <Navigate to={paths.map(first.id)} replace />;
}

function NotThere() {
  return (
    <main className="space-y-3 p-5">
      <h1 className="text-2xl">Nothing is at this address</h1>
      <p>
        <a href="/">Go to the map</a>
      </p>
    </main>
  );
}
