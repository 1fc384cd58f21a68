import { problemOf, type Schemas } from "../../api/client";
import { LeastWork, useHoldPreview } from "../finish";
import { lowerFirst } from "../map";
import { inWordsOfTheForm } from "./fields";
import { useTyped, type PartInput } from "./parts";

/** What would stop the pin or finish that is being typed, and against which of its needs nothing is taught. */
export function HoldPreview({ map, parts }: { map: Schemas["Map"]; parts: PartInput[] | undefined }) {
  const then = useHoldPreview(map, useTyped(parts));
  if (then.isError) {
    return <p className="text-quiet">It cannot stand so: {inWordsOfTheForm(problemOf(then.error).detail)}</p>;
  }
  const hold = then.data?.[0];
  if (!hold) return null;
  const untaught = hold.needs.filter((need) => Object.keys(need.taught).length === 0);
  return (
    <div className="border-t border-rule pt-2" role="status" aria-label="What would stop it">
      <LeastWork hold={hold} />
      {untaught.length > 0 && (
        <p className="text-quiet">
          Nothing is taught there against: {untaught.map((need) => lowerFirst(need.title)).join("; ")}.
        </p>
      )}
    </div>
  );
}
