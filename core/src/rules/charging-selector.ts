import { doCommand } from '../commands/index.js';
import { plant } from '../plant/index.js';
import { figure } from '../quantity/index.js';
import { distributionOf, selectorsOf } from '../supply/index.js';
import type { Press } from './press.js';
import type { Found, Rule, Facts } from './rule.js';

const WHAT = {
  position: 'has one position, for one bank',
  bank: 'has one bank to choose: none stands behind the loads’ selector',
  through: 'leaves the inverter-charger out: it charges by the cable that it draws by, so it charges the bank that the loads hang on',
} as const;

const found = (what: keyof typeof WHAT, part: string): Found => ({
  at: { stage: 'supply', about: 'charging' },
  ...(what === 'through' ? { severity: 'look' as const } : {}),
  values: { what, part },
});

/** The charging selector as another part, or none. */
function take({ design }: Pick<Facts, 'design'>, part: string | null, label: string): readonly Press[] {
  const done = doCommand(design, { do: 'chargingSelector', with: { part } });
  return done.ok ? [{ label, patch: done.patch }] : [];
}

export const chargingSelector: Rule = {
  id: 'charging-selector',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'a selector for the chargers has a position for each of two banks, and what it cannot turn is known',
  why: 'A bank that everybody takes for charged, and that no charger reaches, is flat when it is turned to.',
  test: ({ design, catalogue }) => {
    const { converters, banks } = plant(design, catalogue);
    const { chargingSelector: part } = distributionOf(design, catalogue);
    if (!part) return [];
    const through = converters.some((c) => c.ports.mainsOut && c.ports.mainsIn && !c.inside);
    return [...(part.selects ? [] : [found('position', part.name)]), ...(banks.some((b) => b.selected) ? [] : [found('bank', part.name)]), ...(through ? [found('through', part.name)] : [])];
  },
  presses: ({ values }, facts) => {
    if (values['what'] === 'bank') return take(facts, null, 'Take it out');
    const { chargingSelector: now } = distributionOf(facts.design, facts.catalogue);
    const part = selectorsOf(facts.catalogue).find((p) => p.ratedA >= (now?.ratedA ?? 0));
    return values['what'] === 'position' && part ? take(facts, part.id, `Take the ${part.name}, ${figure(part.ratedA, 0)} A`) : [];
  },
  say: (v) => `The charging selector (${v['part']}) ${WHAT[v['what'] as keyof typeof WHAT]}.`,
  fix: (v) =>
    ({
      position: 'A battery selector in its place, rated no less.',
      bank: 'A second bank behind the loads’ selector, or no charging selector.',
      through: 'On mains turn the loads’ selector to the bank that is to be filled; or a mains charger beside an inverter.',
    })[v['what'] as keyof typeof WHAT],
};
