/** This page, as long as it is open. */
export const TAB = crypto.randomUUID();
const BEFORE = 'meridex.tabs';
const LOCK = 'meridex.tab.';
/** Without locks another page's work counts as left behind after this time, ms. */
const LEFT_BEHIND_MS = 30_000;

const earlier = new Set((sessionStorage.getItem(BEFORE) ?? '').split(' '));
try {
  sessionStorage.setItem(BEFORE, [...earlier, TAB].slice(-20).join(' '));
} catch {
  // Only reloading is told a little later without it.
}
// Held until the page is gone: others see by it who is still there.
if ('locks' in navigator) void navigator.locks.request(LOCK + TAB, () => new Promise<never>(() => undefined));

const waitedFor = new Set<string>();
/** Calls back when the page that made an entry is gone: one that is just being closed may still be seen as open. */
export function whenGone(tab: string, then: () => void): void {
  if (tab === TAB || waitedFor.has(tab) || !('locks' in navigator)) return;
  waitedFor.add(tab);
  void navigator.locks.request(LOCK + tab, () => undefined).then(then);
}

/** Tells whether the page that made an entry is gone, so that this one takes it over. */
export async function leftBehind(): Promise<(entry: { readonly tab: string; readonly touched: number }) => boolean> {
  if (!('locks' in navigator)) return ({ tab, touched }) => tab !== TAB && (earlier.has(tab) || Date.now() - touched > LEFT_BEHIND_MS);
  const { held = [] } = await navigator.locks.query();
  const open = new Set(held.map((l) => l.name));
  return ({ tab }) => !open.has(LOCK + tab);
}
