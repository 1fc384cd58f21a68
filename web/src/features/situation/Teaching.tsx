import { LEVEL_LABEL } from "../../labels";
import type { Schemas } from "../../api/client";
import { LeverLink } from "../lever";

/** How a technique is done: checkpoints, what goes wrong and why, and what has been asked. */
export function Teaching({ map, technique }: { map: Schemas["Map"]; technique: Schemas["Technique"] }) {
  return (
    <>
      {technique.checkpoints.length > 0 && (
        <ol className="list-decimal space-y-0.5 pl-5">
          {technique.checkpoints.map((line, place) => (
            <li key={line}>
              {line} <LeverLink map={map} technique={technique.id} checkpoint={place} />
            </li>
          ))}
        </ol>
      )}
      {technique.faults.map((fault) => (
        <p key={fault.sign} className="mt-1.5">
          <span className="font-semibold">{fault.sign}?</span> {fault.cause}.{" "}
          <span className="text-quiet">{fault.fix}.</span>
        </p>
      ))}
      {technique.questions.map((question) => (
        <p key={question.ask} className="mt-1.5">
          <span className="font-semibold">{question.ask}</span> {question.answer}
        </p>
      ))}
    </>
  );
}

/** Who it is for: level, children, injuries that forbid it. */
export function forWhom(technique: Schemas["Technique"]): string {
  const injuries = technique.avoidWith.map((i) => i.replace("-", " "));
  return [
    LEVEL_LABEL[technique.level] ?? technique.level,
    technique.children ? "" : "not for children",
    injuries.length > 0 ? `not with a bad ${injuries.join(" or ")}` : "",
  ]
    .filter(Boolean)
    .join(" · ");
}
