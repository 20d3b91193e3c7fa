import type { JoinedRule } from './joint.js';

export const leadToNothing: JoinedRule = {
  id: 'lead-to-nothing',
  severity: 'stop',
  harm: 'flat batteries',
  basis: 'completeness of the supply',
  why: 'A lead that nothing charges from costs the giving battery and brings nothing.',
  test: ({ leads }) => leads.filter((l) => !l.gives && l.takesW === 0).map((l) => ({ at: { stage: 'supply', about: l.id }, values: { other: l.other } })),
  say: (v) => `The lead from the ${v['other']} goes into an inlet on which no charger hangs.`,
  fix: () => 'A charger on that inlet, or no lead.',
};
