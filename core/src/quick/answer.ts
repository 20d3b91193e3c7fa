import type { Load } from '../design/index.js';

/** What an answer takes for granted, and may be pressed to something else. */
export interface Chip {
  readonly id: keyof Assumed;
  readonly words: string;
  /** What a press makes of it. */
  readonly next: Partial<Assumed>;
}

/** Everything that an answer may take for granted; planning defaults. */
export interface Assumed {
  readonly nominalV: 12 | 24;
  /** Share of the nominal volts that may be lost, %. */
  readonly dropPercent: 3 | 5;
  readonly insulationC: 90 | 105;
  readonly ambientC: 30 | 45 | 70;
  readonly laid: 'air' | 'conduit';
  readonly series: 'metric' | 'gauge';
  readonly chemistry: 'lfp' | 'agm';
  readonly waterC: 15 | 25;
}

export const USUAL: Assumed = { nominalV: 12, dropPercent: 5, insulationC: 105, ambientC: 45, laid: 'air', series: 'metric', chemistry: 'lfp', waterC: 15 };

/** An answer asked without a job: what was asked, the answer first, what belongs to it, and what it takes for granted. */
export interface QuickAnswer {
  /** The question as it was understood. */
  readonly asked: string;
  readonly says: string;
  readonly more: readonly string[];
  readonly chips: readonly Chip[];
  /** What can be put into a job of it. */
  readonly load?: Partial<Load> & Pick<Load, 'name'>;
}

/** Each thing that may be taken for granted, in words, with the other choices in a round. */
const CHOICES: { readonly [K in keyof Assumed]: { readonly all: readonly Assumed[K][]; readonly words: (v: Assumed[K]) => string } } = {
  nominalV: { all: [12, 24], words: (v) => `${v} V` },
  dropPercent: { all: [5, 3], words: (v) => `${v} % may be lost` },
  insulationC: { all: [105, 90], words: (v) => `${v} °C insulation` },
  ambientC: { all: [45, 70, 30], words: (v) => (v === 70 ? '70 °C engine bay' : `${v} °C air`) },
  laid: { all: ['air', 'conduit'], words: (v) => (v === 'air' ? 'in air' : 'in conduit') },
  series: { all: ['metric', 'gauge'], words: (v) => (v === 'metric' ? 'mm²' : 'B&S') },
  chemistry: { all: ['lfp', 'agm'], words: (v) => (v === 'lfp' ? 'lithium' : 'AGM') },
  waterC: { all: [15, 25], words: (v) => `water from ${v} °C` },
};

/** The chips of an answer: what it takes for granted, each with the next choice. */
export function chips(assumed: Assumed, ids: readonly (keyof Assumed)[]): readonly Chip[] {
  const one = <K extends keyof Assumed>(id: K): Chip => {
    const { all, words } = CHOICES[id];
    const next = all[(all.indexOf(assumed[id]) + 1) % all.length]!;
    return { id, words: words(assumed[id]), next: { [id]: next } as Partial<Assumed> };
  };
  return ids.map(one);
}
