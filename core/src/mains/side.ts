import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { INLET_A, mainsQuestions, mainsSources, OUTPUT, RCD, TRANSFER, USED, YES_NO, type MainsQuestion, type MainsSource } from './questions.js';

/** Answers that cannot both be right, or that nobody may sign. */
export interface MainsTrouble {
  /** The question whose answer would end it. */
  readonly id: string;
  readonly of: string;
  readonly say: string;
}

/** How the 230 V side stands. `none`: there is none; `open`: not signed; `late`: signed, and something was asked since. */
export type MainsState = 'none' | 'open' | 'signed' | 'late' | 'not ours';

export interface MainsSide {
  readonly sources: readonly MainsSource[];
  readonly questions: readonly MainsQuestion[];
  readonly unanswered: number;
  readonly troubles: readonly MainsTrouble[];
  readonly state: MainsState;
}

/** Volts of the lead by which an inlet’s amps are taken for watts. */
const MAINS_V = 230;

function troublesOf(sources: readonly MainsSource[], questions: readonly MainsQuestion[]): MainsTrouble[] {
  const answer = new Map(questions.map((q) => [q.id, q.answer]));
  return sources.flatMap((s): MainsTrouble[] => {
    const said = (key: string): string | null => answer.get(`${s.id}.${key}`) ?? null;
    const trouble = (key: string, say: string): MainsTrouble => ({ id: `${s.id}.${key}`, of: s.name, say });
    if (s.kind === 'inlet') {
      const [rated] = Object.entries(INLET_A).find(([, words]) => words === said('rating')) ?? [];
      return [
        ...(said('rcd') === RCD.none ? [trouble('rcd', 'nothing behind the inlet trips on a fault to earth')] : []),
        ...(said('poles') === YES_NO.no ? [trouble('poles', 'what moves from site to site wants both poles parted')] : []),
        ...(rated && s.watts > Number(rated) * MAINS_V ? [trouble('rating', `what hangs on it takes ${Math.round(s.watts)} W; ${rated} A give ${Number(rated) * MAINS_V} W`)] : []),
      ];
    }
    const floating = said('output') === OUTPUT.floating;
    const protects = said('rcd') !== null && said('rcd') !== RCD.none;
    return [
      ...(floating && protects ? [trouble('rcd', 'a residual-current device does not trip on a floating output: bond the neutral, or take a device that is made for it')] : []),
      ...(said('used') === USED.wired && said('rcd') === RCD.none ? [trouble('rcd', 'fixed wiring without a residual-current device')] : []),
      ...(said('used') === USED.wired && floating ? [trouble('output', 'fixed wiring on a floating output')] : []),
      ...(answer.get('transfer') === TRANSFER.unit && !s.transfers ? [{ id: 'transfer', of: s.name, say: 'it has no transfer of its own' }] : []),
    ];
  });
}

/**
 * The 230 V side of one vehicle: where it comes from, what is asked of the licensed electrician, and how it stands.
 * Nothing here is judged compliant: it lists, counts and hands over to whoever signs.
 */
export function mainsSide(design: Design, catalogue: Catalogue): MainsSide {
  const sources = mainsSources(design, catalogue);
  const questions = mainsQuestions(design, catalogue);
  const unanswered = questions.filter((q) => q.answer === null).length;
  const { signed, notOurs } = design.mains;
  const open = signed ? (unanswered ? 'late' : 'signed') : 'open';
  const state: MainsState = !sources.length ? 'none' : notOurs ? 'not ours' : open;
  return { sources, questions, unanswered, troubles: notOurs ? [] : troublesOf(sources, questions), state };
}

/** True where a licensed electrician is still wanted, or has signed: the job has a 230 V side of ours. */
export const hasMains = (design: Design, catalogue: Catalogue): boolean => design.mains.notOurs === null && mainsSources(design, catalogue).length > 0;

/** Why a vehicle may not be handed over for the sake of its 230 V side, in words; null where it may. */
export function mainsGap({ state, unanswered }: MainsSide): string | null {
  if (state === 'open') return 'the 230 V side is not signed by a licensed electrician';
  return state === 'late' ? `the 230 V side was signed with ${unanswered === 1 ? 'a question' : `${unanswered} questions`} open` : null;
}
