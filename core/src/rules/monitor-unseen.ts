import { watchesOf } from '../catalogue/index.js';
import { plant } from '../plant/index.js';
import { monitorName } from '../supply/index.js';
import { press } from './press.js';
import type { Found, Rule } from './rule.js';

export const monitorUnseen: Rule = {
  id: 'monitor-unseen',
  severity: 'look',
  harm: 'the plan',
  basis: 'a sender tells a display, a relay is told by a button or a condition',
  why: 'What nobody sees helps nobody; a relay that nothing tells never closes.',
  test: ({ design, catalogue }) =>
    plant(design, catalogue).monitors.flatMap((m): Found[] => {
      if (!m.part || m.shownBy) return [];
      const of = watchesOf(m.part);
      const reads = of.reads(m.part);
      const untold = of.outputs(m.part) !== null && !design.monitors[m.ref.id]!.when;
      const unseen = reads !== null && reads !== 'charge' && !of.shows(m.part);
      return untold || unseen ? [{ at: { stage: 'supply', about: m.ref.id }, values: { name: monitorName(m), relay: untold ? 1 : 0 } }] : [];
    }),
  presses: ({ at }, { design, catalogue }) =>
    plant(design, catalogue)
      .monitors.filter((m) => m.part?.kind === 'remote')
      .slice(0, 1)
      .map((screen) => press(design, `Join it to the ${monitorName(screen)}`, (d) => (d.monitors[at.about!]!.shownBy = screen.ref.id))),
  say: (v) => (v['relay'] ? `Nothing tells the ${v['name']} what to do: no remote unit, no condition.` : `Nothing shows what the ${v['name']} measures.`),
  fix: (v) => (v['relay'] ? 'A remote unit with buttons for it, or a condition.' : 'A remote display for it, or a meter with a face of its own.'),
};
