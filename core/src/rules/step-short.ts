import { convertsOf } from '../catalogue/index.js';
import { plant, stepLoad, suppliesV, withPort, type Step } from '../plant/index.js';
import { figure, sentence } from '../quantity/index.js';
import { press } from './press.js';
import type { Facts, Rule } from './rule.js';

const stepsIn = ({ design, catalogue }: Pick<Facts, 'design' | 'catalogue'>): readonly { readonly step: Step; readonly bringsW: number; readonly takenW: number }[] => {
  const p = plant(design, catalogue);
  return withPort(p, 'dcIn')
    .filter((c) => c.feeds.length)
    .map((step) => ({ step, ...stepLoad(p, step) }));
};

export const stepShort: Rule = {
  id: 'step-short',
  severity: 'stop',
  harm: 'the plan',
  basis: 'power: what the chargers take at full output against what the box before them gives',
  why: 'Overdrawn, the box in front folds back or switches off, the charger behind it cuts out, and both begin again: the bank is hardly charged.',
  test: (facts) =>
    stepsIn(facts)
      .filter(({ bringsW, takenW }) => takenW > bringsW)
      .map(({ step, bringsW, takenW }) => ({
        at: { stage: 'supply' as const, about: step.ref.id },
        values: { part: step.part.name, bringsW, takenW },
      })),
  presses: ({ at }, { design, catalogue }) => {
    const found = stepsIn({ design, catalogue }).find(({ step }) => step.ref.id === at.about);
    if (!found) return [];
    const { step, takenW } = found;
    const { dcIn } = step.ports;
    const halved = withPort(plant(design, catalogue), 'dcIn').find((c) => step.feeds.some((f) => f.id === c.ref.id) && c.ports.dcIn.halfPower && !design.converters[c.ref.id]!.half);
    const larger = catalogue.parts
      .filter((x) => x.kind === 'dcdc' && x.inside === undefined && x.inputV === dcIn.inputV && x.outputV === dcIn.outputV && suppliesV(x) * x.outputA >= takenW)
      .sort((a, b) => (a.kind === 'dcdc' && b.kind === 'dcdc' ? a.outputA - b.outputA : 0))[0];
    return [
      ...(halved ? [press(design, `Set the ${convertsOf(halved.part).calls(halved.part)} to half power`, (d) => (d.converters[halved.ref.id]!.half = true))] : []),
      ...(larger ? [press(design, `Take ${larger.name} before it`, (d) => (d.converters[step.ref.id]!.part = larger.id))] : []),
    ];
  },
  say: (v) => `${sentence(String(v['part']))} brings ${figure(Number(v['bringsW']), 0)} W; what hangs on it takes ${figure(Number(v['takenW']), 0)} W.`,
  fix: () => 'Take a larger box in front, a smaller charger behind it, or set that to half power.',
};
