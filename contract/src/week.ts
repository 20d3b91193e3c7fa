import { z } from 'zod';

/** How the bay's week is kept: what was said of it, and how many times that was changed; null: nothing yet. */
export interface KeptWeek<W> {
  readonly week: W | null;
  readonly revision: number;
  /** Who changed it last; empty: nobody. */
  readonly author: string;
}

/** A change of it, made on a revision: another person's since then is told, not written over. */
export const weekRevisionSchema = z.number().int().min(0);
