import type { LayoutFigures } from '../routes/index.js';
import { figure } from '../quantity/index.js';
import { leadMin } from './how.js';
import type { FitStep } from './step.js';

/** What each sort of thin lead is forgotten for, and how one sees that it is right. */
const RIGHT = {
  trigger: 'live only when it should be: read it in off, accessory and running',
  sense: 'at the very posts that it reads, fuse last',
  data: 'not beside the inverter’s leads; the screen shows what it should',
  temperature: 'its ring under the battery’s lug, its cable loose',
  feed: 'behind a fuse of its own at the bars',
} as const;

/** A step for each thin lead: laid with the rest, since it passes the same holes. */
export function leadSteps({ leads }: LayoutFigures, places: (gear: string) => string, holes: ReadonlySet<string>, standing: ReadonlySet<string>): FitStep[] {
  return leads.map((l): FitStep => ({
    id: `lead-step-${l.id}`,
    section: 'pull and cut',
    text: `Lead ${l.number}: lay ${l.name}`,
    detail: `${l.cable}, ${figure(l.lengthM, 1)} m; ${l.polarity}${l.fuseA === null ? '' : `; fuse ${l.fuseA} A`}; ${RIGHT[l.kind]}`,
    place: places(l.to),
    tool: null,
    minutes: leadMin(l.lengthM),
    after: [...(l.route?.ways ?? []).flatMap((w) => (holes.has(`hole-${w.id}`) ? [`hole-${w.id}`] : [])), ...[l.from, l.to].flatMap((g) => (standing.has(`place-${g}`) ? [`place-${g}`] : []))],
  }));
}
