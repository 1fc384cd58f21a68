import { Refused } from "../../ui/Notice";
import type { Keeping } from "./useKeep";

/** What has become of the questions that were kept: sent, waiting for a connection, or not taken. */
export function KeptQuestions({ keep }: { keep: Keeping }) {
  return (
    <div
      className={
        keep.refused || keep.said || keep.back.length > 0 ? "space-y-2 border-t border-rule px-3 py-2" : ""
      }
    >
      {keep.refused && <Refused problem={keep.refused} />}
      <p role="status">{keep.said}</p>
      {keep.back.map((asked) => (
        <div key={asked.id} className="border-l-4 border-rust py-0.5 pl-3">
          <p className="font-semibold">“{asked.words}” was not taken</p>
          <p>{asked.refused}</p>
          <p className="flex gap-5">
            <button type="button" className="word" onClick={() => keep.takeBack(asked)}>
              Put it back into the box
            </button>
            <button type="button" className="word" onClick={() => keep.drop(asked.id)}>
              Throw it away
            </button>
          </p>
        </div>
      ))}
    </div>
  );
}
