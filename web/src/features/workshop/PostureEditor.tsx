import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { SeenFrom, type Seen } from "../../ui/body/SeenFrom";
import { TwoBodies } from "../../ui/body/TwoBodies";
import { inWordsOfTheForm } from "./fields";
import type { Part, PartInput } from "./parts";
import {
  drawnOf,
  faultsInWords,
  frameIn,
  grown,
  jointInWords,
  useNudge,
  usePosture,
  withShape,
  type Asked,
  type Drawn,
  type Move,
  type Room,
} from "./postures";

/** How far a key moves a joint, in thousandths of a stature: 2 cm, and 7 with Shift. */
const STEP = 12;
const LONG_STEP = 40;
const KEYS: Record<string, [right: number, up: number, towards: number]> = {
  ArrowLeft: [-1, 0, 0],
  ArrowRight: [1, 0, 0],
  ArrowUp: [0, 1, 0],
  ArrowDown: [0, -1, 0],
  PageUp: [0, 0, 1],
  PageDown: [0, 0, -1],
};

/**
 * The picture of the posture that is typed. Hands, knees, feet and heads are taken hold of and dragged, or moved with the
 * arrows; the bodies follow as bodies do.
 */
export function PostureEditor({
  map,
  posture,
  value,
  parts,
  onValue,
  onBusy,
}: {
  map: Schemas["Map"];
  /** Its id among the parts. */
  posture: string;
  value: Part;
  parts: PartInput[] | undefined;
  onValue: (value: Part) => void;
  /** Told while what was let go has not come back yet. */
  onBusy: (busy: boolean) => void;
}) {
  const [view, setView] = useState<Seen>("standing");
  const [before, setBefore] = useState<Part[]>([]);
  const [news, setNews] = useState<string[]>([]);
  const asked: Asked | undefined = parts && { parts: drawnOf(parts, posture), posture, view };
  const drawn = usePosture(map, asked);
  const lies = drawn.isPlaceholderData ? undefined : (drawn.data?.lies?.part as Part | undefined);
  const nudge = useNudge(map, asked, lies, (part, seen) => {
    setBefore((all) => [...all, value]);
    setNews(newsOf(seen));
    onValue(withShape(value, part));
  });
  const { busy } = nudge;
  useEffect(() => onBusy(busy), [busy, onBusy]);
  if (drawn.isError)
    return (
      <p className="text-quiet">It cannot be drawn so: {inWordsOfTheForm(problemOf(drawn.error).detail)}</p>
    );
  if (!drawn.data)
    return asked ? (
      <p className="text-quiet">Drawing it …</p>
    ) : (
      <p className="text-quiet">
        Its picture stands here once it has a name and another posture that it is like.
      </p>
    );
  const moved = nudge.drawn;
  const shown =
    moved && (moved.of === JSON.stringify(asked) || drawn.isPlaceholderData) ? moved.seen : drawn.data;
  return (
    <section aria-label="The posture" className="border-b border-rule pb-3">
      <SeenFrom
        seen={view}
        onChange={(next) => {
          nudge.giveUp();
          setView(next);
        }}
      />
      <Held
        key={view}
        drawn={shown}
        says={typeof value.says === "string" && value.says ? value.says : "Two bodies, as they would be."}
        onMove={nudge.move}
        onGiveUp={nudge.giveUp}
      />
      <p className="text-quiet" id="posture-keys">
        Drag a hand, a knee, a foot or a head; or choose one with Tab and move it with the arrows, Shift for
        more, Page Up towards you.
      </p>
      {/* As high empty as with what is usually said: what stands under it is not to move away from a press. */}
      <div className="min-h-[7.5rem]">
        <div role="status" className="mt-1">
          {[...faultsInWords(shown.faults), ...news].map((line) => (
            <p key={line} className="first-letter:uppercase">
              {line}.
            </p>
          ))}
          {nudge.problem && <p className="text-rust">{nudge.problem.detail}</p>}
        </div>
        {before.length > 0 && (
          <button
            type="button"
            className="word"
            onClick={() => {
              nudge.giveUp();
              onValue(withShape(value, before.at(-1)!));
              setBefore(before.slice(0, -1));
              setNews([]);
            }}
          >
            Take the last move back
          </button>
        )}
      </div>
    </section>
  );
}

function newsOf(seen: Drawn): string[] {
  const said = seen.let.map(letInWords);
  if (seen.whole) said.push("it is told by itself from now on, and follows the other posture no more");
  return [...new Set(said)];
}

