import { catalogueOf, watchesOf } from '../catalogue/index.js';
import { type Design } from '../design/index.js';
import { figure } from '../quantity/index.js';
import { monitorName } from '../supply/index.js';
import { plant, type MonitorThing } from '../plant/index.js';
import type { Hook } from './rig-rows.js';

/** What measures, shows or switches, as a row of fields. */
export interface MonitorRow {
  readonly id: string;
  readonly kind: NonNullable<MonitorThing['part']>['kind'];
  readonly name: string;
  readonly part: string;
  /** As a person calls it. */
  readonly called: string;
  readonly says: string;
  /** What it may measure; none: what its name says, or nothing. */
  readonly measurable: readonly Hook[];
  readonly measures: string;
  /** Units that may show it or tell it what to do; none: it shows itself. */
  readonly screens: readonly Hook[];
  readonly shownBy: string;
  /** Loads that it may switch; none: it has no outputs. */
  readonly loads: readonly Hook[];
  readonly switches: readonly string[];
  /** Senders that may close its outputs. */
  readonly senders: readonly Hook[];
  readonly when: Design['monitors'][string]['when'];
}

const NOTHING: Hook = { id: '', words: 'nothing' };

const hookOf = (m: MonitorThing): Hook => ({ id: m.ref.id, words: monitorName(m) });

function rowOf(design: Design, m: MonitorThing, all: readonly MonitorThing[]): MonitorRow[] {
  if (!m.part) return [];
  const { reads, shows, outputs, ownMa } = watchesOf(m.part);
  const [read, out] = [reads(m.part), outputs(m.part)];
  const { measures, shownBy, switches, when, name } = design.monitors[m.ref.id]!;
  const posts = read === 'charge' || read === 'volts' || read === 'volts and amps';
  const banks = Object.keys(design.banks).map((id): Hook => ({ id, words: design.banks[id]!.name || (id === 'house' ? 'the house battery' : 'the second battery') }));
  const loads = Object.entries(design.loads)
    .filter(([, l]) => l.supply === 'dc')
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id, l]): Hook => ({ id, words: l.name || 'unnamed load' }));
  const screens = all.filter((x) => x.part?.kind === 'remote' && x !== m).map(hookOf);
  const tells = out !== null || (read !== null && read !== 'charge' && !shows(m.part));
  return [
    {
      id: m.ref.id,
      kind: m.part.kind,
      name: monitorName(m),
      part: m.part.id,
      called: name,
      says: [out ? `${out.count} outputs of ${figure(out.amps, 0)} A, ${out.failsTo} when it dies` : '', ownMa(m.part) > 0 ? `draws ${figure(ownMa(m.part), 0)} mA` : ''].filter(Boolean).join(' · '),
      measurable: posts ? [...banks, ...loads] : [],
      measures: measures ?? '',
      screens: tells && screens.length ? [NOTHING, ...screens] : [],
      shownBy: shownBy ?? '',
      loads: out ? loads : [],
      switches,
      senders: out ? all.filter((x) => x.part && x !== m && !['charge', null].includes(watchesOf(x.part).reads(x.part))).map(hookOf) : [],
      when,
    },
  ];
}

/** Everything that measures, shows and switches, in the order in which it was added. */
export function monitorRows(design: Design): readonly MonitorRow[] {
  const all = plant(design, catalogueOf(design)).monitors;
  return all.flatMap((m) => rowOf(design, m, all));
}
