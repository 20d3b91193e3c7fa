import { plant } from '../plant/index.js';
import { press } from './press.js';
import type { Rule } from './rule.js';

export const disconnectInNegative: Rule = {
  id: 'disconnect-in-negative',
  severity: 'look',
  harm: 'rules in force',
  basis: 'schools differ: in the positive by default; in the negative it is allowed, with what it does to shunt and body',
  why: 'Opened in the negative, it leaves every positive behind it at battery volts against the body; a load that is earthed to the body stays on.',
  test: ({ design, catalogue, runs }) => {
    const inNegative = plant(design, catalogue).switchgear.filter((s) => s.part.kind === 'disconnect' && s.pole === 'negative');
    const earthed = runs.filter((r) => r.spec.back === 'chassis' && r.spec.group === 'loads').map((r) => r.spec.name);
    return inNegative.map(({ ref }) => ({
      at: { stage: 'supply' as const, about: ref.id },
      values: { earthed: earthed.join(', ') },
      severity: earthed.length ? ('stop' as const) : ('look' as const),
    }));
  },
  presses: ({ at }, { design }) => [press(design, 'Move it to the positive', (d) => (d.switchgear[at.about!]!.pole = 'positive'))],
  say: (v) =>
    v['earthed']
      ? `The disconnect is in the negative, and returns through the body go round it: ${v['earthed']}.`
      : 'The disconnect is in the negative: all positives behind it stay live against the body.',
  fix: (v) =>
    v['earthed']
      ? 'Give those loads a return cable, or move the disconnect to the positive.'
      : 'Keep all returns behind it insulated from the body, label it, and keep it on the load side of the shunt; or move it to the positive.',
};
