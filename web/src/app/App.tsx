import { useQueryClient } from "@tanstack/react-query";
import { Dialog } from "radix-ui";
import { lazy, useEffect, useRef, type ReactNode } from "react";
import { Link, Navigate, Route, Routes } from "react-router";
import { onNotLetIn, problemOf } from "../api/client";
import { MapPage, OncePlaces, paths, useMaps } from "../features/map";
import { LogPage, RecordFilesPage, RoundsPage, TruthPage } from "../features/record";
import { MinePage, StandingPage, StandingsPage } from "../features/standing";
import { markEnded, Only, SignIn, useMay, useSession } from "../features/session";
import { Door } from "../ui/Door";
import { useFocusBack } from "../ui/focusBack";
import { Failed, Loading } from "../ui/Notice";
import { onOther } from "../ui/kept";
import { useTheme } from "../ui/theme";
import { isOut } from "../ui/Waiting";
import { Boundary, BoundedRoute } from "./Boundary";
import { Frame } from "./Frame";
import { Heading } from "../ui/Heading";

const SituationPage = lazy(() => import("../features/situation").then((m) => ({ default: m.SituationPage })));
const FlowPage = lazy(() => import("../features/flow").then((m) => ({ default: m.FlowPage })));
const GatesPage = lazy(() => import("../features/gates").then((m) => ({ default: m.GatesPage })));
const HeldPage = lazy(() => import("../features/held").then((m) => ({ default: m.HeldPage })));
const PrinciplesPage = lazy(() =>
  import("../features/principle").then((m) => ({ default: m.PrinciplesPage })),
);
const BookletPage = lazy(() => import("../features/paper").then((m) => ({ default: m.BookletPage })));
const PosterPage = lazy(() => import("../features/paper").then((m) => ({ default: m.PosterPage })));
const CardPage = lazy(() => import("../features/paper").then((m) => ({ default: m.CardPage })));
const WorkshopPage = lazy(() => import("../features/workshop").then((m) => ({ default: m.WorkshopPage })));
const HolesPage = lazy(() => import("../features/review").then((m) => ({ default: m.HolesPage })));
const HistoryPage = lazy(() => import("../features/history").then((m) => ({ default: m.HistoryPage })));
const MapsPage = lazy(() => import("../features/maps").then((m) => ({ default: m.MapsPage })));
const FilesPage = lazy(() => import("../features/exchange").then((m) => ({ default: m.FilesPage })));
const StartPage = lazy(() => import("../features/start").then((m) => ({ default: m.StartPage })));
const BenchPage = lazy(() => import("../features/drill").then((m) => ({ default: m.BenchPage })));
const FinishPage = lazy(() => import("../features/finish").then((m) => ({ default: m.FinishPage })));
const FinishesPage = lazy(() => import("../features/finish").then((m) => ({ default: m.FinishesPage })));
const WeightPage = lazy(() => import("../features/weight").then((m) => ({ default: m.WeightPage })));
const WeightsPage = lazy(() => import("../features/weight").then((m) => ({ default: m.WeightsPage })));
const LeveragePage = lazy(() => import("../features/lever").then((m) => ({ default: m.LeveragePage })));
const TrainerPage = lazy(() => import("../features/drill").then((m) => ({ default: m.TrainerPage })));
const SheetPage = lazy(() => import("../features/drill").then((m) => ({ default: m.SheetPage })));

const TonightPage = lazy(() => import("../features/lesson").then((m) => ({ default: m.TonightPage })));
const ClassPage = lazy(() => import("../features/lesson").then((m) => ({ default: m.ClassPage })));
const PapersPage = lazy(() => import("../features/lesson").then((m) => ({ default: m.PapersPage })));
const TermPage = lazy(() => import("../features/term").then((m) => ({ default: m.TermPage })));
const ClassesPage = lazy(() => import("../features/lesson").then((m) => ({ default: m.ClassesPage })));
const ComeInPage = lazy(() => import("../features/door").then((m) => ({ default: m.ComeInPage })));
const OpenGymPage = lazy(() => import("../features/door").then((m) => ({ default: m.OpenGymPage })));
const PeoplePage = lazy(() => import("../features/people").then((m) => ({ default: m.PeoplePage })));
const PersonPage = lazy(() => import("../features/people").then((m) => ({ default: m.PersonPage })));
const GymPage = lazy(() => import("../features/gym").then((m) => ({ default: m.GymPage })));
const AuditPage = lazy(() => import("../features/gym").then((m) => ({ default: m.AuditPage })));
const LettersPage = lazy(() => import("../features/gym").then((m) => ({ default: m.LettersPage })));
const LinksPage = lazy(() => import("../features/share").then((m) => ({ default: m.LinksPage })));
const SharedCardPage = lazy(() => import("../features/paper").then((m) => ({ default: m.SharedCardPage })));
const MatPage = lazy(() => import("../features/mat").then((m) => ({ default: m.MatPage })));
const MatNowPage = lazy(() => import("../features/mat").then((m) => ({ default: m.MatNowPage })));
const ScreenPage = lazy(() => import("../features/mat").then((m) => ({ default: m.ScreenPage })));
const YourselfPage = lazy(() => import("../features/yourself").then((m) => ({ default: m.YourselfPage })));

