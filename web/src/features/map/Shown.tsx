import type { Schemas } from "../../api/client";
import { hundred, lateness, SEGMENT_LABEL, SEGMENTS, seconds } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { Gate, narrowness } from "../../ui/Gate";
import type { Overview } from "../odds";
import { PlacePicture } from "../picture";
import { lowerFirst } from "./holes";
import { reactionTitle } from "./titles";

/** What stands behind a gate: its picture, what is held, the best answer, and what it is marked for. */
export function Shown({
  id,
  map,
  odds,
  hole,
  narrow,
  hub,
  rises,
  aside,
}: {
  id: string;
  map: Schemas["Map"];
  odds: Overview;
  hole?: string;
  narrow: boolean;
  hub?: number;
  /** The earlier place that is worth less than this one. */
  rises?: string;
  aside: boolean;
}) {
  const situation = indexOf(map).situation(id);
  const here = odds.situations[id];
  if (!situation || !here) return null;
  const best = here.best ? reactionTitle(map, here.best) : undefined;
  const [mistake] = indexOf(map).mistakesFrom(id);
  const held = SEGMENTS.filter((segment) => segment in situation.held);
  const free = SEGMENTS.filter((segment) => !(segment in situation.held));
  const words = (segments: typeof held) => segments.map((s) => SEGMENT_LABEL[s]).join(", ");
  return (
    <section aria-label="Shown" className="min-h-[330px] border-2 border-ink p-2.5">
      <div className="flex items-center gap-2.5">
        <span className="text-[40px] leading-none font-bold" style={{ fontStretch: "76%" }}>
          {hundred(here.worth)}
        </span>
        <div className="min-w-0 leading-tight">
          <p className="text-quiet">
            {indexOf(map).family(situation.family)?.title}, {lateness(situation).toLowerCase()}
          </p>
          <p className="text-[15px] font-semibold" style={narrowness(here.worth)}>
            {situation.title}
          </p>
        </div>
      </div>
      <Gate worth={here.worth} late={situation.stage === "last-chance"} height={12} className="mt-1.5" />
      <div className="h-[132px] py-1">
        <PlacePicture map={map} place={id} width={236} className="h-full w-full" silent />
      </div>
      {held.length > 0 && <Limbs held words={words(held)} />}
      {free.length > 0 && (
        <Limbs
          held={false}
          words={`${words(free)}${situation.clock ? ` · ${seconds(situation.clock.seconds)}` : ""}`}
        />
      )}
      {here.stop ? (
        <p>Stay here: going on is worth less.</p>
      ) : (
        best && (
          <p>
            <span className="font-bold">1</span> {best}
          </p>
        )
      )}
      {mistake && (
        <p className="mt-1 truncate border-l-4 border-rust pl-2">
          <span className="font-semibold text-rust">Do not</span> {lowerFirst(reactionTitle(map, mistake.id))}
        </p>
      )}
      {narrow && <p className="mt-1 border-l-4 border-signal pl-2">Much hangs on what is taught here</p>}
      {hub !== undefined && <p className="mt-1 text-quiet">Answers from {hub} places lead here.</p>}
      {rises && <p className="mt-1">Rises here, check: “{rises}” is worth less.</p>}
      {hole && <p className="mt-1 text-rust">{hole}</p>}
      {aside && <p className="mt-1 text-quiet">Nothing taught here is within the filter.</p>}
    </section>
  );
}

/** As in the picture: green is held. */
function Limbs({ held, words }: { held: boolean; words: string }) {
  return (
    <p className="flex gap-2 text-quiet">
      <span
        aria-hidden="true"
        className={`mt-[5px] size-[9px] shrink-0 border border-ink ${held ? "bg-green" : "bg-lane"}`}
      />
      <span className="min-w-0">
        <span className="sr-only">{held ? "held: " : "free: "}</span>
        {words}
      </span>
    </p>
  );
}
