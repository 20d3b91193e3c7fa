import { takeOut } from '../commands/index.js';
import { controllersOf } from '../plant/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const controllerIdle: Rule = {
  id: 'controller-idle',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'a controller stands between panels and a bank',
  why: 'A box that nothing feeds, or that feeds nothing, costs money and brings no ampere-hour.',
  test: ({ design, catalogue, runs, supply: { bank } }) =>
    // Panels that wait for later feed it then.
    controllersOf(design, catalogue).flatMap(({ id, part, fed }): Found[] => {
      const joined = !bank || runs.some((r) => r.spec.from.gear === id);
      const what = !fed ? 'nothing feeds it' : !joined ? 'it is wired to nothing' : null;
      return what ? [{ at: { stage: 'supply', about: id }, values: { name: part.name, what } }] : [];
    }),
  presses: ({ at }, { design }) => [press(design, 'Take the controller out', (d) => takeOut(d, at.about!))],
  say: (v) => `${v['name']}: ${v['what']}.`,
  fix: () => 'Panels for it, or take it out.',
};
