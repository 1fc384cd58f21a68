import { useCallback, useEffect, useRef, useState } from "react";
import { api, isForLater, problemOf, unwrap, type Problem } from "../../api/client";
import { PRESSES, steers, useAgain, useWaiting } from "../../queue";
import { later, pressed, type Mat, type Press } from "./clock";
import { follow } from "./stream";

/** How a class was told to stand, when by this device's clock, and by how much the server's is ahead of it. */
interface Told {
  mat: Mat;
  at: number;
  ahead: number;
}

export type Steer = (deed: Press["deed"], more?: Partial<Press>) => void;

/**
 * A class that is followed: how it stands now by this device's clock, whether the line to the server stands, and what steers
 * it. A press shows at once and is sent after the ones before it; one that finds no network waits for it.
 */
export function useMat(
  first: Mat,
  source: { events: string; body: unknown; mapId?: string; send: (press: Press) => Promise<Mat> },
) {
  const [told, setTold] = useState<Told>(() => toldBy(first));
  const [isFollowing, setFollowing] = useState(true);
  const [isStuck, setStuck] = useState(false);
  const [gone, setGone] = useState<"withdrawn" | "off">();
  const [problem, setProblem] = useState<Problem>();
  const all = useWaiting(PRESSES);
  const waiting = all.filter((one) => one.lesson === first.lesson);
  const latest = useRef(told);
  /** As the stream alone has told it; nothing that was pressed here and is not stored yet is in it. */
  const streamed = useRef(first);
  const sending = useRef(false);
  const send = useRef(source.send);
  useEffect(() => {
    send.current = source.send;
  });

  const show = useCallback((next: Told) => {
    latest.current = next;
    setTold(next);
  }, []);
  const tell = useCallback((mat: Mat) => show(toldBy(mat)), [show]);

  const mine = useCallback(
    () => PRESSES.waiting().filter((one) => one.lesson === first.lesson),
    [first.lesson],
  );
  const drop = useCallback(
    (id: string) => PRESSES.keep(PRESSES.waiting().filter((one) => one.press.id !== id)),
    [],
  );

  const flush = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      for (let next = mine()[0]; next; next = mine()[0]) {
        try {
          const mat = await send.current({ ...next.press, ago: Math.max(0, Date.now() - next.at) });
          drop(next.press.id);
          setStuck(false);
          setProblem(undefined);
          // What came over the stream meanwhile was held back, and may be newer.
          if (mine().length === 0) tell(streamed.current.version > mat.version ? streamed.current : mat);
        } catch (error) {
          if (isForLater(error)) {
            setStuck(true);
            return;
          }
          // What is refused is not asked again; the class is shown as it stands.
          drop(next.press.id);
          setProblem(problemOf(error));
        }
      }
    } finally {
      sending.current = false;
    }
  }, [drop, mine, tell]);

  useAgain(waiting.length > 0, flush);

  useEffect(() => steers(first.lesson), [first.lesson]);

  const { mapId } = source;
  const body = JSON.stringify(source.body);
  useEffect(() => {
    const end = new AbortController();
    let off = false;
    void follow(
      source.events,
      JSON.parse(body),
      ({ event, data }) => {
        setFollowing(true);
        if (event === "gone") {
          setGone("withdrawn");
          end.abort();
        } else if (event === "away") {
          // It may be laid out anew, and be counted from one again.
          off = true;
          setGone("off");
        } else {
          streamed.current = heardOf(streamed.current, event, data);
          const isNews = off || streamed.current.version >= latest.current.mat.version;
          if (isNews && mine().length === 0) {
            off = false;
            setGone(undefined);
            tell(streamed.current);
          }
        }
      },
      (is) => {
        setFollowing(is);
        if (is) void flush();
      },
      end.signal,
    ).then(() => {
      if (!end.signal.aborted) setGone("withdrawn");
    });
    return () => end.abort();
  }, [source.events, body, flush, mine, tell]);

  const steer: Steer = useCallback(
    (deed, more = {}) => {
      const now = later(latest.current.mat, Date.now() - latest.current.at);
      const press: Press = { id: crypto.randomUUID(), deed, step: now.step, ago: 0, ...more };
      PRESSES.keep([...PRESSES.waiting(), { lesson: first.lesson, mapId, press, at: Date.now() }]);
      setProblem(undefined);
      show({ ...latest.current, mat: pressed(now, press), at: Date.now() });
      void flush();
    },
    [first.lesson, mapId, flush, show],
  );

  const now = useNow();
  return {
    mat: later(told.mat, Math.max(0, now - told.at)),
    /** The time for which the class is shown, by the server's clock. */
    now: now + told.ahead,
    isConnected: isFollowing && !isStuck,
    waiting: waiting.length,
    gone,
    problem,
    steer,
  };
}

/**
 * A class after an event of its stream: the whole of it, or what changes from press to press; what is missing in that is no
 * longer so.
 */
export function heardOf(before: Mat, event: string, data: string): Mat {
  if (event === "mat") return JSON.parse(data) as Mat;
  if (event !== "stand") return before;
  const { look, begun, ...stand } = JSON.parse(data) as Partial<Mat>;
  return { ...before, ...stand, look, begun };
}

function toldBy(mat: Mat): Told {
  const at = Date.now();
  return { mat, at, ahead: Date.parse(mat.now) - at };
}

const TICK = 200;

/** The time by this device, a few times a second. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = () => setNow(Date.now());
    const timer = setInterval(tick, TICK);
    // Woken up, a device shows the time at once.
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", tick);
    };
  }, []);
  return now;
}

/** Steers a class by the link of a clicker. */
export function clickOf(token: string) {
  return (press: Press): Promise<Mat> => unwrap(api.POST("/api/screens/presses", { body: { token, press } }));
}
