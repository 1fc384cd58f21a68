import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Problem, type Schemas } from "../../api/client";
import { pressOf } from "../../queue";
import { isTyping } from "../../ui/commands";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { useTheme } from "../../ui/theme";
import { together, Waiting } from "../../ui/Waiting";
import { canSpeak } from "../../ui/voice";
import { paths } from "../map";
import { useAwake } from "./awake";
import { behind, hereIn, remaining, type Mat } from "./clock";
import { Look } from "./Look";
import { More } from "./More";
import { Screens } from "./Screens";
import { Show } from "./Show";
import { unlockSound, useSounds } from "./sounds";
import { useMat, type Steer } from "./useMat";
import { behindWords, timeOfDay } from "./words";

type Sheet = Schemas["MatSheet"];

function useSheet(mapId: string, lesson: string) {
  const path = { params: { path: { mapId, lesson } } };
  return useQuery({
    queryKey: ["mat", mapId, lesson],
    retry: false,
    staleTime: 0,
    queryFn: async () => {
      const sheet = await unwrap(api.GET("/api/maps/{mapId}/classes/{lesson}/mat", path));
      // Until it has begun, the plan may have changed since it was laid out.
      return sheet.mat.state === "ready"
        ? unwrap(api.POST("/api/maps/{mapId}/classes/{lesson}/mat", path))
        : sheet;
    },
  });
}

/** A class on the mat, for whoever teaches: what the room sees, and under it what steers it. */
export function MatPage() {
  const { mapId = "", lesson = "" } = useParams();
  const sheet = useSheet(mapId, lesson);
  if (sheet.isError && problemOf(sheet.error).status === 404) return <NotYet mapId={mapId} lesson={lesson} />;
  const ready = together({ sheet });
  if (!ready.data) return <Waiting what="Looking up the class" on={ready} />;
  return <Steered mapId={mapId} lesson={lesson} sheet={ready.data.sheet} />;
}

/** A class that is planned and not on the mat. */
function NotYet({ mapId, lesson }: { mapId: string; lesson: string }) {
  const queries = useQueryClient();
  const [problem, setProblem] = useState<Problem>();
  const [going, setGoing] = useState(false);
  const layOut = async () => {
    setGoing(true);
    try {
      const sheet = await unwrap(
        api.POST("/api/maps/{mapId}/classes/{lesson}/mat", { params: { path: { mapId, lesson } } }),
      );
      queries.setQueryData(["mat", mapId, lesson], sheet);
    } catch (error) {
      setProblem(problemOf(error));
      setGoing(false);
    }
  };
  return (
    <main className="max-w-xl space-y-4 px-5 pt-6">
      <Heading>On the mat</Heading>
      <p>
        The class is laid out as it is planned now: what is shown, every round by the clock, sides, partners
        and calls. It begins when you say so.
      </p>
      {problem && <Refused problem={problem} />}
      <p className="flex flex-wrap gap-3">
        <button
          type="button"
          className="plate"
          disabled={going}
          onClick={() => {
            unlockSound();
            void layOut();
          }}
        >
          {going ? "Laying it out …" : "Put it on the mat"}
        </button>
        <Link className="word self-center" to={paths.lesson(mapId, lesson)}>
          Back to the plan
        </Link>
      </p>
    </main>
  );
}

const SOUND = "narrowgate-mat-sound";

/** Something that is on or off on this device. */
function useKeptSwitch(key: string, usual: boolean): [boolean, () => void] {
  const [on, setOn] = useState(() => (localStorage.getItem(key) ?? (usual ? "on" : "off")) === "on");
  return [
    on,
    () => {
      localStorage.setItem(key, on ? "off" : "on");
      setOn(!on);
    },
  ];
}

type Open = "look" | "more" | "screens" | undefined;

function Steered({ mapId, lesson, sheet }: { mapId: string; lesson: string; sheet: Sheet }) {
  const navigate = useNavigate();
  const [theme, toggleTheme] = useTheme();
  const [sound, toggleSound] = useKeptSwitch(SOUND, true);
  const [voice, toggleVoice] = useKeptSwitch(`${SOUND}-voice`, false);
  const [open, setOpen] = useState<Open>();
  const queries = useQueryClient();
  const forget = () =>
    Promise.all([
      askAgain(queries, { queryKey: ["class", mapId, lesson] }),
      askAgain(queries, { queryKey: ["classes", mapId] }),
    ]);
  const held = useMat(sheet.mat, {
    events: `/api/maps/${mapId}/classes/${lesson}/mat/events`,
    body: {},
    mapId,
    send: async (press) => {
      const after = await pressOf(mapId, lesson)(press);
      // What came of it stands on the pages of the class, where one may be by now.
      if (after.state === "over") void forget();
      return after;
    },
  });
  const { mat, steer } = held;
  const leave = () => void navigate(paths.lesson(mapId, lesson));
  useEffect(
    () => () => queries.removeQueries({ queryKey: ["mat", mapId, lesson] }),
    [queries, mapId, lesson],
  );
  // Who only feeds, and which pictures are needed, changes with who is here and what is put in.
  const parts = mat.parts.length;
  const changed = mat.here !== sheet.mat.here || parts !== sheet.mat.parts.length;
  useEffect(() => {
    if (changed) void askAgain(queries, { queryKey: ["mat", mapId, lesson] });
  }, [changed, mat.here, parts, queries, mapId, lesson]);
  useAwake(true);
  useSounds(mat, sound, voice);
  useKeys(steer, mat, open === undefined, leave, () => setOpen("look"));
  const takeOff = async () => {
    await unwrapNothing(
      api.DELETE("/api/maps/{mapId}/classes/{lesson}/mat", { params: { path: { mapId, lesson } } }),
    );
    leave();
  };
  if (held.gone) return <NotYet mapId={mapId} lesson={lesson} />;
  const close = () => setOpen(undefined);
  return (
    <main className="fixed inset-0 flex flex-col bg-ground" onPointerDown={unlockSound}>
      <Heading size="unseen">On the mat: {mat.title}</Heading>
      <div className="min-h-0 flex-1">
        <Show mat={mat} pictures={sheet.pictures} />
      </div>
      <Warnings held={held} sheet={sheet} />
      <Strip mat={mat} now={held.now} steer={steer} onOpen={setOpen} />
      <Look
        open={open === "look"}
        onClose={close}
        mat={mat}
        pictures={sheet.pictures}
        onLook={(at) => {
          steer("look", at);
          close();
        }}
      />
      <More
        open={open === "more"}
        onClose={close}
        mapId={mapId}
        lesson={lesson}
        mat={mat}
        steer={steer}
        onScreens={() => setOpen("screens")}
        switches={[
          { label: theme === "dark" ? "Bright hall" : "Dark room", press: toggleTheme },
          { label: sound ? "Sounds off" : "Sounds on", press: toggleSound },
          ...(canSpeak() ? [{ label: voice ? "Voice off" : "Speak the calls", press: toggleVoice }] : []),
        ]}
        onLeave={leave}
        onTakeOff={takeOff}
      />
      <Screens open={open === "screens"} onClose={close} mapId={mapId} lesson={lesson} />
    </main>
  );
}

