const KEY_NAMES: Record<string, string> = { ArrowLeft: "←", ArrowRight: "→" };

/** A key as it is written on it. */
export function keyName(key: string): string {
  return KEY_NAMES[key] ?? key.toUpperCase();
}
