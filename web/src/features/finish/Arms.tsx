import type { Schemas } from "../../api/client";
import { Gate } from "../../ui/Gate";
import { hundred } from "../../labels";
import { lowerFirst } from "../map";
import { useAddress } from "../../ui/address";
import type { Ladder } from "./holds";
import { leavesInWords, open, openLabel } from "./words";

type Compared = Schemas["ArmsCompared"];
type Left = Schemas["LeftToThem"];

/** What two arrangements of your arms each leave them to attack. */
export function Arms({ ladder }: { ladder: Ladder }) {
  const [params, write] = useAddress();
  const [first, second] = chosen(ladder.arms, params);
  if (!first) {
    return (
      <section aria-label="Your arms here">
        <h2 className="border-b-2 border-ink pb-1 font-bold">Your arms here</h2>
        <p className="mt-2 text-quiet">
          Nobody has written yet what two ways of keeping your arms leave them. Edit what they need, then
          “Your arms”.
        </p>
      </section>
    );
  }
  return (
    <section aria-label="Your arms here">
      <h2 className="border-b-2 border-ink pb-1 font-bold">Your arms here{second ? ", side by side" : ""}</h2>
      <div className={`grid gap-x-8 ${second ? "sm:grid-cols-2" : ""}`}>
        <Column ladder={ladder} compared={first} label="One way" pick={(id) => write({ arms: id })} />
        {second && (
          <Column
            ladder={ladder}
            compared={second}
            label="Another way"
            pick={(id) => write({ against: id })}
          />
        )}
      </div>
      <p className="mt-2 text-quiet">As long as the arms stay there. Ticks: arms that do nothing.</p>
    </section>
  );
}

/** The two that the address names, the first two where it names none. */
function chosen(arms: Compared[], params: URLSearchParams): [Compared | undefined, Compared | undefined] {
  const first = arms.find((one) => one.id === params.get("arms")) ?? arms[0];
  const second =
    arms.find((one) => one.id === params.get("against")) ?? arms.find((one) => one !== first) ?? undefined;
  return [first, second];
}

function Column({
  ladder,
  compared,
  label,
  pick,
}: {
  ladder: Ladder;
  compared: Compared;
  label: string;
  pick: (id: string) => void;
}) {
  return (
    <div className="min-w-0 pt-2">
      <select
        className="box"
        aria-label={label}
        value={compared.id}
        onChange={(event) => pick(event.target.value)}
      >
        {ladder.arms.map((one) => (
          <option key={one.id} value={one.id}>
            {one.title}
          </option>
        ))}
      </select>
      <ul className="mt-1">
        {compared.left.map((left) => (
          <LeftLine key={left.hold} left={left} />
        ))}
      </ul>
    </div>
  );
}

function LeftLine({ left }: { left: Left }) {
  const stays = open(left.closes);
  const was = open(left.before);
  return (
    <li className="border-b border-rule py-1.5">
      <p className="flex items-baseline justify-between gap-3">
        <span className="font-semibold">{left.title}</span>
        {stays !== undefined && (
          <span className="whitespace-nowrap">
            <span className="font-semibold">{hundred(stays)}</span>{" "}
            <span className="text-quiet">{openLabel(left.kind)}</span>
          </span>
        )}
      </p>
      {stays !== undefined && was !== undefined && (
        <span className="my-1 flex">
          <Gate worth={stays} beside={was} height={12} className="grow" />
        </span>
      )}
      <p className="text-quiet">
        {left.cannot ? "cannot close; " : ""}
        {leavesInWords(left.free, left.needs)}
        {left.denied.length > 0 && ` · denies ${said(left.denied)}`}
        {left.given.length > 0 && <span className="text-rust"> · gives them {said(left.given)}</span>}
      </p>
    </li>
  );
}

function said(needs: string[]): string {
  return needs.map((need) => `“${lowerFirst(need)}”`).join(", ");
}
