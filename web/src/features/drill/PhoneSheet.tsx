import { useEffect, useState } from "react";
import { Heading } from "../../ui/Heading";
import type { Drill, Plan } from "./design";
import { canSpeak, say } from "../../ui/voice";
import { useSpoken } from "./spoken";
import { isShown, linkOf, turnsOf, wordOf, type Step } from "./turns";
import { givenAs } from "./words";

interface Call {
  step: Step;
  side: string;
  turn: number;
  of: number;
}

function callsOfPlan(plan: Plan): Call[] {
  const turns = turnsOf(plan);
  return turns.flatMap((turn, index) =>
    turn.steps
      .filter((step) => step.kind === "link" || step.kind === "fake")
      .map((step) => ({ step, side: turn.side, turn: index + 1, of: turns.length })),
  );
}

/** Call by call, under the feeder's thumb; spoken with a count-in where the machine has a voice. */
export function PhoneSheet({ drill, plan }: { drill: Drill; plan: Plan }) {
  const calls = callsOfPlan(plan);
  const [at, setAt] = useState(0);
  const call = calls[Math.min(at, calls.length - 1)];
  const next = () => setAt((now) => Math.min(now + 1, calls.length));
  const back = () => setAt((now) => Math.max(0, now - 1));
  const spoken = useSpoken(
    calls.map((c) => ({
      word: wordOf(c.step, plan) ?? "",
      seconds: c.step.seconds,
      silent: isShown(c.step, plan),
    })),
    setAt,
  );
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === "ArrowRight" || event.key === "PageDown")
        setAt((now) => Math.min(now + 1, calls.length));
      if (event.key === "ArrowLeft" || event.key === "PageUp") setAt((now) => Math.max(0, now - 1));
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [calls.length]);
  if (!call) {
    return (
      <>
        <Heading>{drill.title}</Heading>
        <p className="mt-2">This kind has no calls; it goes by the clock. Take the feeder’s sheet.</p>
      </>
    );
  }
  const done = at >= calls.length;
  const link = linkOf(call.step, plan);
  return (
    <div className="text-[16px]">
      <Heading size="notice">{drill.title}</Heading>
      <p className="text-quiet" aria-live="polite">
        {done ? "Done" : `${at + 1} of ${calls.length}`} · turn {call.turn} of {call.of} · {call.side} side ·{" "}
        {call.step.bottom === "first" ? "1" : "2"} below
      </p>
      <button
        type="button"
        onClick={next}
        disabled={done}
        className="mt-3 grid min-h-[44dvh] w-full place-items-center border-2 border-ink bg-lane p-4 text-center disabled:bg-ground"
      >
        <span>
          <span className="block text-quiet">{done ? "" : givenAs(link?.part, drill.kind)}</span>
          <span
            className="block text-[56px] leading-none font-bold"
            style={{ fontStretch: "72%" }}
            data-testid="call"
          >
            {done ? "Swap, or stop" : (wordOf(call.step, plan) ?? "")}
          </span>
          {!done && (
            <span className="mt-2 block text-quiet">
              {link ? link.trigger : "begin it, and take it back"}
            </span>
          )}
          <span className="mt-4 block font-semibold">{done ? "" : "Tap for the next"}</span>
        </span>
      </button>
      <p className="mt-2 text-quiet">
        Hold it so that the one below cannot read it
        {drill.kind === "called" && ", and let the voice speak into one ear only"}.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="plate" onClick={back} disabled={at === 0}>
          One back
        </button>
        <button
          type="button"
          className="plate"
          onClick={() => (spoken.running ? spoken.stop() : spoken.start(at))}
        >
          {spoken.running ? "Stop the voice" : "Speak the calls"}
        </button>
        <label className="flex items-center gap-2">
          Pace
          <select
            className="box w-auto"
            value={spoken.pace}
            onChange={(e) => spoken.setPace(Number(e.target.value))}
          >
            <option value={1.5}>slow</option>
            <option value={1}>usual</option>
            <option value={0.75}>quick</option>
          </select>
        </label>
        <button
          type="button"
          className="word"
          onClick={() => say(done ? "Stop" : (wordOf(call.step, plan) ?? ""))}
          disabled={!canSpeak()}
        >
          Say it once
        </button>
      </div>
      {!canSpeak() && (
        <p className="mt-2">This machine has no voice. The words are shown, at the same pace.</p>
      )}
      {spoken.count > 0 && (
        <p role="status" className="mt-2 text-[40px] leading-none font-bold">
          {spoken.count}
        </p>
      )}
    </div>
  );
}
