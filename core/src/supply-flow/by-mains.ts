import { fromInlet } from '../plant/index.js';
import { figure } from '../quantity/index.js';
import { mainsChargersOf } from '../supply/index.js';
import { pluggedAh } from './given.js';
import { bankOf, nameOf, NONE, ribbon, type Look, type Part } from './look.js';

/** The inlet, and what charges from it. */
export function byMains(l: Look): Part {
  const { design, catalogue, p } = l;
  const units = fromInlet(p);
  if (!units.length) return NONE;
  const allAh = pluggedAh(l).mains;
  const chargers = mainsChargersOf(design, catalogue).filter((m) => !l.waits.has(m.unit));
  const sum = chargers.reduce((s, m) => s + m.outputA, 0);
  const { mainsNights, mainsH } = design.brief.trip;
  const inlets = [...new Set(units.flatMap((c) => c.inputs.filter((i) => i.by === 'inlet').map((i) => i.ref.id)))];
  const things = inlets.map((id): Part['things'][number] => {
    const typed = design.inlets[id]?.hours.length ?? 0;
    return {
      id,
      column: 'gives',
      title: 'Mains inlet',
      says: [mainsNights === 'never' ? (typed ? 'a generator’s hours' : 'never on this trip') : mainsNights, ...(mainsNights !== 'never' ? [`${figure(mainsH, 0)} h a night`] : [])],
      looks: [],
    };
  });
  const boxes = units.map((c): Part['things'][number] => {
    const amps = chargers.find((m) => m.unit === c.ref.id)?.outputA ?? 0;
    return { id: c.ref.id, column: 'converts', title: nameOf(l, c.ref.id, c.part.name), says: [`${figure(amps, 0)} A from the mains`], looks: l.waits.has(c.ref.id) ? ['for later'] : [] };
  });
  const flows = units.flatMap((c) => {
    const share = sum > 0 ? (chargers.find((m) => m.unit === c.ref.id)?.outputA ?? 0) / sum : 0;
    const bank = bankOf(l, c);
    const inlet = c.inputs.find((i) => i.by === 'inlet')!.ref.id;
    return [ribbon(inlet, c.ref.id, 'mains', allAh * share, null), ...(bank === undefined ? [] : [ribbon(c.ref.id, bank, 'mains', allAh * share, c.ref.id)])];
  });
  return { things: [...things, ...boxes], flows };
}
