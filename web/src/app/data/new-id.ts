/** A name for a new thing of the design: unlike every other, and never all digits, which would sort before its elders. */
export function newId(): string {
  return `n${crypto.randomUUID().slice(0, 8)}`;
}
