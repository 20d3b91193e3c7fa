/** A colour of the sheet by the name of its variable, as it is by day or night now. */
export const colour = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Draws once the page stands: a chart takes as long as all the rest of its sheet, and nobody reads it first. Gives what calls it off. */
export function afterThePage(draw: () => void): () => void {
  const wait = setTimeout(draw);
  return () => clearTimeout(wait);
}
