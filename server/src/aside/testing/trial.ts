/** Keeps its thread busy, as a job that is far too large would; for specs. */
export default function trial({ forMs, say }: { readonly forMs: number; readonly say: string }): { readonly said: string } {
  if (forMs < 0) throw new Error(say);
  const until = Date.now() + forMs;
  while (Date.now() < until);
  return { said: say };
}
