import { assess } from '../assess/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { readDesign, type Design, type Settings } from '../design/index.js';
import { buildDiagram, WHOLE } from '../diagram/index.js';
import { labelsOf } from '../labels/index.js';
import { fuseMarks, ownFuseMarks } from './index.js';

const marked = (own: Settings['fuseMarks']): Design => {
  const d = structuredClone(DEMO_JOBS.find((j) => j.key === 'bookmobile')!.design);
  d.settings.fuseMarks = own;
  return d;
};
const of = (d: Design) => assess(d, catalogueOf(d));
const fuses = (d: Design): readonly string[] =>
  labelsOf(d, catalogueOf(d), of(d))
    .filter((l) => l.kind === 'fuse')
    .map((l) => l.mark);

describe('numbers of fuses as the workshop writes them', () => {
  const runs = [
    { spec: { id: 'feed', number: 3, ends: [{ at: 'from' }, { at: 'to' }] } },
    { spec: { id: 'tail', number: 4, ends: [] } },
    { spec: { id: 'lamp', number: 7, ends: [{ at: 'from' }] } },
  ] as unknown as Parameters<typeof fuseMarks>[1];

  it('are those of their runs, told apart where a run has two', () => {
    const mark = fuseMarks({ by: 'their run', prefix: 'F' }, runs);
    expect([mark('feed', 'from'), mark('feed', 'to'), mark('lamp', 'from'), mark('tail', 'from')]).toEqual(['F3a', 'F3b', 'F7', '']);
  });

  it('or are counted by themselves', () => {
    const mark = fuseMarks({ by: 'their own count', prefix: '' }, runs);
    expect([mark('feed', 'from'), mark('feed', 'to'), mark('lamp', 'from')]).toEqual(['1', '2', '3']);
  });

  it('say nothing more where the run says it all', () => {
    expect(ownFuseMarks({ by: 'their run', prefix: '' }, runs)('feed', 'to')).toBe('');
    expect(ownFuseMarks({ by: 'their run', prefix: 'F' }, runs)('feed', 'to')).toBe('F3b');
  });

  it('stand on labels, in the steps and in the diagram alike, and each on one fuse alone', () => {
    const d = marked({ by: 'their own count', prefix: 'F' });
    const a = of(d);
    const on = fuses(d);
    expect(new Set(on).size).toBe(on.length);
    expect(on).toContain('F1');
    const steps = a.fit.filter((s) => s.id.startsWith('fuse-')).map((s) => s.text);
    const drawn = buildDiagram({ design: d, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond }, WHOLE).nodes.map((n) => n.title);
    for (const mark of on) {
      expect(steps.filter((t) => new RegExp(`: (F\\d+ and )?${mark}( and F\\d+)?, `).test(t)).length)
        .withContext(mark)
        .toBe(1);
      expect(drawn.filter((t) => t.startsWith(`${mark} · `)).length)
        .withContext(mark)
        .toBe(1);
    }
  });

  it('are as they were in a job that says nothing of them', () => {
    const plain = marked({ by: 'their run', prefix: '' });
    const { fuseMarks: _, ...older } = plain.settings;
    const read = readDesign(JSON.parse(JSON.stringify({ ...plain, settings: older })));
    expect(read.ok && fuses(read.design)).toEqual(fuses(plain));
    expect(of(plain).fit.some((s) => s.text.includes('Run 1: MIDI') || s.text.startsWith('Run 1: '))).toBeTrue();
  });
});
