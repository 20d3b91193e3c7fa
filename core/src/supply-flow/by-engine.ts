import { OWN_VEHICLE, stepOf, type ConverterThing } from '../plant/index.js';
import { figure } from '../quantity/index.js';
import { ALTERNATOR } from '../supply/index.js';
import { mean } from './given.js';
import { bankOf, nameOf, NONE, ribbon, type Look, type Part } from './look.js';
import { fedOver, stepBoxes } from './steps.js';

/** The engine, with the chargers and links that it feeds. */
export function byEngine(l: Look): Part {
  const { design, a, p } = l;
  const { alternator, trip } = design.brief;
  const onEngine = p.converters.filter((c) => c.inputs.some((i) => i.by === 'vehicle'));
  const chargers = onEngine.filter((c) => !c.feeds.length);
  if (!chargers.length && !p.links.length) return NONE;
  const allAh = mean(a.trip?.alternatorAh ?? []);
  const outA = (c: ConverterThing): number => (l.waits.has(c.ref.id) ? 0 : (c.ports.dcIn?.outputA ?? 0) * c.share);
  const sum = chargers.reduce((s, c) => s + outA(c), 0);
  const budget = a.supply.alternator;
  const engine: Part['things'][number] = {
    id: OWN_VEHICLE.id,
    column: 'gives',
    title: 'Alternator',
    says: [`${figure(alternator.ratedA, 0)} A, ${alternator.voltage}`, `${figure(Math.max(0, budget.leftCruiseA), 0)} A left on the road`, `driving ${figure(trip.drivingH, 1)} h a day`],
    looks: budget.over ? [`chargers want ${figure(budget.wanted.roadA, 0)} of ${figure(budget.leftCruiseA * ALTERNATOR.wantAtMost, 0)} A`] : [],
  };
  const links = p.links.map((x, n) => ({ id: x.ref.id, share: chargers.length || n ? 0 : 1, name: nameOf(l, x.ref.id, x.part.name), says: [`up to ${x.part.ratedA} A`], efficiency: 1, step: null }));
  const boxes = chargers.map((c) => ({
    id: c.ref.id,
    share: sum > 0 ? outA(c) / sum : 0,
    name: nameOf(l, c.ref.id, c.part.name),
    says: [`${figure(outA(c), 0)} A${c.share < 1 ? ', half power' : ''}`, ...(c.ports.dcIn ? [`loses ${figure(100 * (1 - c.ports.dcIn.efficiency), 0)} % as heat`] : [])],
    efficiency: c.ports.dcIn?.efficiency ?? 1,
    step: stepOf(p, c),
  }));
  const all = [...boxes, ...links];
  return {
    things: [engine, ...stepBoxes(l, onEngine), ...all.map((b) => ({ id: b.id, column: 'converts' as const, title: b.name, says: b.says, looks: l.waits.has(b.id) ? ['for later'] : [] }))],
    flows: all.flatMap((b) => {
      const bank = bankOf(
        l,
        p.converters.find((c) => c.ref.id === b.id),
      );
      const passes = allAh * b.share;
      return [
        ...fedOver(engine.id, b.step, b.id, 'engine', passes / b.efficiency),
        ...(bank === undefined ? [] : [ribbon(b.id, bank, 'engine', passes, p.links.some((x) => x.ref.id === b.id) ? null : b.id)]),
      ];
    }),
  };
}
