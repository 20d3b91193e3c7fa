import type { Rule } from './rule.js';

export const holeTooSmall: Rule = {
  id: 'hole-too-small',
  severity: 'look',
  harm: 'fire',
  basis: 'smallest stock hole saw for the bundle and 2 mm; stock saws to 51 mm',
  why: 'A bundle that is forced through chafes.',
  test: ({ layout }) =>
    layout.stretches
      .filter((s) => s.hole && (s.hole.sawMm === null || (s.hole.stockMm !== null && !s.hole.stockFits)))
      .map((s) => ({
        at: { stage: 'runs' as const, about: s.way.id },
        values: { along: s.way.along, bundle: Math.ceil(s.bundleMm), stock: s.hole!.stockMm ?? 0, saw: s.hole!.sawMm ?? 0 },
      })),
  say: (v) => (v['saw'] ? `${v['along']}: the bundle is ${v['bundle']} mm, the hole that is there ${v['stock']} mm.` : `${v['along']}: a bundle of ${v['bundle']} mm passes no stock hole.`),
  fix: (v) => (v['saw'] ? `Open it to ${v['saw']} mm, or send part of it another way.` : 'Two holes side by side, or another way for the thickest run.'),
};
