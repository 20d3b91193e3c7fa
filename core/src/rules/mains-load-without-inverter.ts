import { inverterOf } from '../plant/index.js';
import { takeInverter } from './press.js';
import type { Rule } from './rule.js';

export const mainsLoadWithoutInverter: Rule = {
  id: 'mains-load-without-inverter',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'a mains load needs a source of mains',
  why: 'It cannot run away from a mains inlet.',
  test: ({ day, catalogue, design }) => {
    const mains = day.loads.filter((l) => l.mains);
    if (!mains.length || (inverterOf(design, catalogue)?.part ?? null)) return [];
    return [{ at: { stage: 'supply', about: 'inverter' }, values: { loads: mains.map((l) => l.name).join(', '), watts: Math.round(Math.max(...mains.map((l) => l.ownW))) } }];
  },
  presses: ({ values: v }, { design, catalogue }) => takeInverter(design, catalogue, Number(v['watts'])),
  say: (v) => `No inverter for ${v['loads']}.`,
  fix: (v) => `Choose an inverter of ${v['watts']} W or more, or take the mains loads off the list.`,
};
