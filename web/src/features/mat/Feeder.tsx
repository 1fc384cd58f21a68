import type { Schemas } from "../../api/client";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { pictureAt } from "../picture";
import { calledIn, clockWords, hereIn, notchAt, type Mat } from "./clock";
import { headOf, otherOf, SIDE_OF_HALL, threeWords } from "./words";

const PICTURE = 360;

/** What whoever is on top needs to know now: what to show, what it is answered with, and when to let go. */
export function Feeder({ mat, pictures }: { mat: Mat; pictures: Schemas["Pictures"] }) {
  const here = hereIn(mat);
  const { part, step } = here;
  const call = calledIn(step, mat.ran);
  const picture = pictureAt(pictures, part.place ?? undefined);
  const notch = notchAt(step, mat.ran);
  return (
    <div
      className="mx-auto h-full max-w-lg space-y-4 overflow-y-auto p-4"
      role="region"
      aria-label="What whoever is on top does"
      tabIndex={0}
    >
      <div className="flex items-baseline justify-between gap-4">
        <p className="text-[20px] font-semibold">
          {mat.state === "over" ? "The class is over" : headOf(here)}
        </p>
        <strong className="text-[34px] leading-none">{clockWords(mat.left)}</strong>
      </div>
      {mat.state === "stopped" && <p className="text-[26px] font-bold">Stopped</p>}
      {step.bottom && (
        <p className="text-[20px]">
          You are on top if you stand on the <strong>{SIDE_OF_HALL[otherOf(step.bottom)]}</strong>
          {step.side && `, on the ${step.side} side`}.
        </p>
      )}
      {step.threes.map((three) => (
        <p key={three.bottom} className="text-[20px]">
          In the three: {threeWords(three)}.
        </p>
      ))}
      {notch !== undefined && (
        <p className="text-[34px] leading-none font-bold" aria-live="polite">
          Notch {notch} of {step.notches}
        </p>
      )}
      {part.answers.length === 0 ? (
        <p className="text-[26px] font-bold">{step.movement ?? part.title}</p>
      ) : (
        <ol className="space-y-2" aria-label="What to show">
          {part.answers.map((answer, i) => {
            const isNow = call?.answer === i;
            return (
              <li
                key={`${answer.from} ${answer.call} ${answer.answer}`}
                aria-current={isNow ? "step" : undefined}
                className={isNow ? "border-l-8 border-ink bg-lane p-2" : "border-l-8 border-rule p-2"}
              >
                <p className={isNow ? "text-[26px] leading-tight font-bold" : "text-[18px] font-semibold"}>
                  {answer.call || answer.from}
                </p>
                <p className="text-[16px]">
                  {answer.answer}
                  {answer.lands && <span className="text-quiet">, to {answer.lands.toLowerCase()}</span>}
                </p>
              </li>
            );
          })}
        </ol>
      )}
      {part.feeder && <p className="text-[16px]">{part.feeder}</p>}
      {part.stop && (
        <p className="text-[16px]">
          <strong>Stop:</strong> {part.stop}
        </p>
      )}
      {part.cautions.map((words) => (
        <p key={words} className="border-l-4 border-signal pl-2 text-[16px] font-semibold">
          {words}
        </p>
      ))}
      {picture && (
        <TwoBodies
          picture={picture}
          held={part.held}
          says={picture.says}
          width={PICTURE}
          className="w-full"
        />
      )}
    </div>
  );
}
