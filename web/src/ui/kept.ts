const PREFIX = "narrowgate:";
/** Who signed in last in any tab of this browser. */
const WHO = "narrowgate-who";

let owner: string | undefined;
const listeners = new Set<() => void>();

/** What one person typed on this device and is not stored yet; nobody else who signs in here is shown it. */
export function keyOfKept(key: string): string | undefined {
  return owner === undefined ? undefined : `${PREFIX}${owner}:${key}`;
}

/** Whose things are kept and read from now on. */
export function setOwner(name: string): void {
  localStorage.setItem(WHO, name);
  if (name === owner) return;
  owner = name;
  listeners.forEach((listener) => listener());
}

export function ownerOf(): string | undefined {
  return owner;
}

/** Who signed in last in this browser, whichever tab it was. */
export function lastOwner(): string | null {
  return localStorage.getItem(WHO);
}

/** True while nobody else has signed in on this browser since, in another tab. */
export function isOwnersBrowser(): boolean {
  return owner !== undefined && lastOwner() === owner;
}

/** Hears when the owner changes. */
export function onOwner(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Hears when somebody else signs in on this browser, in another tab. */
export function onOther(listener: () => void): () => void {
  const heard = (event: StorageEvent) => {
    if (event.key === WHO && event.newValue !== null && owner !== undefined && event.newValue !== owner)
      listener();
  };
  window.addEventListener("storage", heard);
  return () => window.removeEventListener("storage", heard);
}

export function readKept(key: string): string | null {
  const full = keyOfKept(key);
  return full === undefined ? null : localStorage.getItem(full);
}

/** Keeps a text, if this device lets it; a full or forbidden store only loses the safety net. */
export function writeKept(key: string, text: string): void {
  const full = keyOfKept(key);
  if (full === undefined) return;
  try {
    localStorage.setItem(full, text);
  } catch {
    // What is on screen is still there.
  }
}

export function dropKept(key: string): void {
  const full = keyOfKept(key);
  if (full !== undefined) localStorage.removeItem(full);
}

function ownersKeys(): string[] {
  const mine = keyOfKept("");
  return mine === undefined ? [] : Object.keys(localStorage).filter((key) => key.startsWith(mine));
}

/** How many things the owner has on this device that are not stored, besides what is kept under `except`. */
export function countKept(except: string): number {
  return ownersKeys().filter((key) => key !== keyOfKept(except)).length;
}

/** Throws away everything that the owner has on this device. */
export function wipeKept(): void {
  ownersKeys().forEach((key) => localStorage.removeItem(key));
}
