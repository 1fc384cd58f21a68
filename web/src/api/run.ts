import { api, ApiError, unwrap, type Schemas } from "./client";

const LOOK_EVERY = 400;

export interface Progress {
  done: number;
  /** 0 where nobody knows how many there are in all. */
  of: number;
}

export function isOver(run: Schemas["Run"]): boolean {
  return run.state !== "waiting" && run.state !== "running";
}

/**
 * Has something long computed: starts it, or joins the same one, hears how far it is, and gives what came out. Aborting stops
 * it; what stops or fails is an {@link ApiError} that says so.
 */
export async function runToEnd(
  mapId: string,
  body: Schemas["RunRequest"],
  signal: AbortSignal,
  hear: (progress: Progress) => void,
): Promise<Schemas["Run"]> {
  let run = await unwrap(api.POST("/api/maps/{mapId}/runs", { params: { path: { mapId } }, body, signal }));
  const one = { params: { path: { mapId, run: run.id } } };
  try {
    while (!isOver(run)) {
      hear({ done: run.done, of: run.of });
      await resting(LOOK_EVERY, signal);
      run = await unwrap(api.GET("/api/maps/{mapId}/runs/{run}", { ...one, signal }));
    }
  } catch (error) {
    // Nobody waits any more. If this does not arrive the server finds out by itself.
    if (signal.aborted) void api.DELETE("/api/maps/{mapId}/runs/{run}", one).catch(() => {});
    throw error;
  }
  if (run.state === "done") return run;
  throw new ApiError({
    status: 422,
    title: run.state === "stopped" ? "Stopped" : "Not computed",
    detail: run.failure ?? "This was stopped before it was done.",
  });
}

function resting(milliseconds: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, milliseconds);
    signal.addEventListener("abort", () => {
      clearTimeout(timer);
      reject(signal.reason instanceof Error ? signal.reason : new DOMException("Aborted", "AbortError"));
    });
  });
}
