import type { Assessment } from '../assess/index.js';
import type { Chemistry } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayLoad } from '../loads/index.js';
import { convertersOfKind, type Plant } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import { NONE, type Part } from './look.js';
import { mean } from './given.js';
import type { Flow } from './picture.js';

/** Loads named in a box, the hungriest first. */
const NAMED = 3;
/** Of a load that is named at all, Ah a day. */
const NAME_AH = 0.5;

const SHORT: Readonly<Record<Chemistry, string>> = { lfp: 'lithium', agm: 'AGM', gel: 'gel', flooded: 'flooded' };

/** The banks. */
export function storing(a: Assessment, p: Plant): Part {
  const things = p.banks.map((b): Part['things'][number] => {
    const gear = a.gear.find((g) => g.id === b.ref.id);
    const bank = b.selected ? a.supply.second : a.supply.bank;
    const says = b.batteries.map((x) => `${x.quantity > 1 ? `${x.quantity} × ` : ''}${figure(x.part.capacityAh, 0)} Ah ${SHORT[x.part.chemistry]}`);
    return {
      id: b.ref.id,
      column: 'stores',
      title: sentence(gear?.plain ?? 'house battery'),
      says: [...says.slice(0, 2), ...(bank ? [`${figure(bank.usableAh, 0)} Ah usable`] : []), ...(b.selected ? ['behind the selector'] : [])].slice(0, 3),
      looks: [],
    };
  });
  return { things, flows: [] };
}

/** The hungriest loads by name, with what each takes. */
function names(loads: readonly DayLoad[], scale: number): string[] {
  const hungry = [...loads].sort((x, y) => y.ahDay - x.ahDay).filter((l) => l.ahDay * scale >= NAME_AH);
  const left = loads.length - Math.min(NAMED - 1, hungry.length);
  const shown = hungry.length > NAMED ? hungry.slice(0, NAMED - 1) : hungry;
  return [...shown.map((l) => `${l.name} ${figure(l.ahDay * scale, 0)}`), ...(hungry.length > NAMED ? [`and ${left} more`] : [])];
}

/** What the loads draw by: the block or board, the inverter, or straight off a post. */
export function using(design: Design, a: Assessment, p: Plant): Part {
  const bank = p.banks[0]?.ref.id;
  if (bank === undefined) return NONE;
  const loads = a.day.loads;
  const day = loads.reduce((s, l) => s + l.ahDay, 0);
  // The day's figures are of a travel day; the trip has its own mean over all its days.
  const scale = day > 0 ? mean(a.trip?.loadAh ?? []) / day : 0;
  const straight = (l: DayLoad): boolean => design.loads[l.id]?.feed.by === 'battery';
  const [inverter] = convertersOfKind(p, 'inverter');
  const hub = p.distribution.find((d) => d.part?.kind === 'hub');
  const block = p.distribution.find((d) => d.part?.kind === 'fuse-block');
  const boxes = [
    { id: (hub ?? block)?.ref.id ?? 'bus', title: hub ? 'Hub board' : block ? 'Fuse block' : 'Bus bars', of: loads.filter((l) => !l.mains && !straight(l)), always: true },
    {
      id: inverter ? `${inverter.ref.id}:use` : 'no-inverter',
      title: inverter ? sentence(inverter.inside ? 'its own inverter' : inverter.part.name) : 'No inverter',
      of: loads.filter((l) => l.mains),
      always: inverter !== undefined,
    },
    { id: 'always-live', title: 'Always live', of: loads.filter((l) => !l.mains && straight(l)), always: false },
  ].filter((b) => b.always || b.of.length);
  return {
    things: boxes.map((b) => ({ id: b.id, column: 'uses', title: b.title, says: b.of.length ? names(b.of, scale) : ['nothing hangs on it'], looks: [] })),
    flows: boxes.map((b): Flow => ({ from: bank, to: b.id, kind: 'use', ahDay: b.of.reduce((s, l) => s + l.ahDay, 0) * scale, hangs: null })),
  };
}
