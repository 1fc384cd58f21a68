import { useEffect, useRef, useState } from "react";
import { say, sayNoMore } from "../../ui/voice";

/** A call to speak; the silent ones only take their time. */
export interface SpokenCall {
  word: string;
  seconds: number;
  silent: boolean;
}

const COUNT_IN = 3;

/** Speaks a row of calls with a count-in, each after the time the one before takes; shows where it is either way. */
export function useSpoken(calls: SpokenCall[], showing: (at: number) => void) {
  const [running, setRunning] = useState(false);
  const [count, setCount] = useState(0);
  const [pace, setPace] = useState(1);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef({ calls, showing, pace });
  useEffect(() => {
    latest.current = { calls, showing, pace };
  });
  const stop = () => {
    clearTimeout(timer.current);
    sayNoMore();
    setRunning(false);
    setCount(0);
  };
  useEffect(() => () => clearTimeout(timer.current), []);
  const call = (at: number) => {
    const now = latest.current;
    now.showing(at);
    const spoken = now.calls[at];
    if (!spoken) {
      setRunning(false);
      return;
    }
    if (!spoken.silent) say(spoken.word);
    timer.current = setTimeout(() => call(at + 1), spoken.seconds * now.pace * 1000);
  };
  const countIn = (left: number, at: number) => {
    setCount(left);
    if (left === 0) {
      call(at);
      return;
    }
    say(String(left));
    timer.current = setTimeout(() => countIn(left - 1, at), 1000);
  };
  const start = (at: number) => {
    setRunning(true);
    countIn(COUNT_IN, at >= latest.current.calls.length ? 0 : at);
  };
  return { running, count, pace, setPace, start, stop };
}
