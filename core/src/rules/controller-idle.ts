import { supplyOf } from '../design/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const controllerIdle: Rule = {
  id: 'controller-idle',
  severity: 'stop',
  basis: 'a controller stands between panels and a bank',
  why: 'A box that nothing feeds, or that feeds nothing, costs money and brings no ampere-hour.',
  test: ({ design, catalogue, runs, supply: { array, bank } }) => {
    const part = catalogue.find('solar-controller', supplyOf(design).sun.controller);
    if (!part) return [];
    const fed = array !== null && (array.ratedW > 0 || array.portable?.ownRegulator === false);
    const joined = !bank || runs.some((r) => r.spec.from.gear === 'controller');
    const what = !fed ? 'nothing feeds it' : !joined ? 'it is wired to nothing' : null;
    return what ? [{ at: { stage: 'supply', about: 'controller' }, values: { name: part.name, what } }] : [];
  },
  presses: (_, { design }) => [press(design, 'Take the controller out', (d) => (supplyOf(d).sun.controller = null))],
  say: (v) => `${v['name']}: ${v['what']}.`,
  fix: () => 'Panels for it, or take it out.',
};