/** What whoever teaches has to know and the room has not. */
function Warnings({ held, sheet }: { held: ReturnType<typeof useMat>; sheet: Sheet }) {
  const { part } = hereIn(held.mat);
  const feeds = sheet.feeds.find((one) => one.unit === part.unit)?.names ?? [];
  return (
    <div className="px-3">
      {!held.isConnected && (
        <p role="status" className="border-t border-rule py-1.5">
          {held.waiting > 0
            ? `No connection: the clock goes on here, ${held.waiting === 1 ? "one press waits" : `${held.waiting} presses wait`}. Other screens follow when it is back.`
            : "No connection: the clock goes on here. It is looked for again."}
        </p>
      )}
      {held.problem && (
        <div className="py-1">
          <Refused problem={held.problem} />
        </div>
      )}
      {feeds.length > 0 && (
        <p className="border-l-4 border-signal py-1.5 pl-2 font-semibold">
          Only feeding here, never on the bottom: {feeds.join(", ")}.
        </p>
      )}
    </div>
  );
}

function Strip({
  mat,
  now,
  steer,
  onOpen,
}: {
  mat: Mat;
  now: number;
  steer: Steer;
  onOpen: (what: Open) => void;
}) {
  const running = mat.state === "running";
  const going = running || mat.state === "stopped";
  const { part, next } = hereIn(mat);
  const isLast = !next;
  const ends = mat.begun && timeOfDay(now + remaining(mat));
  return (
    <div className="flex flex-wrap items-stretch gap-2 border-t-2 border-ink bg-ground p-2">
      {mat.state === "ready" && (
        <button
          type="button"
          className="mat-key mat-key-main grow"
          onClick={() => {
            unlockSound();
            steer("start");
          }}
        >
          Begin
        </button>
      )}
      {going && (
        <>
          <button type="button" className="mat-key" onClick={() => steer("back")}>
            Back
          </button>
          <button
            type="button"
            className="mat-key mat-key-main grow"
            onClick={() => steer(running ? "stop" : "go")}
          >
            {running ? "Stop" : "Go on"}
          </button>
          <button type="button" className="mat-key grow" onClick={() => steer(isLast ? "finish" : "forward")}>
            {isLast ? "End the class" : "Next"}
          </button>
          <button
            type="button"
            className="mat-key"
            aria-label="Half a minute longer"
            onClick={() => steer("longer", { seconds: 30 })}
          >
            +0:30
          </button>
          <button type="button" className="mat-key" onClick={() => onOpen("look")}>
            Look here
          </button>
        </>
      )}
      {mat.state === "over" && (
        <button type="button" className="mat-key grow" onClick={() => steer("go")}>
          It goes on
        </button>
      )}
      <button type="button" className="mat-key" onClick={() => onOpen("more")}>
        More
      </button>
      {going && (
        <p className="ml-auto self-center text-right text-[18px] text-quiet max-mid:w-full max-mid:text-left">
          ends {ends}, <strong className="text-ink">{behindWords(behind(mat, now))}</strong>
          {part.inserted && ", put in"}
        </p>
      )}
    </div>
  );
}

/** Keys, and with them a clicker: it is a keyboard to the machine. */
function useKeys(steer: Steer, mat: Mat, active: boolean, leave: () => void, look: () => void): void {
  useEffect(() => {
    if (!active) return;
    const onKey = (event: KeyboardEvent) => {
      if (
        (event.target && isTyping(event.target)) ||
        event.defaultPrevented ||
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        event.repeat
      )
        return;
      const deeds: Record<string, () => void> = {
        PageDown: () => steer("forward"),
        ArrowRight: () => steer("forward"),
        PageUp: () => steer("back"),
        ArrowLeft: () => steer("back"),
        b: () => steer("toggle"),
        B: () => steer("toggle"),
        ".": () => steer("toggle"),
        "+": () => steer("longer", { seconds: 30 }),
        "-": () => steer("longer", { seconds: -30 }),
        h: look,
        Escape: leave,
      };
      const deed = deeds[event.key];
      // The last press of a class that is not meant to be over yet is made on the screen.
      const isLast = !hereIn(mat).next && mat.state !== "ready";
      if (!deed || (isLast && (event.key === "PageDown" || event.key === "ArrowRight"))) return;
      event.preventDefault();
      unlockSound();
      deed();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [steer, mat, active, leave, look]);
}
