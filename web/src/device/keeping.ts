/** The store of answers on this device. */
export const KEPT_ON_DEVICE = "narrowgate-answers";

/** With an answer from the store: when it was kept, as an instant. */
export const KEPT_AT = "kept-at";

/** The server says of each answer whether it may stay on a device: what it says nothing of may not. */
export function mayBeKept(response: Response): boolean {
  const control = response.headers.get("cache-control") ?? "no-store";
  return response.status === 200 && !control.includes("no-store");
}

/** What an address is asked with that says only what day it is, or that its answer is to be kept, by what its path ends with. */
const BESIDE: [RegExp, string[]][] = [
  [/\/classes$/, ["from", "until"]],
  [/\/classes\/[^/]+$/, ["today", "kept"]],
  [/\/api\/people$/, ["kept"]],
];

/** Under which address an answer is kept: of what is asked for anew every day, the last one. */
export function addressAsKept(address: string): string {
  const url = new URL(address);
  for (const [path, names] of BESIDE) {
    if (path.test(url.pathname)) names.forEach((name) => url.searchParams.delete(name));
  }
  return url.href;
}

/** Throws away every answer on this device. */
export async function wipeAnswers(): Promise<void> {
  // Where nothing may be stored there is no store either.
  if (typeof caches === "undefined") return;
  await caches.delete(KEPT_ON_DEVICE).catch(() => false);
}
