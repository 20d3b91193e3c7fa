/** What was kept on this device under a key, where it is what it should be; else what is given in its place. */
export function keptHere<T>(key: string, isIt: (kept: unknown) => kept is T, otherwise: T): T {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as unknown;
    return isIt(kept) ? kept : otherwise;
  } catch {
    return otherwise;
  }
}

/** Keeps a value on this device: it is there again after the page was closed, and on no other device. False: there is no room for it. */
export function keepHere(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}
