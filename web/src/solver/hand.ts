import type { Packed } from "#solver";
import { ApiError, type Schemas } from "../api/client";
import { Line } from "./line";
import { handledOf } from "./unpack";

/** A stature in the picture. */
const STATURE = 1000;

/** What the worker is: away, getting quick, or quick. */
let state: "away" | "warming" | "quick" = "away";

const line = new Line(
  () => new Worker(new URL("./handWorker.ts", import.meta.url), { type: "module" }),
  () => (state = "away"),
);

/** Gets the worker that moves bodies ready for a hand that may come; `posture` is any that is told whole. */
export function expectHand(posture: object): void {
  if (typeof Worker === "undefined" || state !== "away") return;
  state = "warming";
  line.ask({ call: "warm", with: [posture] }).then(
    () => (state = "quick"),
    () => (state = "away"),
  );
}

/**
 * A posture, told whole, with a joint of it taken elsewhere, as it is seen for a moment; nothing where the server must be asked.
 *
 * @throws where the move is refused
 */
export async function underTheHand(
  posture: object,
  { joint, right, up, towards }: Omit<Schemas["PostureMove"], "done">,
): Promise<Schemas["PostureDrawn"] | undefined> {
  if (state !== "quick") return undefined;
  const move = [right, up, towards].map((way) => way / STATURE);
  try {
    return handledOf((await line.ask({ call: "moved", with: [posture, joint, ...move] })) as Packed);
  } catch (error) {
    if (error instanceof ApiError) throw error;
    return undefined;
  }
}
