/** How long a browser is given to fetch a file that is offered to it, ms. */
const FETCHED_MS = 60_000;

/** Offers a file for saving. */
export function saveFile(name: string, parts: readonly BlobPart[], type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([...parts], { type }));
  link.download = name;
  document.body.append(link);
  link.click();
  link.remove();
  // Some browsers fetch it only after this turn: taken back at once there would be no file.
  setTimeout(() => URL.revokeObjectURL(link.href), FETCHED_MS);
}

/** A name for a file. @example fileName('Two Creeks Bookmobile', 'line-diagram.svg') // 'two-creeks-bookmobile-line-diagram.svg' */
export const fileName = (of: string, rest: string): string => `${of.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${rest}`;
