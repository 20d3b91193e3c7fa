import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { doCommands } from '../commands/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { readDesign, type Design } from '../design/index.js';
import { brokenInto, hasMains, INLET_A, mainsGap, mainsSide, mainsSketch, OUTPUT, RCD, TRANSFER, USED, YES_NO } from './index.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const side = (d: Design) => mainsSide(d, SHIPPED_CATALOGUE);
/** Everything answered with the first choice, or a word. */
function answered(d: Design, more: Readonly<Record<string, string>> = {}): Design {
  for (const q of side(d).questions) d.mains.answers[q.id] = q.choices?.[0] ?? 'as in the drawing';
  Object.assign(d.mains.answers, more);
  return d;
}
const signed = { by: 'Somebody licensed', licence: '1', on: '2026-11-30', statement: 'tested' };

describe('the 230 V side', () => {
  it('is asked about where there is some: each inlet in use, each inverter, what joins them, and what keeps it apart', () => {
    expect(side(demo('bees')).state).toBe('none');
    expect([side(demo('survey')), side(demo('vet')), side(demo('bookmobile'))].map((s) => s.questions.map((q) => q.id))).toEqual([
      ['inlet.rating', 'inlet.rcd', 'inlet.poles', 'inlet.lead', 'apart', 'circuits'],
      ['inverter.output', 'inverter.used', 'inverter.rcd', 'inverter.outlets', 'apart', 'circuits'],
      ['inlet.rating', 'inlet.rcd', 'inlet.poles', 'inlet.lead', 'inverter.output', 'inverter.used', 'inverter.rcd', 'inverter.outlets', 'transfer', 'apart', 'circuits'],
    ]);
  });

  it('stays open until it is signed, is late when more is asked after that, and may be no part of the job', () => {
    const d = answered(demo('survey'));
    expect([side(d).state, mainsGap(side(d))]).toEqual(['open', 'the 230 V side is not signed by a licensed electrician']);
    d.mains.signed = signed;
    expect([side(d).state, mainsGap(side(d))]).toEqual(['signed', null]);
    const more = doCommands(d, [{ do: 'addConverter', with: { id: 'inverter', part: 'inv-600' } }]);
    if (!more.ok) throw new Error(more.message);
    expect([side(more.design).state, mainsGap(side(more.design))]).toEqual(['late', 'the 230 V side was signed with 5 questions open']);
    more.design.mains.notOurs = { by: 'Somebody', reason: 'another firm', on: '2026-11-30' };
    expect([side(more.design).state, mainsGap(side(more.design)), hasMains(more.design, SHIPPED_CATALOGUE)]).toEqual(['not ours', null, false]);
  });

  it('refuses answers that would kill, each at the question that ends it', () => {
    const troubles = (key: string, answers: Record<string, string>): string[] => side(answered(demo(key), answers)).troubles.map((t) => t.id);
    const fine = {
      'inlet.rating': INLET_A[15],
      'inlet.rcd': RCD.thirty,
      'inlet.poles': YES_NO.yes,
      'inverter.output': OUTPUT.bonded,
      'inverter.used': USED.wired,
      'inverter.rcd': RCD.thirty,
      transfer: TRANSFER.switch,
    };
    expect(troubles('bookmobile', fine)).toEqual([]);
    expect(troubles('bookmobile', { ...fine, 'inlet.rcd': RCD.none })).toEqual(['inlet.rcd']);
    expect(troubles('bookmobile', { ...fine, 'inlet.poles': YES_NO.no })).toEqual(['inlet.poles']);
    expect(troubles('bookmobile', { ...fine, 'inverter.rcd': RCD.none })).toEqual(['inverter.rcd']);
    expect(troubles('bookmobile', { ...fine, 'inverter.output': OUTPUT.floating })).toEqual(['inverter.rcd', 'inverter.output']);
    expect(troubles('bookmobile', { ...fine, 'inverter.output': OUTPUT.floating, 'inverter.used': USED.plugged, 'inverter.rcd': RCD.none })).toEqual([]);
    // An inverter alone cannot switch over; one with a charger does.
    expect(troubles('bookmobile', { ...fine, transfer: TRANSFER.unit })).toEqual(['transfer']);
  });

  it('says what an inlet of too few amps is asked for', () => {
    const d = demo('survey');
    const more = doCommands(
      d,
      [2, 3, 4, 5].map((n) => ({ do: 'addConverter' as const, with: { id: `m${n}`, part: 'mc-40' } })),
    );
    if (!more.ok) throw new Error(more.message);
    const say = (a: string): string | undefined => side(answered(more.design, { 'inlet.rating': a, 'inlet.rcd': RCD.thirty })).troubles[0]?.say;
    expect(say(INLET_A[10])).toBe('what hangs on it takes 3450 W; 10 A give 2300 W');
    expect(say(INLET_A[16])).toBeUndefined();
  });

  it('takes a signature that was kept as an accepted finding', () => {
    const old = { ...demo('survey'), accepted: { 'mains-licensed:mains': { by: 'Somebody licensed', reason: 'done', at: '2026-10-30T08:00' }, other: { by: 'x', reason: 'y', at: 'z' } } };
    const read = readDesign(old);
    if (!read.ok) throw new Error(read.message);
    expect(read.design.mains.signed).toEqual({ by: 'Somebody licensed', licence: '', on: '2026-10-30', statement: 'done' });
    expect(Object.keys(read.design.accepted)).toEqual(['other']);
    // A day that is none cannot stand under a signature: it stays what it was.
    const odd = readDesign({ ...old, accepted: { 'mains-licensed:mains': { by: 'x', reason: 'y', at: 'on Friday' } } });
    expect(odd.ok && [odd.design.mains.signed, Object.keys(odd.design.accepted)]).toEqual([null, ['mains-licensed:mains']]);
  });
});

describe('the sketch of the 230 V side', () => {
  it('has a box for each source, its protection and what it feeds; what is not answered stands as a question', () => {
    const open = mainsSketch(side(demo('bookmobile')));
    expect(open.boxes.filter((b) => b.open).map((b) => b.lines.join(' '))).toEqual(['mains inlet rated?', 'RCD?', 'inverter 1000 W output?', 'RCD?', 'what keeps two sources apart?', 'outlets?']);
    const done = mainsSketch(side(answered(demo('bookmobile'), { transfer: TRANSFER.apart })));
    expect(done.boxes.filter((b) => b.open)).toEqual([]);
    expect(done.boxes.some((b) => b.id === 'transfer')).toBeFalse();
  });

  it('lays no box over another, and never two sources on one wire', () => {
    for (const { design } of DEMO_JOBS)
      for (const transfer of Object.values(TRANSFER)) {
        const { boxes, wires, w, h } = mainsSketch(side(answered(structuredClone(design), { transfer })));
        for (const a of boxes) {
          expect(a.x + a.w <= w && a.y + a.h <= h).toBeTrue();
          for (const b of boxes) expect(a === b || a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y).toBeTrue();
        }
        const bends = wires.filter((p) => p.length > 2).map((p) => p[1]![0]);
        expect(new Set(bends).size).toBe(bends.length);
      }
  });

  it('breaks words where they may be, and ends what does not fit', () => {
    expect(brokenInto('one two three four', 9)).toEqual(['one two', 'three', 'four']);
    expect(brokenInto('a b c d e f', 1, 3)).toEqual(['a', 'b', '…']);
  });
});
