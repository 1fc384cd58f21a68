/** What takes a newer version of the client into use; nothing while there is none. */
let take: (() => void) | undefined;
const listeners = new Set<() => void>();

export const newer = (): boolean => take !== undefined;

export function onNewer(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Begins the page anew with the newer version; what is typed on it is kept, and there again. */
export function takeNewer(): void {
  take?.();
}

/** There is a newer version, and this is how it is taken into use. */
export function offer(how: () => void): void {
  take = how;
  listeners.forEach((listener) => listener());
}
