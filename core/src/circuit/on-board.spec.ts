import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { BOARD_FACE } from '../places/index.js';
import { boardCables } from './index.js';

const boarded = DEMO_JOBS.filter((j) => j.design.board !== null).map((j) => ({ key: j.key, board: j.design.board!, a: assess(j.design, SHIPPED_CATALOGUE) }));

describe('cables on the board', () => {
  it('are looked at on more than one demo', () => {
    expect(boarded.length).toBeGreaterThan(1);
  });

  for (const { key, board, a } of boarded) {
    const cables = boardCables(board, a);
    const aboard = a.gear.filter((g) => g.face === BOARD_FACE);

    it(`${key}: run along the board or up it, and none over a thing`, () => {
      for (const c of cables)
        c.way.slice(1).forEach((q, i) => {
          const p = c.way[i]!;
          expect(p.u === q.u || p.v === q.v)
            .withContext(c.name)
            .toBeTrue();
          for (const g of aboard) {
            const within = Math.min(p.u, q.u) < g.u + g.outline.w - 8 && Math.max(p.u, q.u) > g.u + 8 && Math.min(p.v, q.v) < g.v + g.outline.h - 8 && Math.max(p.v, q.v) > g.v + 8;
            expect(within).withContext(`${c.name} over ${g.name}`).toBeFalse();
          }
        });
    });

    it(`${key}: are every run with an end on it, each pole once, and the links of what stands in line`, () => {
      const on = new Set(aboard.map((g) => g.id));
      const touching = a.runs.filter((r) => on.has(r.spec.from.gear) || on.has(r.spec.to.gear));
      for (const r of touching) {
        const poles = cables.filter((c) => c.run === r).flatMap((c) => (c.poles === 'both' ? ['feed', 'return'] : [c.poles]));
        expect(poles.sort())
          .withContext(r.spec.name)
          .toEqual(r.spec.back === 'cable' ? ['feed', 'return'] : ['feed']);
      }
      expect(cables.filter((c) => c.run === null).length).toBe(a.links.filter((l) => on.has(l.part)).length);
    });

    it(`${key}: the battery’s feed goes to the main switch and its return to the shunt, and no further`, () => {
      const lead = a.runs.find((r) => r.spec.role === 'bank lead')!;
      const [feed, back] = (['feed', 'return'] as const).map((p) => cables.find((c) => c.run === lead && c.poles === p)!);
      for (const [cable, id] of [
        [feed, 'switch'],
        [back, 'shunt'],
      ] as const) {
        const g = aboard.find((x) => x.id === id)!;
        const start = cable!.way[0]!;
        expect(start.u >= g.u && start.u <= g.u + g.outline.w && start.v >= g.v && start.v <= g.v + g.outline.h)
          .withContext(id)
          .toBeTrue();
      }
    });
  }
});
