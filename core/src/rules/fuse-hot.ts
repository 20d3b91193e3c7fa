import { carriesA, FUSE_KINDS } from '../protection/index.js';
import { figure, rating } from '../quantity/index.js';
import type { Rule } from './rule.js';

export const fuseHot: Rule = {
  id: 'fuse-hot',
  severity: 'look',
  harm: 'fire',
  basis: 'rerating from 25 °C: −0.15 % for each kelvin for fuses, −0.5 % for thermal breakers (defaults; the maker’s own curve replaces them)',
  why: 'In hot air a fuse opens below its rating, on the worst day and at full load.',
  test: ({ runs }) =>
    runs.flatMap((r) => {
      if (!r.ok) return [];
      const { fuseType: type, fuseA, currentA, window } = r.figures;
      const carries = carriesA(type, fuseA, r.spec.fuseAirC);
      // Too small in any air is another finding.
      if (!r.spec.ends.length || currentA <= carries + 1e-9 || currentA > carriesA(type, fuseA, 25) + 1e-9) return [];
      return [
        {
          at: { stage: 'protection' as const, about: r.spec.id },
          values: {
            run: r.spec.name,
            kind: FUSE_KINDS[type].name,
            fuse: rating(fuseA),
            amps: figure(currentA, 1),
            carries: figure(carries, 1),
            air: figure(r.spec.fuseAirC, 0),
            limitingParts: window.to.what,
          },
        },
      ];
    }),
  say: (v) => `${v['run']}: in the ${v['air']} °C where it stands the ${v['fuse']} A (${v['kind']}) carries ${v['carries']} A all day; ${v['amps']} A may flow.`,
  fix: (v) => `Move the fuse into cooler air, or raise what keeps the next rating out (${v['limitingParts']}).`,
};
