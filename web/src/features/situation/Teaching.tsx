import { LEVEL_LABEL } from "../../labels";
import type { Schemas } from "../../api/client";
import { LeverLink } from "../lever";
import { StepRow, StepStrip } from "../picture";

function stepsOf(map: Schemas["Map"], technique: Schemas["Technique"]) {
  return technique.checkpoints.map((line, place) => (
    <span key={line}>
      {line} <LeverLink map={map} technique={technique.id} checkpoint={place} />
    </span>
  ));
}

/** The pictures of the way beside each other, each with its checkpoints under it. */
export function Steps({
  map,
  technique,
  from,
  to,
}: {
  map: Schemas["Map"];
  technique: Schemas["Technique"];
  from: string;
  to: string;
}) {
  return <StepRow map={map} from={from} to={to} steps={stepsOf(map, technique)} />;
}

/** How a technique is done: checkpoints, what goes wrong and why, and what has been asked. */
export function Teaching({
  map,
  technique,
  from,
  to,
}: {
  map: Schemas["Map"];
  technique: Schemas["Technique"];
  /** Where it begins and where it mostly lands: then the checkpoints stand under pictures of the way. */
  from?: string;
  to?: string;
}) {
  const steps = stepsOf(map, technique);
  return (
    <>
      {from !== undefined && to !== undefined && steps.length > 0 && (
        <StepStrip map={map} from={from} to={to} steps={steps} />
      )}
      {(from === undefined || to === undefined) && steps.length > 0 && (
        <ol className="list-decimal space-y-0.5 pl-5">
          {steps.map((step) => (
            <li key={step.key}>{step}</li>
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
