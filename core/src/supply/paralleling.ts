import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { bankOf } from './bank.js';

/** What must be equal before batteries are put in parallel. */
export interface ParallelCheck {
  readonly what: string;
  /** Equal by the plan, not equal, or only to be seen at the bench. */
  readonly verdict: 'holds' | 'look' | 'stop' | 'at the bench';
  readonly say: string;
}

const BENCH: readonly (readonly [string, string])[] = [
  ['charge', 'charge each full, alone, and let it rest four hours'],
  ['resting volts', 'within the maker’s limit of one another, 0.05 V where it gives none'],
  ['serial and date', 'written down before they are joined'],
  ['leads', 'same size and length, feed at one end of the bank and return at the other'],
];

/** The list for this bank; empty where nothing is paralleled. */
export function parallelChecks(design: Design, catalogue: Catalogue): readonly ParallelCheck[] {
  const bank = bankOf(design, catalogue);
  if (!bank || bank.strings < 2) return [];
  const other = bank.joined ?? bank.part;
  const kept = Object.values(design.brief.existing).filter((e) => e.verdict !== 'remove' && e.part !== null && (e.part === bank.part.id || e.part === other.id));
  const oldest = kept.reduce((most, e) => Math.max(most, e.ageYears ?? 0), 0);
  const same = other.chemistry === bank.part.chemistry;
  return [
    {
      what: 'chemistry',
      verdict: same ? 'holds' : 'stop',
      say: same ? `both ${CHEMISTRY[bank.part.chemistry].name}` : `${CHEMISTRY[bank.part.chemistry].name} with ${CHEMISTRY[other.chemistry].name}: they charge and rest at different volts`,
    },
    { what: 'model', verdict: other.id === bank.part.id ? 'holds' : 'look', say: other.id === bank.part.id ? `all ${bank.part.name}` : `${bank.part.name} with ${other.name}: they share unequally` },
    {
      what: 'age',
      verdict: oldest >= 1 ? 'look' : kept.some((e) => e.ageYears === null) ? 'look' : 'holds',
      say: oldest >= 1 ? `one is ${oldest} years old beside a new one: the old one drags the new` : kept.some((e) => e.ageYears === null) ? 'age of the kept one is not known' : 'all new',
    },
    ...BENCH.map(([what, say]): ParallelCheck => ({ what, verdict: 'at the bench', say })),
  ];
}
