const MOST_MS = 20_000;
const EVERY_MS = 10;

/** Waits until something holds, looking again after every bit of work of the page; fails in words after long. */
export async function until(holds: () => boolean, settle: () => Promise<unknown>): Promise<void> {
  for (let ms = 0; ms < MOST_MS; ms += EVERY_MS) {
    await settle();
    if (holds()) return;
    await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
  }
  throw new Error(`still not so after ${MOST_MS / 1000} s: ${holds.toString()}`);
}
