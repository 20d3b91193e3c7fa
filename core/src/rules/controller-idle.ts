import { takeOut } from '../commands/index.js';
import { portsIn } from '../catalogue/index.js';
import { controllersOf, OWN_VEHICLE, plant, withPort } from '../plant/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const controllerIdle: Rule = {
  id: 'controller-idle',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'a controller stands between panels and a bank',
  why: 'A box that nothing feeds, or that feeds nothing, costs money and brings no ampere-hour.',
  test: ({ design, catalogue, runs, supply: { bank } }) => [
    // Panels that wait for later feed it then.
    ...controllersOf(design, catalogue).flatMap(({ id, part, fed }): Found[] => {
      const joined = !bank || runs.some((r) => r.spec.from.gear === id);
      const what = !fed ? 'nothing feeds it' : !joined ? 'it is wired to nothing' : null;
      return what ? [{ at: { stage: 'supply', about: id }, values: { name: part.name, what } }] : [];
    }),
    ...withPort(plant(design, catalogue), 'dcIn')
      .filter((c) => !c.inputs.length)
      .map(({ ref, part }): Found => ({ at: { stage: 'supply', about: ref.id }, values: { name: part.name, what: 'nothing feeds it' } })),
  ],
  presses: ({ at }, { design, catalogue }) => {
    const id = at.about!;
    const takes = (portsIn(catalogue, design.converters[id]?.part ?? null)?.dcIn ?? null) !== null;
    const feed = press(design, 'Feed it from the starting battery', (d) => (d.converters[id]!.from = { in: 'vehicles', id: OWN_VEHICLE.id }));
    return [...(takes ? [feed] : []), press(design, `Take the ${takes ? 'charger' : 'controller'} out`, (d) => takeOut(d, id, catalogue))];
  },
  say: (v) => `${v['name']}: ${v['what']}.`,
  fix: () => 'Panels, a vehicle or a lead for it, or take it out.',
};
