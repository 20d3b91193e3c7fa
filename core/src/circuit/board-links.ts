import { ampacityA, cableSeries, sizeInWords } from '../cable/index.js';
import type { Design } from '../design/index.js';
import { kFactor } from '../protection/index.js';
import { inCircuit, isMainLead, type Fitted, type SizedRun } from '../routes/index.js';
import { COUNTED_MINUS, type InlinePart } from './inline.js';

/** From stud to stud on one board, both lugs included, m: a default, since parts stand side by side there. */
export const LINK_M = 0.3;

/** A short cable on the board, between a part in line and what it stands before: no run, since it leaves the board nowhere. */
export interface BoardLink {
  readonly part: InlinePart['id'];
  readonly name: string;
  readonly colour: 'red' | 'black';
  readonly count: number;
  readonly areaMm2: number;
  readonly size: string;
  /** Most that lasts through it, and why, A. */
  readonly lastingA: number;
  readonly why: string;
}

const fusesA = (runs: readonly Fitted[]): number => runs.reduce((sum, r) => sum + r.figures.fuseA * r.figures.perPole, 0);

/** Runs by where they meet the bars. */
interface AtBars {
  /** Leads of the bank whose fuses together are the larger. */
  readonly leads: readonly Fitted[];
  readonly drawing: readonly Fitted[];
  readonly fed: readonly Fitted[];
  readonly charging: readonly Fitted[];
}

function atBars(runs: readonly Fitted[], inline: readonly InlinePart[]): AtBars {
  const all = runs.filter((r) => r.spec.role === 'bank lead');
  const [first, second] = [all.filter(isMainLead), all.filter((r) => !isMainLead(r))];
  const { pole, b } = inline.find((p) => p.id === 'disconnect') ?? {};
  const drawing = runs.filter((r) => r.spec.from.gear === 'bus');
  return {
    leads: fusesA(second) > fusesA(first) ? second : first,
    drawing,
    fed: drawing.filter((r) => (pole === 'negative' ? r.spec.from.minus : r.spec.from.plus) === b),
    charging: runs.filter((r) => r.spec.to.gear === 'bus' && r.spec.role !== 'bank lead'),
  };
}

/** The most that fuses let last through a part: its bank's leads together, or all that hangs behind it. */
function lasting(p: InlinePart, at: AtBars): Pick<BoardLink, 'lastingA' | 'why'> {
  const leadsA = fusesA(at.leads);
  const behind = { switch: Math.max(fusesA(at.drawing), fusesA(at.charging)), shunt: Math.max(fusesA(at.drawing), fusesA(at.charging)), charging: fusesA(at.charging), disconnect: fusesA(at.fed) }[
    p.id
  ];
  return behind > 0 && behind < leadsA
    ? { lastingA: behind, why: 'the fuses of all that hangs behind it, together' }
    : { lastingA: leadsA, why: at.leads.length > 1 ? 'the main fuses, together' : 'the main fuse' };
}

const COUNT: Readonly<Record<InlinePart['id'], readonly [to: string, count: number]>> = {
  switch: ['positive bus bar', 1],
  charging: ['both studs of the load selector, and charging bar', 3],
  shunt: ['negative bus bar', 1],
  disconnect: ['bus bar', 1],
};

/** Cables of a link side by side, at most. */
const MOST_SIDE_BY_SIDE = 3;

/** The smallest stocked size that carries it and survives the main fuse: one cable, or where the thickest is too thin several. */
function sizeFor({ settings }: Design, ambientC: number, lastingA: number, letThroughA2s: number): readonly [size: { readonly areaMm2: number; readonly size: string }, side: number] {
  const { insulationC, series, custom } = settings;
  const sizes = cableSeries(series);
  const k = kFactor(insulationC);
  for (let side = 1; side <= MOST_SIDE_BY_SIDE; side++) {
    const grouped = side;
    const suits = sizes.find(({ areaMm2: s }) => s >= custom.feedMm2 && side * ampacityA(s, { insulationC, ambientC, grouped, laid: 'air' }) >= lastingA && (k * side * s) ** 2 >= letThroughA2s);
    if (suits) return [suits, side];
  }
  return [sizes[sizes.length - 1]!, MOST_SIDE_BY_SIDE];
}

/**
 * The short cables on the board: switch and shunt to their bars, a charging selector to the studs of the loads' one, the
 * disconnect to what feeds it. As thick as the one lead they go on from; else so that they carry what fuses let last, and
 * survive what the main fuse lets through (I²t ≤ k²S²).
 * @example boardLinks(design, runs, inline, 45)[0] // { part: 'switch', name: 'main switch → positive bus bar', size: '70 mm²', … }
 */
export function boardLinks(design: Design, runs: readonly SizedRun[], inline: readonly InlinePart[], ambientC: number): readonly BoardLink[] {
  const at = atBars(runs.filter((r) => r.ok).map(inCircuit), inline);
  const [lead] = at.leads;
  if (!lead) return [];
  const letThroughA2s = Math.max(...at.leads.flatMap((r) => r.figures.fuses.map((f) => f.fault?.worstLetThroughA2s ?? 0)));
  return inline
    .filter((p) => !p.onHub)
    .map((p): BoardLink => {
      const { lastingA, why } = lasting(p, at);
      const goesOn = (p.id === 'switch' || p.id === 'shunt') && at.leads.length === 1 && lead.figures.perPole === 1;
      const [size, side] = goesOn ? [lead.figures, 1] : sizeFor(design, ambientC, lastingA, letThroughA2s);
      const [to, count] = p.b === COUNTED_MINUS ? (['main switch', 1] as const) : p.id === 'switch' && p.pole === 'negative' ? COUNT.shunt : COUNT[p.id];
      const colour = p.pole === 'positive' ? 'red' : 'black';
      const times = (p.id === 'charging' && !p.selects ? 2 : count) * side;
      return { part: p.id, name: `${p.name} → ${to}`, colour, count: times, areaMm2: size.areaMm2, size: sizeInWords(size.size), lastingA, why };
    });
}