function letInWords(contact: string): string {
  const [one, other] = contact.split(" ");
  if (!other) return `${jointInWords(one!)} lets go`;
  return other === "mat"
    ? `${jointInWords(one!)} leaves the mat`
    : `${jointInWords(one!)} and ${jointInWords(other)} rest on each other no more`;
}

/** The picture with its handles. */
function Held({
  drawn,
  says,
  onMove,
  onGiveUp,
}: {
  /** As it is seen now. */
  drawn: Drawn;
  says: string;
  onMove: (move: Move, done: boolean) => void;
  onGiveUp: () => void;
}) {
  const [room, setRoom] = useState<Room>();
  const wanted = grown(room, drawn);
  if (wanted !== room) setRoom(wanted);
  const frame = frameIn(wanted, drawn);
  /** What is held and how far it is moved; the picture is drawn anew when the bodies come, not at every step. */
  const hand = useRef<{ move: Move; at?: { x: number; y: number; unit: number } }>(undefined);
  const [near, setNear] = useState<string>();
  const across = (x: number) => `${((x - frame.x) / frame.width) * 100}%`;
  const down = (y: number) => `${((y - frame.y) / frame.height) * 100}%`;
  const leave = (done: boolean) => {
    const held = hand.current;
    if (!held) return;
    hand.current = undefined;
    if (done && isFar(held.move)) onMove(held.move, true);
    else onGiveUp();
  };
  const grasp = (joint: string, event: PointerEvent<HTMLButtonElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const wide = event.currentTarget.parentElement!.getBoundingClientRect().width;
    hand.current = {
      move: { joint, right: 0, up: 0, towards: 0 },
      at: { x: event.clientX, y: event.clientY, unit: frame.width / wide },
    };
  };
  const drag = (event: PointerEvent) => {
    const held = hand.current;
    if (!held?.at) return;
    const { x, y, unit } = held.at;
    held.move = { ...held.move, right: (event.clientX - x) * unit, up: (y - event.clientY) * unit };
    onMove(held.move, false);
  };
  const press = (joint: string, event: KeyboardEvent) => {
    if (event.key === "Escape" && hand.current) {
      // It gives up the move, not the form.
      event.stopPropagation();
      event.preventDefault();
      leave(false);
      return;
    }
    const way = KEYS[event.key];
    if (!way) return;
    event.preventDefault();
    const step = event.shiftKey ? LONG_STEP : STEP;
    const held = hand.current;
    const from =
      held && !held.at && held.move.joint === joint ? held.move : { joint, right: 0, up: 0, towards: 0 };
    const move = {
      joint,
      right: from.right + way[0] * step,
      up: from.up + way[1] * step,
      towards: from.towards + way[2] * step,
    };
    hand.current = { move };
    onMove(move, false);
  };
  return (
    <div
      className="relative mx-auto my-1 max-w-[640px] select-none"
      style={{
        aspectRatio: `${frame.width} / ${frame.height}`,
        // All of it is seen at once, however tall it is.
        width: `min(100%, ${(56 * frame.width) / frame.height}dvh)`,
      }}
    >
      <TwoBodies
        picture={{ ...drawn.drawing, near: "left", says, title: "", drawing: "", swapped: false }}
        says={says}
        width={360}
        frame={frame}
        className="absolute inset-0 size-full"
      />
      {drawn.handles.map(({ joint, x, y }) => (
        <button
          key={joint}
          type="button"
          aria-label={jointInWords(joint)}
          aria-describedby="posture-keys"
          title={jointInWords(joint)}
          className="group absolute flex size-9 -translate-1/2 cursor-grab touch-none items-center justify-center active:cursor-grabbing max-lg:size-11"
          style={{ left: across(x), top: down(y), zIndex: near === joint ? 2 : 1 }}
          onFocus={() => setNear(joint)}
          onPointerDown={(event) => grasp(joint, event)}
          onPointerMove={drag}
          onPointerUp={() => leave(true)}
          onPointerCancel={() => leave(false)}
          onKeyDown={(event) => press(joint, event)}
          onKeyUp={(event) => {
            if (KEYS[event.key]) leave(true);
          }}
          onBlur={() => leave(true)}
        >
          <span
            className="size-3 border-2 border-ink outline-1 outline-(--lane) group-hover:bg-signal! group-focus:bg-signal!"
            style={{ background: joint.startsWith("you") ? "var(--lane)" : "var(--body-they)" }}
          />
        </button>
      ))}
    </div>
  );
}

/** Less than two millimetres is a press, not a move. */
function isFar(move: Move): boolean {
  return Math.hypot(move.right, move.up, move.towards) > 1;
}
