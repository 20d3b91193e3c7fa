export const MONTH_NAMES = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'] as const;
export const MAINS_NIGHTS = ['never', 'travel days', 'parked days', 'every night'] as const;

/** The next place in a list that is kept in order. */
export function nextOrder(of: Readonly<Record<string, { readonly order: number }>>): number {
  return Math.max(0, ...Object.values(of).map((x) => x.order)) + 1;
}
