import { figure } from '../quantity/index.js';
import type { Core, Fitted, Multicore } from '../routes/index.js';
import { pullMin } from './how.js';
import type { FitStep } from './step.js';

/** Which core is for what, in words: by its colour where that was typed. @example '1 red: feed of 4, 2 black: return of 4, 3 spare' */
export const coresInWords = (plan: readonly Core[]): string => plan.map((c) => `${c.core}${c.colour ? ` ${c.colour}:` : ''} ${c.lead}${c.run ? ` of ${c.run.number}` : ''}`).join(', ');

/** A cable of several cores is pulled once, and opened where each of its runs leaves it. */
export const multicoreSteps = (all: readonly Multicore[], placeOf: (gear: string) => string, holes: ReadonlySet<string>): FitStep[] =>
  all.map((m): FitStep => ({
    id: `pull-multicore-${m.id}`,
    section: 'pull and cut',
    text: `Runs ${m.runs.map((r) => r.spec.number).join(', ')}: pull ${m.name}, ${m.bought}-core ${m.size}, ${figure(m.lengthM, 1)} m`,
    detail: `Cores: ${coresInWords(m.plan)}; number both ends, cap what is spare; open the sheath where a run leaves it and seal it there`,
    place: placeOf(m.runs[0]!.spec.from.gear),
    tool: 'cable cutters',
    minutes: pullMin(m.lengthM),
    after: [...new Set(m.runs.flatMap((r) => (r.spec.route?.ways ?? []).flatMap((w) => (holes.has(`hole-${w.id}`) ? [`hole-${w.id}`] : []))))],
  }));

/** The step that lays a run: its own, or that of the cable that it lies in. */
export const pulledBy = ({ spec }: Fitted): string => (spec.multicore ? `pull-multicore-${spec.multicore.id}` : `pull-${spec.id}`);
