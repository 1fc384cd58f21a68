import type { Asked, Said } from "../solver/messages";

/** A stand-in for a worker, which keeps what it is asked until it is told what to say. */
export class Stand {
  static last: Stand | undefined;
  readonly asked: Asked[] = [];
  isEnded = false;
  readonly #listeners = new Map<string, (event: { data?: Said }) => void>();

  constructor() {
    Stand.last = this;
  }
  addEventListener(kind: string, listener: (event: { data?: Said }) => void) {
    this.#listeners.set(kind, listener);
  }
  postMessage(question: Asked) {
    this.asked.push(question);
  }
  terminate() {
    this.isEnded = true;
  }
  say(said: Omit<Said, "number">, to = this.asked.length - 1) {
    this.#listeners.get("message")!({ data: { number: this.asked[to]!.number, ...said } });
  }
  fail() {
    this.#listeners.get("error")!({});
  }
}
