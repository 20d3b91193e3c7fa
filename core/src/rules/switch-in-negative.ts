import { plant } from '../plant/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const switchInNegative: Rule = {
  id: 'switch-in-negative',
  severity: 'look',
  harm: 'rules in force',
  basis: 'schools differ: in the positive by default; in the negative it is allowed, with what it does to body and returns',
  why: 'Opened in the negative it leaves every positive at battery volts; a return that reaches the battery by the body goes round it.',
  test: ({ design, catalogue, runs }) => {
    const p = plant(design, catalogue);
    const stays = p.banks.some((b) => b.selected) ? 'selector' : p.distribution.some((d) => d.part?.kind === 'hub') ? 'hub' : '';
    const earthed = runs.filter((r) => r.spec.back === 'chassis' && r.spec.from.ref.in === 'banks').map((r) => r.spec.name);
    return p.switchgear
      .filter((s) => s.does === 'main switch' && s.pole === 'negative')
      .map(({ ref }): Found => ({
        at: { stage: 'supply', about: ref.id },
        values: { earthed: earthed.join(', '), stays },
        severity: stays || earthed.length ? 'stop' : 'look',
      }));
  },
  presses: ({ at }, { design }) => [press(design, 'Move it to the positive', (d) => (d.switchgear[at.about!]!.pole = 'positive'))],
  say: (v) => {
    if (v['stays'] === 'selector') return 'The selector is set to the negative: it chooses between two banks, and is drawn and reckoned with in their positives.';
    if (v['stays'] === 'hub') return 'The main switch is set to the negative, where the hub board has shunt and bar in one: it is drawn and reckoned with in the positive.';
    return v['earthed']
      ? `The main switch is in the negative, and what returns through the body goes round it: ${v['earthed']}.`
      : 'The main switch is in the negative: all positives stay live when it is off.';
  },
  fix: (v) => {
    if (v['stays']) return 'The switch in the positive; negatives stay joined.';
    return v['earthed']
      ? 'Give those loads a return cable, or move the switch to the positive.'
      : 'Label it, tie the body to the load side alone, keep what is always live returned between shunt and switch; or move it to the positive.';
  },
};