export function App() {
  const [theme, toggleTheme] = useTheme();
  // What is opened next from the map comes once the page stands: on the mat the network may be gone by then.
  useEffect(() => {
    const timer = setTimeout(() => {
      // Where it cannot be had it is asked for again when it is wanted.
      if (navigator.onLine) import("../features/situation").catch(() => undefined);
    }, 2000);
    return () => clearTimeout(timer);
  }, []);
  return (
    <Boundary>
      <Routes>
        <Route element={<BoundedRoute />}>
          <Route path="/come-in" element={<ComeInPage />} />
          <Route path="/card" element={<SharedCardPage />} />
          <Route path="/open" element={<OpenGymPage />} />
          <Route path="/screen" element={<ScreenPage />} />
          <Route path="/clicker" element={<ScreenPage />} />
          <Route path="/feeder" element={<ScreenPage />} />
        </Route>
        {/* The mat is a mode: nothing of the house stands around it. */}
        <Route
          element={
            <Gatekeeper>
              <BoundedRoute />
            </Gatekeeper>
          }
        >
          <Route element={<Only right="run-classes" />}>
            <Route path="/map/:mapId/class/:lesson/mat" element={<MatPage />} />
          </Route>
        </Route>
        <Route
          path="*"
          element={
            <Gatekeeper>
              <Frame theme={theme} toggleTheme={toggleTheme}>
                <Inside />
              </Frame>
            </Gatekeeper>
          }
        />
      </Routes>
    </Boundary>
  );
}

/** The pages, each for whoever has the right. */
function Inside() {
  return (
    <Routes>
      <Route element={<BoundedRoute />}>
        <Route path="/" element={<FirstMap />} />
        <Route path="/yourself" element={<YourselfPage />} />
        <Route element={<OncePlaces />}>
          <Route path="/map/:mapId" element={<MapPage />} />
          <Route path="/map/:mapId/flow" element={<FlowPage />} />
          <Route path="/map/:mapId/held" element={<HeldPage />} />
          <Route path="/map/:mapId/stances" element={<PrinciplesPage />} />
          <Route element={<Only right="read-maps" />}>
            <Route path="/map/:mapId/gates" element={<GatesPage />} />
            <Route path="/map/:mapId/holes" element={<HolesPage />} />
          </Route>
        </Route>
        <Route path="/map/:mapId/poster/:family" element={<PosterPage />} />
        <Route path="/map/:mapId/booklet" element={<BookletPage />} />
        <Route path="/map/:mapId/at/:situation" element={<SituationPage />} />
        <Route path="/map/:mapId/at/:situation/card" element={<CardPage />} />
        <Route path="/map/:mapId/holds/finishes" element={<FinishesPage />} />
        <Route path="/map/:mapId/holds/finishes/:hold" element={<FinishPage />} />
        <Route path="/map/:mapId/holds/weight" element={<WeightsPage />} />
        <Route path="/map/:mapId/holds/weight/:situation" element={<WeightPage />} />
        <Route path="/map/:mapId/holds/leverage" element={<LeveragePage />} />
        <Route path="/map/:mapId/drills/trainer" element={<TrainerPage />} />
        <Route path="/map/:mapId/record/mine" element={<MinePage />} />
        <Route path="/maps" element={<MapsPage />} />
        <Route element={<Only right="read-maps" />}>
          <Route path="/map/:mapId/history" element={<HistoryPage />} />
          <Route path="/map/:mapId/drills" element={<BenchPage />} />
          <Route path="/map/:mapId/drills/sheet" element={<SheetPage />} />
        </Route>
        <Route element={<Only right="read-classes" />}>
          <Route path="/map/:mapId/class" element={<TonightPage />} />
          <Route path="/map/:mapId/class/:lesson" element={<ClassPage />} />
          <Route path="/map/:mapId/class/:lesson/papers" element={<PapersPage />} />
          <Route path="/map/:mapId/classes" element={<ClassesPage />} />
          <Route path="/map/:mapId/term" element={<TermPage />} />
        </Route>
        <Route element={<Only right="run-classes" />}>
          <Route path="/map/:mapId/mat" element={<MatNowPage />} />
        </Route>
        <Route element={<Only right="keep-record" />}>
          <Route path="/map/:mapId/record" element={<LogPage />} />
          <Route path="/map/:mapId/record/rounds" element={<RoundsPage />} />
          <Route path="/map/:mapId/record/truth" element={<TruthPage />} />
          <Route path="/map/:mapId/record/standing" element={<StandingsPage />} />
          <Route path="/map/:mapId/record/standing/:person" element={<StandingPage />} />
        </Route>
        <Route element={<Only right="edit-maps" />}>
          <Route path="/map/:mapId/workshop/:list?" element={<WorkshopPage />} />
          <Route path="/map/:mapId/start" element={<StartPage />} />
        </Route>
        <Route element={<Only right="take-out" />}>
          <Route path="/map/:mapId/files" element={<FilesPage />} />
          <Route path="/map/:mapId/record/files" element={<RecordFilesPage />} />
        </Route>
        <Route element={<Only right="see-people" />}>
          <Route path="/people" element={<PeoplePage />} />
          <Route path="/people/:person" element={<PersonPage />} />
        </Route>
        <Route element={<Only right="share" />}>
          <Route path="/links" element={<LinksPage />} />
        </Route>
        <Route element={<Only right="manage-members" />}>
          <Route path="/gym" element={<GymPage />} />
          <Route path="/gym/letters" element={<LettersPage />} />
        </Route>
        <Route element={<Only right="read-audit" />}>
          <Route path="/gym/audit" element={<AuditPage />} />
        </Route>
        <Route path="*" element={<NotThere />} />
      </Route>
    </Routes>
  );
}

