/** The next place in a list that is kept in order. */
export function nextOrder(of: Readonly<Record<string, { readonly order: number }>>): number {
  return Math.max(0, ...Object.values(of).map((x) => x.order)) + 1;
}
