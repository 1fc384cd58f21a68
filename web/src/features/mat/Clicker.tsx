import type { Problem } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { clockWords, hereIn, type Mat } from "./clock";
import type { Steer } from "./useMat";
import { headOf, stepWords } from "./words";

/** A hand-held clicker on a phone: on, back, stop and go on. */
export function Clicker({ mat, steer, problem }: { mat: Mat; steer: Steer; problem?: Problem }) {
  const here = hereIn(mat);
  const isOver = mat.state === "over";
  const running = mat.state === "running";
  return (
    <div className="mx-auto flex h-full max-w-lg flex-col gap-3 p-4">
      <div>
        <p className="text-[20px] font-semibold">{isOver ? "The class is over" : headOf(here)}</p>
        <p className="flex items-baseline justify-between gap-4 text-[20px]">
          <span>
            {mat.state === "ready" ? "not begun" : stepWords(here)}
            {!running && !isOver && mat.state !== "ready" && ", stopped"}
          </span>
          <strong className="text-[34px] leading-none">{clockWords(mat.left)}</strong>
        </p>
      </div>
      {problem && <Refused problem={problem} />}
      <button
        type="button"
        className="mat-key mat-key-main flex-[3] text-[40px]"
        disabled={isOver || (!here.next && mat.state !== "ready")}
        onClick={() => steer("forward")}
      >
        {mat.state === "ready" ? "Begin" : "Next"}
        {here.next && mat.state !== "ready" && (
          <span className="block text-[18px] font-normal">{stepWords(here.next, here)}</span>
        )}
      </button>
      <div className="flex flex-[2] gap-3">
        <button
          type="button"
          className="mat-key flex-1 text-[26px]"
          disabled={isOver || mat.state === "ready"}
          onClick={() => steer("back")}
        >
          Back
        </button>
        <button
          type="button"
          className="mat-key flex-1 text-[26px]"
          disabled={isOver || mat.state === "ready"}
          onClick={() => steer("toggle")}
        >
          {running ? "Stop" : "Go on"}
        </button>
      </div>
    </div>
  );
}