/** Lets only the signed-in through. When a session ends meanwhile, the page stays and sign-in comes over it. */
function Gatekeeper({ children }: { children: ReactNode }) {
  const session = useSession();
  const queries = useQueryClient();
  const wasIn = useRef(false);
  useEffect(() => {
    onNotLetIn((status) => {
      // Asking who is signed in brings a fresh token, too.
      if (status === 403) void queries.invalidateQueries({ queryKey: ["session"] });
      else if (wasIn.current) markEnded(queries);
    });
  }, [queries]);
  useEffect(() => onOther(() => location.assign("/")), []);
  const focusBack = useFocusBack();
  const signedIn = session.data?.signedIn ?? false;
  useEffect(() => {
    if (signedIn) wasIn.current = true;
  }, [signedIn]);
  if (isOut(session))
    return <Failed problem={problemOf(session.error)} retry={() => void session.refetch()} />;
  if (!session.data) return <Loading what="Opening" />;
  // eslint-disable-next-line react-hooks/refs -- whether the page below is open decides, not what it shows
  if (!signedIn && !wasIn.current) {
    return (
      <Door>
        <SignIn houseIsEmpty={session.data.houseIsEmpty} />
      </Door>
    );
  }
  return (
    <>
      {children}
      <Dialog.Root open={!signedIn}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-[#000]/60" />
          <Dialog.Content
            {...focusBack}
            aria-describedby={undefined}
            className="fixed top-1/2 left-1/2 z-40 w-[min(92vw,24rem)] -translate-1/2 border-2 border-ink"
          >
            <SignIn again />
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function FirstMap() {
  const maps = useMaps();
  const session = useSession();
  const mayEdit = useMay("edit-maps");
  if (isOut(maps)) return <Failed problem={problemOf(maps.error)} retry={() => void maps.refetch()} />;
  if (!maps.data) return <Loading what="Opening" />;
  const first = maps.data.find((m) => !m.archived) ?? maps.data[0];
  if (!first) return <NoMap mayEdit={mayEdit} />;
  const leads = session.data?.begun || !mayEdit ? paths.map(first.id) : paths.start(first.id);
  return <Navigate to={leads} replace />;
}

/** A gym that has just been opened, or one that shares nothing with its students yet. */
function NoMap({ mayEdit }: { mayEdit: boolean }) {
  return (
    <main className="max-w-xl space-y-3 p-5">
      <Heading size="notice">There is no map yet</Heading>
      {mayEdit ? (
        <>
          <p>
            A map says from which pins and holds you teach escapes, and how. Begin with the reference map and
            change what you teach otherwise, or with an empty one.
          </p>
          <p>
            <Link className="plate inline-flex items-center no-underline" to={paths.maps()}>
              Begin a map
            </Link>
          </p>
        </>
      ) : (
        <p>Nothing is shared with you so far. Ask your instructor.</p>
      )}
    </main>
  );
}

function NotThere() {
  return (
    <main className="space-y-3 p-5">
      <Heading size="notice">Nothing is at this address</Heading>
      <p>
        <a href="/">Go to the map</a>
      </p>
    </main>
  );
}
