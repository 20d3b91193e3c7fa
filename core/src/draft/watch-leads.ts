import { watchesOf } from '../catalogue/index.js';
import { gearKey } from '../design/index.js';
import type { MonitorThing } from '../plant/index.js';
import type { Lead } from '../routes/index.js';
import type { DraftContext } from './context.js';

type Given = Omit<Lead, 'number' | 'route' | 'lengthM'>;

const lead = (id: string, kind: Lead['kind'], name: string, from: string, to: string, more: Pick<Given, 'cable' | 'polarity' | 'fuseA' | 'longestM'>): Given => ({
  id,
  kind,
  name,
  from,
  to,
  diameterMm: 5,
  plugMm: 14,
  ...more,
});

/** What feeds a monitor: the bars, by a fuse of its own. */
const FEED = { cable: '2 × 1 mm²', polarity: 'red to positive, black to negative', fuseA: 1, longestM: 20 } as const;
const SIGNAL = { cable: 'the maker’s own lead, or 4 × 0.5 mm² screened', polarity: 'keyed plug, or as the maker marks it', fuseA: null, longestM: 20 } as const;
const SENSE = { cable: '2 × 1 mm²', polarity: 'red to positive, black to negative', fuseA: 1, longestM: 10 } as const;

/** Leads of one monitor: to what it measures where that has posts, else to what feeds it; and to the remote unit that it tells. */
function leadsOf(c: DraftContext, m: MonitorThing): Given[] {
  const gear = c.gear.get(gearKey(m.ref));
  if (!m.part || !gear) return [];
  const watches = watchesOf(m.part);
  const reads = watches.reads(m.part);
  if (reads === 'charge') return [];
  const measured = m.measures && c.gear.get(gearKey(m.measures));
  const screen = m.shownBy && c.gear.get(gearKey(m.shownBy));
  const senses = measured && (reads === 'volts' || reads === 'volts and amps');
  return [
    senses ? lead(`lead-sense-${gear.id}`, 'sense', `${measured.name} → ${gear.name}`, measured.id, gear.id, SENSE) : lead(`lead-feed-${gear.id}`, 'feed', `Feed → ${gear.name}`, 'bus', gear.id, FEED),
    ...(screen ? [lead(`lead-data-${gear.id}`, 'data', `${gear.name} → ${screen.name}`, gear.id, screen.id, SIGNAL)] : []),
  ];
}

/** Thin leads of everything that measures, shows and switches. */
export const watchLeads = (c: DraftContext): Given[] => c.plant.monitors.flatMap((m) => leadsOf(c, m));
