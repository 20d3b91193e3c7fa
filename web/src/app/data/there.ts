/** What the frame has seen to be there before it shows a stage; in words where that was not so. @throws where nothing is there. */
export function there<T>(value: T | null, what: string): T {
  if (value === null) throw new Error(`No ${what} is open: a stage stands within an open job`);
  return value;
}
