import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { useExplanation } from "../odds";
import { losses } from "./explanation";

/** Where a reaction's figure comes from: what is kept and what is lost to what, of 100. */
export function Why({ map, reaction, worth }: { map: Schemas["Map"]; reaction: string; worth: number }) {
  const explanation = useExplanation(map, reaction);
  if (!explanation.data) return <p className="text-quiet">Working it out …</p>;
  const lost = losses(map, explanation.data);
  return (
    <ul>
      <li>{hundred(worth)} of 100 get there.</li>
      {lost.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
