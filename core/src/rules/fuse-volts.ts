import { FUSE_KINDS, RATED_DC_V } from '../protection/index.js';
import { figure, rating } from '../quantity/index.js';
import type { Rule } from './rule.js';

export const fuseVolts: Rule = {
  id: 'fuse-volts',
  severity: 'look',
  harm: 'fire',
  basis: 'highest volts that a fuse may have to break, a cold string of panels included, against the 32 V DC that the usual kinds are rated for',
  why: 'Direct current has no zero to go out at: above its rated volts a fuse or breaker goes on burning as an arc.',
  test: ({ runs }) =>
    runs.flatMap((r) =>
      r.ok && r.spec.ends.length && r.spec.highestV > RATED_DC_V
        ? [
            {
              at: { stage: 'protection' as const, about: r.spec.id },
              values: { run: r.spec.name, volts: figure(r.spec.highestV, 1), fuse: rating(r.figures.fuseA), kind: FUSE_KINDS[r.figures.fuseType].name },
            },
          ]
        : [],
    ),
  say: (v) => `${v['run']}: up to ${v['volts']} V on a cold morning; the usual ${v['fuse']} A ${v['kind']} is rated for ${RATED_DC_V} V DC.`,
  fix: (v) => `Buy one rated for ${v['volts']} V DC or more (the order asks for it), and check its plate; a figure for AC does not count.`,
};
