import { stepOf } from '../plant/index.js';
import { figure } from '../quantity/index.js';
import { pluggedAh } from './given.js';
import { bankOf, nameOf, NONE, ribbon, type Look, type Part } from './look.js';
import { fedOver, stepBoxes } from './steps.js';

/** Leads from other banks, and the chargers that they feed. */
export function byLead(l: Look): Part {
  const { design, p } = l;
  if (!p.dcInlets.length) return NONE;
  const { leads } = pluggedAh(l);
  const things = p.dcInlets.map((i): Part['things'][number] => {
    const hours = design.inlets[i.ref.id]!.hours.map(([a, b]) => `${figure(a, 0)}–${figure(b, 0)} h`);
    return {
      id: i.ref.id,
      column: 'gives',
      title: i.name || 'The other battery',
      says: [`by a lead, ${hours.length ? hours.join(', ') : 'in no hours yet'}`, `${i.nominalV} V, ${figure(i.mostA, 0)} A plug`],
      looks: [],
    };
  });
  const onLeads = p.converters.filter((c) => c.inputs.some((i) => i.by === 'lead'));
  const chargers = onLeads.flatMap((c) => c.inputs.flatMap((i) => (i.by === 'lead' && !c.feeds.length ? [{ c, inlet: i.ref.id }] : [])));
  const boxes = chargers.map(({ c }): Part['things'][number] => ({
    id: c.ref.id,
    column: 'converts',
    title: nameOf(l, c.ref.id, c.part.name),
    says: [
      `${figure((c.ports.dcIn?.outputA ?? 0) * c.share, 0)} A${c.share < 1 ? ', half power' : ''}`,
      ...(c.ports.dcIn ? [`loses ${figure(100 * (1 - c.ports.dcIn.efficiency), 0)} % as heat`] : []),
    ],
    looks: l.waits.has(c.ref.id) ? ['for later'] : [],
  }));
  const flows = chargers.flatMap(({ c, inlet }) => {
    const bank = bankOf(l, c);
    const passes = leads.get(c.ref.id) ?? 0;
    return [...fedOver(inlet, stepOf(p, c), c.ref.id, 'lead', passes / (c.ports.dcIn?.efficiency ?? 1)), ...(bank === undefined ? [] : [ribbon(c.ref.id, bank, 'lead', passes, c.ref.id)])];
  });
  return { things: [...things, ...stepBoxes(l, onLeads), ...boxes], flows };
}
