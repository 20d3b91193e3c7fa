import { fansFor, fitFans } from '../places/index.js';
import { asUsual, press } from './press.js';
import type { Rule } from './rule.js';

export const compartmentHot: Rule = {
  id: 'compartment-hot',
  severity: 'look',
  harm: 'broken gear',
  basis: 'ΔT = P / (5.5 W/m²K · surface); fan flow 2.99 · P / ΔT m³/h; two vents by the rise of warm air, Cd 0.6',
  why: 'Chargers cut back above 50 °C, and heat shortens every battery’s life.',
  test: ({ layout }) =>
    layout.heat
      .filter((h) => h.fanM3h > 0)
      .map((h) => ({
        at: { stage: 'places' as const, about: h.zone },
        values: { zone: h.name, watts: Math.round(h.heatW), rise: Math.round(h.riseK), flow: Math.ceil(h.fanM3h), thermostat: fansFor(h).fromC, fans: h.air ? 1 : 0, from: h.from.join(', ') },
      })),
  presses: ({ at }, { design, layout }) => {
    const h = layout.heat.find((x) => x.zone === at.about);
    if (!h) return [];
    const fans = fansFor(h);
    const fan = press(design, `Fit a fan of ${fans.outM3h} m³/h`, (d) => fitFans(d, h, { ...fans, inM3h: h.air?.inM3h ?? 0, ...(h.air?.ventCm2 ? { ventCm2: h.air.ventCm2 } : {}) }));
    const { ventCm2 } = h;
    const none = { outM3h: 0, inM3h: 0, fromC: fans.fromC };
    return [asUsual(fan), ...(ventCm2 === null ? [] : [press(design, `Cut two vents of ${ventCm2} cm², low and high`, (d) => fitFans(d, h, { ...(h.air ?? none), ventCm2 }))])];
  },
  say: (v) => `${v['from']} warm the ${v['zone']} by ${v['rise']} K at full output (${v['watts']} W)${v['fans'] ? ', with the fans that it has' : ''}.`,
  fix: (v) => `A fan of ${v['flow']} m³/h behind a filter, thermostat ${v['thermostat']} °C, inlet low, outlet high and outside; or part the gear.`,
};
