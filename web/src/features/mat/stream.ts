import { csrf } from "../../api/client";

/** An event of a stream. */
export interface Heard {
  event: string;
  data: string;
}

/** The events in a piece of a stream, and what is left of it that is not whole yet. */
export function eventsIn(text: string): { events: Heard[]; rest: string } {
  const blocks = text.split("\n\n");
  const rest = blocks.pop()!;
  const events = blocks.map((block) => {
    const heard: Heard = { event: "message", data: "" };
    for (const line of block.split("\n")) {
      if (line.startsWith("event:")) heard.event = line.slice(6).trim();
      if (line.startsWith("data:")) heard.data += line.slice(5);
    }
    return heard;
  });
  return { events, rest };
}

const SOONEST = 1_000;
const LATEST = 15_000;
/** The server says something every 15 s; silent for this long, the line is taken for cut. */
const SILENCE = 40_000;

/**
 * Follows server-sent events over a POST, so that what opens them stands in no address, until {@code signal} ends it. A line
 * that is cut is taken up again, later each time and not by all at once.
 *
 * @param heard is told every event
 * @param connected is told whether the line stands
 * @returns when the server refuses for good
 */
export async function follow(
  path: string,
  body: unknown,
  heard: (event: Heard) => void,
  connected: (is: boolean) => void,
  signal: AbortSignal,
): Promise<void> {
  let wait = SOONEST;
  while (!signal.aborted) {
    try {
      const line = new AbortController();
      const cut = () => line.abort();
      signal.addEventListener("abort", cut);
      const answer = await fetch(path, {
        method: "POST",
        headers: { "Content-Type": "application/json", Accept: "text/event-stream", ...csrf() },
        body: JSON.stringify(body),
        signal: line.signal,
      });
      if (answer.status >= 400 && answer.status < 500 && answer.status !== 429) return;
      if (answer.ok && answer.body) {
        wait = SOONEST;
        connected(true);
        await read(answer.body, heard, cut);
      }
      signal.removeEventListener("abort", cut);
    } catch {
      // The line was cut, or never stood: it is taken up again.
    }
    if (signal.aborted) return;
    connected(false);
    await pause(wait * (0.5 + Math.random()), signal);
    wait = Math.min(LATEST, wait * 2);
  }
}

async function read(stream: ReadableStream<Uint8Array>, heard: (event: Heard) => void, cut: () => void) {
  const reader = stream
    .pipeThrough(new TextDecoderStream() as TransformStream<Uint8Array, string>)
    .getReader();
  let text = "";
  for (;;) {
    const silent = setTimeout(cut, SILENCE);
    const { done, value } = await reader.read().finally(() => clearTimeout(silent));
    if (done) return;
    const { events, rest } = eventsIn(text + value);
    text = rest;
    events.forEach(heard);
  }
}

function pause(milliseconds: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const done = () => {
      clearTimeout(timer);
      signal.removeEventListener("abort", done);
      window.removeEventListener("online", done);
      resolve();
    };
    const timer = setTimeout(done, milliseconds);
    signal.addEventListener("abort", done);
    window.addEventListener("online", done);
  });
}
