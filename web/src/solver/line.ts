import { ApiError } from "../api/client";
import type { Asked, Question, Said } from "./messages";

/** Questions to a worker, which is started by the first one, and its answers. */
export class Line {
  #worker: Worker | undefined;
  #asked = 0;
  readonly #waiting = new Map<
    number,
    { done: (value: Said["value"]) => void; fail: (error: Error) => void }
  >();

  /** `onEnd` hears that the worker has stopped, and with it what it held. */
  constructor(
    private readonly start: () => Worker,
    private readonly onEnd: () => void,
  ) {}

  /** What the worker says to a question; fails where it refuses it, cannot answer, or has stopped. */
  ask(question: Question): Promise<Said["value"]> {
    const number = ++this.#asked;
    return new Promise((done, fail) => {
      this.#waiting.set(number, { done, fail });
      this.#started().postMessage({ number, ...question } satisfies Asked);
    });
  }

  #started(): Worker {
    if (this.#worker) return this.#worker;
    this.#worker = this.start();
    this.#worker.addEventListener("message", ({ data }: MessageEvent<Said>) => this.#hear(data));
    this.#worker.addEventListener("error", () => this.#end());
    return this.#worker;
  }

  #hear({ number, value, problems, failed }: Said): void {
    const asker = this.#waiting.get(number);
    this.#waiting.delete(number);
    if (problems)
      asker?.fail(new ApiError({ status: 400, title: "", detail: problems[0]?.message ?? "", problems }));
    else if (failed !== undefined) asker?.fail(new Error(failed));
    else asker?.done(value);
  }

  #end(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#waiting.forEach(({ fail }) => fail(new Error("The worker has stopped.")));
    this.#waiting.clear();
    this.onEnd();
  }
}
