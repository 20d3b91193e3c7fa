import { CHEMISTRY } from '../catalogue/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const usableAboveSchool: Rule = {
  id: 'usable-above-school',
  severity: 'look',
  harm: 'flat batteries',
  basis: 'usable share by chemistry; schools differ',
  why: 'The deeper a battery is used, the fewer cycles it lasts.',
  test: ({ supply: { bank, life } }) => {
    if (!bank || !life) return [];
    const usual = CHEMISTRY[bank.part.chemistry].usable;
    return bank.usableShare > usual + 1e-9
      ? [{ at: { stage: 'supply', about: 'house' }, values: { share: Math.round(100 * bank.usableShare), usual: Math.round(100 * usual), cycles: Math.round(life.cycles) } }]
      : [];
  },
  presses: (_, { design }) => (design.settings.usableShare === null ? [] : [press(design, 'Take the default', (d) => (d.settings.usableShare = null))]),
  say: (v) => `${v['share']} % of the bank is counted as usable; its chemistry’s default is ${v['usual']} %. It then lasts about ${v['cycles']} cycles.`,
  fix: () => 'Take the default, or accept it as the workshop’s school.',
};
