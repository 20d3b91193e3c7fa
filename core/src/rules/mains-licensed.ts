import { convertersOfKind, fromInlet, plant } from '../plant/index.js';
import type { Rule } from './rule.js';

export const mainsLicensed: Rule = {
  id: 'mains-licensed',
  severity: 'look',
  basis: 'fixed 230 V wiring is for a licensed electrician; check the rules in force',
  why: 'Mains kills. Meridex stops at “to be done and signed by”.',
  test: ({ design, catalogue }) => {
    const p = plant(design, catalogue);
    const inverters = convertersOfKind(p, 'inverter');
    const parts = [...inverters, ...fromInlet(p).filter((c) => c.part.kind !== 'inverter')].map((c) => c.part.name);
    return parts.length ? [{ at: { stage: 'checks', about: 'mains' }, values: { parts: parts.join(' and ') } }] : [];
  },
  say: (v) => `230 V side of ${v['parts']}: to be done and signed by a licensed electrician.`,
  fix: () => 'Book the electrician; accept this with their name once it is signed.',
};
