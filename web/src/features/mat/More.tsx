import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { Panel } from "../../ui/Panel";
import { lineTitle, useLeftOut } from "../lesson";
import { lowerFirst, useMap } from "../map";
import { usePeople } from "../pair";
import { hereIn, type Mat } from "./clock";
import type { Steer } from "./useMat";
import { minutesOf, partLabel } from "./words";

/** What is done now and then while a class runs: late comers, what is put in or left out, screens, leaving. */
export function More({
  open,
  onClose,
  mapId,
  lesson,
  mat,
  steer,
  switches,
  onScreens,
  onLeave,
  onTakeOff,
}: {
  open: boolean;
  onClose: () => void;
  mapId: string;
  lesson: string;
  mat: Mat;
  steer: Steer;
  switches: { label: string; press: () => void }[];
  onScreens: () => void;
  onLeave: () => void;
  onTakeOff: () => Promise<void>;
}) {
  const going = mat.state === "running" || mat.state === "stopped";
  const { part, next } = hereIn(mat);
  const done = (deed: () => void) => () => {
    deed();
    onClose();
  };
  const key = "min-h-12 border border-edge px-4 text-[17px] font-semibold hover:border-ink";
  return (
    <Panel
      title="The class"
      open={open}
      onOpenChange={(is) => !is && onClose()}
      className="top-[4vh] max-h-[92vh] max-w-3xl space-y-5 overflow-y-auto p-5 text-[17px]"
    >
      {going && (
        <p className="flex flex-wrap gap-2">
          <button type="button" className={key} onClick={done(() => steer("skip"))} disabled={!next}>
            Skip the rest of “{partLabel(part).toLowerCase()}”
          </button>
          <button type="button" className={key} onClick={done(() => steer("longer", { seconds: 120 }))}>
            2 minutes longer
          </button>
          <button type="button" className={key} onClick={done(() => steer("longer", { seconds: -60 }))}>
            A minute shorter
          </button>
          <button type="button" className={key} onClick={done(() => steer("break", { minutes: 2 }))}>
            Water after this
          </button>
          <button type="button" className={key} onClick={done(() => steer("finish"))}>
            End the class
          </button>
        </p>
      )}
      {open && mat.state !== "over" && <Coming mapId={mapId} lesson={lesson} mat={mat} steer={steer} />}
      {open && going && <PutIn mapId={mapId} lesson={lesson} steer={steer} onDone={onClose} />}
      {going && <StillToCome mat={mat} steer={steer} />}
      <p className="flex flex-wrap gap-2 border-t border-rule pt-4">
        <button type="button" className={key} onClick={onScreens}>
          Screens and clickers
        </button>
        {switches.map(({ label, press }) => (
          <button key={label} type="button" className={key} onClick={press}>
            {label}
          </button>
        ))}
        <button type="button" className={key} onClick={onLeave}>
          Back to the plan
        </button>
        {(mat.state === "ready" || mat.state === "over") && (
          <button type="button" className={key} onClick={() => void onTakeOff()}>
            Take it off the mat
          </button>
        )}
      </p>
      <p className="text-quiet">
        Keys, and a clicker: Page Down on, Page Up back, B stops and goes on, + and − half a minute, H look
        here, Escape leaves. The class goes on meanwhile.
      </p>
    </Panel>
  );
}

/** Who has come late, and who goes: one press each. */
function Coming({ mapId, lesson, mat, steer }: { mapId: string; lesson: string; mat: Mat; steer: Steer }) {
  const people = usePeople();
  // Looked up anew whenever somebody has come or gone.
  const who = useQuery({
    queryKey: ["mat-people", mapId, lesson, mat.here, mat.version],
    placeholderData: (earlier: Schemas["MatSheet"] | undefined) => earlier,
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/classes/{lesson}/mat", { params: { path: { mapId, lesson } } })),
  });
  const [letters, setLetters] = useState("");
  const [goes, setGoes] = useState(false);
  if (!people.data || !who.data) return null;
  const here = new Set(who.data.here);
  const wanted = letters.trim().toLowerCase();
  const shown = people.data.filter(
    (one) => here.has(one.id) === goes && (wanted === "" || one.name.toLowerCase().includes(wanted)),
  );
  return (
    <section aria-label={goes ? "Who goes" : "Who has come"}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="text-[19px]">{goes ? "Who goes home?" : "Who has come late?"}</h2>
        <button type="button" className="word min-h-11" onClick={() => setGoes(!goes)}>
          {goes ? "Somebody has come late" : "Somebody goes home"}
        </button>
        {people.data.length > 12 && (
          <input
            className="box h-11 w-40"
            aria-label="Letters of the name"
            placeholder="letters of the name"
            value={letters}
            onChange={(e) => setLetters(e.target.value)}
          />
        )}
      </div>
      <p className="mt-1 flex max-h-40 flex-wrap gap-2 overflow-y-auto">
        {shown.length === 0 && <span className="text-quiet">Nobody else is on the roster.</span>}
        {shown.map((one) => (
          <button
            key={one.id}
            type="button"
            className="min-h-12 border border-edge px-3 hover:border-ink"
            onClick={() => steer(goes ? "leave" : "come", { person: one.id })}
          >
            {one.name}
          </button>
        ))}
      </p>
    </section>
  );
}

/** What was left out of the plan and may be put in after all. */
function PutIn({
  mapId,
  lesson,
  steer,
  onDone,
}: {
  mapId: string;
  lesson: string;
  steer: Steer;
  onDone: () => void;
}) {
  const map = useMap();
  const out = useLeftOut(mapId, lesson);
  if (!map.data || !out.data || out.data.length === 0) return null;
  return (
    <section aria-label="Put in after this">
      <h2 className="text-[19px]">Put in after this</h2>
      <ul className="mt-1 flex flex-wrap gap-2">
        {out.data.slice(0, 6).map((one) => (
          <li key={one.unit.key}>
            <button
              type="button"
              className="min-h-12 border border-edge px-3 text-left hover:border-ink"
              onClick={() => {
                steer("insert", { unit: one.unit.key, minutes: one.minutes });
                onDone();
              }}
            >
              {lineTitle(map.data, one.unit)}, {one.minutes} min
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The parts that have not begun, each of which can be left out. */
function StillToCome({ mat, steer }: { mat: Mat; steer: Steer }) {
  const at = mat.parts.indexOf(hereIn(mat).part);
  const coming = mat.parts.slice(at + 1);
  if (coming.length === 0) return null;
  return (
    <section aria-label="Still to come">
      <h2 className="text-[19px]">Still to come</h2>
      <ul className="mt-1">
        {coming.map((part) => (
          <li key={part.steps[0]!.number} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="w-12 text-right font-semibold">{minutesOf(part)} min</span>
            <span className="min-w-0 flex-1">
              {partLabel(part)}
              {part.section !== "warm-up" && part.title !== partLabel(part) && `: ${lowerFirst(part.title)}`}
            </span>
            <button
              type="button"
              className="word min-h-11"
              aria-label={`Leave out ${part.title}`}
              onClick={() => steer("drop", { step: part.steps[0]!.number })}
            >
              Leave out
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
