import { plant } from '../plant/index.js';
import { distributionOf } from '../supply/index.js';
import { press, takeBlock, takeRated } from './press.js';
import type { Facts, Found, Rule } from './rule.js';

/** Boards with ways: what they are called, and how many they have. */
function boards({ design, catalogue, gear }: Facts): readonly { readonly id: string; readonly name: string; readonly ways: number }[] {
  const { hub } = distributionOf(design, catalogue);
  const blocks = plant(design, catalogue).distribution.flatMap(({ ref, part }) =>
    part?.kind === 'fuse-block' ? [{ id: ref.id, name: gear.find((g) => g.id === ref.id)?.name ?? 'fuse block', ways: part.ways }] : [],
  );
  return hub ? [{ id: 'bus', name: 'hub board', ways: hub.ways }, ...blocks] : blocks;
}

export const waysShort: Rule = {
  id: 'ways-short',
  severity: 'stop',
  harm: 'the plan',
  basis: 'one fuse, one circuit',
  why: 'Two circuits on one fuse hide each other’s faults.',
  test: (facts) =>
    boards(facts).flatMap(({ id, name, ways }): Found[] => {
      const used = facts.runs.filter((r) => r.spec.from.gear === id && r.spec.limitingParts.some((w) => w.kind === 'hub way' || w.kind === 'block way')).length;
      return used > ways ? [{ at: { stage: 'supply', about: id === 'bus' ? 'block' : id }, values: { used, ways, name, board: id } }] : [];
    }),
  presses: ({ values: v }, { design, catalogue }) => {
    const wants = Number(v['used']);
    if (v['board'] === 'bus')
      return takeRated(
        design,
        catalogue.usual('hub'),
        (p) => p.ways,
        wants,
        (s, id) => (s.hub = id),
      );
    const better = catalogue
      .usual('fuse-block')
      .filter((p) => p.ways >= wants)
      .sort((a, b) => a.ways - b.ways)[0];
    return better ? [press(design, `Take the ${better.name}`, (d) => takeBlock(d, String(v['board']), better.id))] : [];
  },
  say: (v) => `${v['used']} circuits want a way; the ${v['name']} has ${v['ways']}.`,
  fix: () => 'A bigger one, a second block, or loads that share a switch bank or strip.',
};
