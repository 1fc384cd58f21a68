import { problemOf, type Schemas } from "../../api/client";
import { hundred, tenths } from "../../labels";
import { Gate } from "../../ui/Gate";
import { changedMost } from "../map";
import { useOverview } from "../odds";
import { inWordsOfTheForm } from "./fields";
import { usePreview, type PartInput } from "./parts";
import { indexOf } from "../../model/mapIndex";

/** The odds as they would be with what is being typed, beside what they are. */
export function Preview({
  map,
  parts,
  watch,
}: {
  map: Schemas["Map"];
  parts: PartInput[] | undefined;
  watch?: string;
}) {
  const now = useOverview(map);
  const then = usePreview(map, parts);
  if (!now.data) return null;
  if (then.isError) {
    return (
      <p className="text-quiet">
        As it stands it cannot be solved: {inWordsOfTheForm(problemOf(then.error).detail)}
      </p>
    );
  }
  if (!then.data?.converged) return null;
  const place = watch ? indexOf(map).situation(watch) : undefined;
  const changed = changedMost(now.data.situations, then.data.situations, 4).filter((c) => c.id !== watch);
  const title = (id: string) => indexOf(map).situation(id)?.title ?? id;
  return (
    <div className="border-t border-rule pt-2" role="status" aria-label="The odds as they would be">
      <div className="grid gap-x-5 gap-y-1 @lg:grid-cols-2">
        {place && now.data.situations[place.id] && then.data.situations[place.id] && (
          <Difference
            title="Here"
            now={now.data.situations[place.id]!.worth}
            then={then.data.situations[place.id]!.worth}
          />
        )}
        <Difference title="All starts" now={now.data.start} then={then.data.start} />
      </div>
      {changed.length > 0 && (
        <p className="mt-1 text-quiet">
          Changes most: {changed.map((c) => `${title(c.id)} ${c.after}, was ${c.before}`).join("; ")}.
        </p>
      )}
    </div>
  );
}

function Difference({ title, now, then }: { title: string; now: number; then: number }) {
  const same = Math.abs(then - now) < 5e-4;
  return (
    <p>
      <span className="flex items-baseline gap-2">
        <span className="text-quiet">{title}</span>
        <span className="ml-auto font-semibold">{hundred(then)}</span>
        <span className="text-quiet">
          {same ? "as it is" : hundred(now) === hundred(then) ? signed(then - now) : `was ${hundred(now)}`}
        </span>
      </span>
      <Gate worth={then} />
    </p>
  );
}

function signed(change: number): string {
  return `${change > 0 ? "+" : "−"}${tenths(change)}`;
}
