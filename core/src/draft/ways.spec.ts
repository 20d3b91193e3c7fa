import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, NAMED_STATES, PARKED, settle, stateFigures } from '../circuit/index.js';
import { doCommands, type Asked } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { editDesign, type Design } from '../design/index.js';
import { inWords } from '../rules/index.js';

const with_ = (key: string, ...all: Asked[]): { readonly design: Design; readonly a: ReturnType<typeof assess> } => {
  const done = doCommands(DEMO_JOBS.find((j) => j.key === key)!.design, all);
  if (!done.ok) throw new Error(done.message);
  return { design: done.design, a: assess(done.design, SHIPPED_CATALOGUE) };
};
const block: Asked = { do: 'addBlock', with: { id: 'rear', part: 'fb-6' } };
const small: Asked = { do: 'addConverter', with: { id: 'small', part: 'inv-300' } };

describe('a second fuse block', () => {
  const { design, a } = with_('vet', block);
  const on = (id: string): readonly string[] => a.runs.flatMap((r) => (r.spec.from.gear === id && r.spec.role === 'load feed' ? [r.spec.serves.id] : []));

  it('has a fused feed of its own from the bars, and each load hangs on one of the two', () => {
    const feeds = a.runs.filter((r) => r.spec.role === 'block feed');
    expect(feeds.map((r) => [r.spec.id, r.spec.name, r.ok])).toEqual([
      ['bus-block', 'Bus bars → fuse block', true],
      ['bus-rear', 'Bus bars → second fuse block', true],
    ]);
    expect([on('block').length > 0, on('rear').length > 0]).toEqual([true, true]);
    const one = assess(DEMO_JOBS.find((j) => j.key === 'vet')!.design, SHIPPED_CATALOGUE);
    expect(on('block').length + on('rear').length).toBe(one.runs.filter((r) => r.spec.from.gear === 'block').length);
    const carried = feeds.reduce((sum, r) => sum + r.spec.lastingA, 0);
    expect(carried).toBeGreaterThanOrEqual(one.runs.find((r) => r.spec.id === 'bus-block')!.spec.lastingA - 1e-9);
  });

  it('takes what is nearer to it than to the first', () => {
    const length = (load: string): number => a.runs.find((r) => r.spec.id === `load-${load}`)!.spec.outM;
    for (const load of on('rear')) {
      const away = with_('vet', block, { do: 'setLoad', with: { load, set: { feed: { by: 'own', on: 'block' } } } });
      expect(away.a.runs.find((r) => r.spec.id === `load-${load}`)!.spec.outM)
        .withContext(load)
        .toBeGreaterThanOrEqual(length(load));
    }
  });

  it('gives way to what was typed, is short of ways by itself, and is bought', () => {
    const all = on('block').concat(on('rear'));
    const typed = with_(
      'vet',
      { do: 'addBlock', with: { id: 'rear', part: 'fb-6', name: 'rear block' } },
      ...all.map((load): Asked => ({ do: 'setLoad', with: { load, set: { feed: { by: 'own', on: 'rear' } } } })),
    );
    expect(typed.a.runs.filter((r) => r.spec.from.gear === 'rear').length).toBe(all.length);
    expect(typed.a.runs.some((r) => r.spec.id === 'bus-block')).toBeFalse();
    expect(typed.a.runs.find((r) => r.spec.id === 'bus-rear')!.spec.name).toBe('Bus bars → rear block');
    const lines = JSON.stringify(typed.a.order);
    expect(lines).toContain('fuse block 6 ways');
    const more = Array.from({ length: 5 }, (_, i): Asked => ({ do: 'addLoad', with: { id: `lamp${i}`, item: 'lights-inside', set: { feed: { by: 'own', on: 'rear' } } } }));
    const full = with_('vet', block, ...more, ...all.map((load): Asked => ({ do: 'setLoad', with: { load, set: { feed: { by: 'own', on: 'rear' } } } })));
    const short = full.a.open.find((f) => f.rule === 'ways-short')!;
    expect([short.at.about, inWords(short).say]).toEqual(['rear', `${all.length + 5} circuits want a way; the second fuse block has 6.`]);
    const pressed = editDesign(full.design, short.presses[0]!.patch);
    if (!pressed.ok) throw new Error('the press was refused');
    expect(pressed.design.distribution['block']).toEqual(full.design.distribution['block']);
    expect(assess(pressed.design, SHIPPED_CATALOGUE).open.some((f) => f.rule === 'ways-short')).toBeFalse();
  });

  it('solves in every state, and leaves loads to the first one when it goes', () => {
    const plan = circuitPlan(design, SHIPPED_CATALOGUE, a)!;
    for (const [name, state] of Object.entries(NAMED_STATES)) if (name !== 'main switch open') expect(stateFigures(plan, state).ok).withContext(name).toBeTrue();
    const back = with_('vet', block, { do: 'setLoad', with: { load: 'l1', set: { feed: { by: 'own', on: 'rear' } } } }, { do: 'remove', with: { thing: 'rear' } });
    expect(back.design).toEqual(with_('vet').design);
  });
});

describe('a second inverter', () => {
  const shaver: Asked = { do: 'addLoad', with: { id: 'shaver', item: 'laptop', set: { name: 'shaver', supply: 'mains' } } };
  const { a, design } = with_('vet', small, shaver);

  it('takes the mains loads that it bears, and no rule calls it uncarried', () => {
    const behind = (id: string): readonly string[] => a.day.loads.filter((l) => l.inverter === id).map((l) => l.name);
    expect([behind('small'), behind('inverter').length]).toEqual([['shaver'], 1]);
    expect(a.open.some((f) => f.rule === 'not-carried' || f.rule === 'inverter-too-small')).toBeFalse();
    const typed = with_('vet', small, shaver, { do: 'setLoad', with: { load: a.day.loads.find((l) => l.inverter === 'inverter')!.id, set: { inverter: 'small' } } });
    const over = typed.a.open.filter((f) => f.rule === 'inverter-too-small');
    expect(over.map((f) => f.at.about)).toEqual(['small']);
  });

  it('has its own fused feed, its share of the main lead, its own idle draw and heat', () => {
    const one = with_('vet', shaver).a;
    const feed = a.runs.find((r) => r.spec.id === 'bus-small')!;
    expect([feed.ok, feed.spec.name]).toEqual([true, 'Bus bars → second inverter 300 W']);
    const main = (x: typeof a): number => x.runs.find((r) => r.spec.role === 'bank lead')!.spec.lastingA;
    expect(main(a) - main(one)).toBeCloseTo(feed.spec.lastingA, 6);
    expect(a.gear.find((g) => g.id === 'small')!.heatW).toBeGreaterThan(5);
    expect(a.day.inverterIdleWh - one.day.inverterIdleWh).toBeCloseTo(24 * 0.012 * 300, 6);
    expect(a.supply.inverter!.ratedW).toBe(one.supply.inverter!.ratedW + 300);
  });

  it('draws in the network what hangs on it, and nothing of what hangs on the other', () => {
    const plan = circuitPlan(design, SHIPPED_CATALOGUE, a)!;
    const drawn = (...loads: string[]): ReadonlyMap<string, number> => {
      const r = settle(plan, { ...PARKED, loads: { only: loads } });
      if (!r.ok) throw new Error(r.error);
      return new Map(r.loads.map((l) => [l.id, l.amp]));
    };
    const shaving = drawn('shaver');
    expect([shaving.has('small'), shaving.has('inverter')]).toEqual([true, false]);
  });
});
