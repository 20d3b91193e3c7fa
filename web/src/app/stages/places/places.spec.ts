import { BOARD_FACE, DEMO_JOBS, type SizedRun, vehicleOf } from '@meridex/core';
import { type OnBench, onBench } from '../../testing/bench';
import { BoardSheet } from './board';
import { LoadAndHeatSheet } from './load-and-heat';
import { WhereSheet } from './where';

const BEFORE = DEMO_JOBS.find((j) => j.key === 'bookmobile')!.design;
const wide = (element: HTMLElement): void => {
  element.style.width = '1100px';
  element.style.height = '700px';
  document.body.append(element);
};
const onFace = (element: HTMLElement, gear: string): SVGGElement => element.querySelector(`mx-face-picture .gear[data-gear="${gear}"]`)!;
const middle = (element: Element): { x: number; y: number } => {
  const r = element.getBoundingClientRect();
  return { x: r.x + r.width / 2, y: r.y + r.height / 2 };
};
const pointer = (target: EventTarget, type: string, at: { x: number; y: number }): boolean => target.dispatchEvent(new PointerEvent(type, { bubbles: true, button: 0, clientX: at.x, clientY: at.y }));
const press = (target: EventTarget, key: string, shiftKey = false): boolean => target.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, bubbles: true, cancelable: true }));
const runOf = (b: OnBench<unknown>['bench'], id: string): SizedRun => b.openAssessment().runs.find((r) => r.spec.id === id)!;

describe('the sheet of places', () => {
  let mounted: OnBench<WhereSheet>;
  const gear = (id: string) => mounted.bench.openAssessment().gear.find((g) => g.id === id)!;
  const choose = async (id: string): Promise<void> => mounted.click(mounted.element.querySelector(`.shelf tr[data-gear="${id}"] button`));

  beforeEach(async () => {
    mounted = await onBench(WhereSheet, 'bookmobile');
    wide(mounted.element);
    await mounted.settle();
  });
  afterEach(() => mounted.element.remove());

  it('lists all gear with its zone, and begins with the house battery', () => {
    const { element, bench } = mounted;
    expect(element.querySelectorAll('.shelf tbody tr').length).toBe(bench.openAssessment().gear.length);
    expect(element.querySelector('.detail h2')!.textContent).toContain('house battery');
    expect(element.querySelectorAll('[data-view="side"] .gear').length).toBe(bench.openAssessment().gear.length);
  });

  it('takes what was there already on the face that is shown, chosen then, and forgets it where it is not', async () => {
    const { element, bench, click, type } = mounted;
    const face = gear('house').faceName;
    const button = (name: string): Element => [...element.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!;
    await click(button('mark what is here'));
    await click(button('speaker'));
    await type(element.querySelector('[aria-label="Out of it"]'), '80');
    await click(button(`Put it on the ${face}`));
    const [id] = Object.keys(bench.openDesign().brief.existing).slice(-1);
    expect(bench.openDesign().brief.existing[id!]).toEqual(jasmine.objectContaining({ name: 'speaker', verdict: 'keep', mm: [170, 170, 80] }));
    expect(element.querySelector('.detail h2')!.textContent).toBe('speaker');
    expect(element.querySelector('mx-face-picture .gear.there')).not.toBeNull();
    await click(button('It is not here'));
    expect(bench.openDesign().places[`existing:${id}`]).toBeUndefined();
    expect(element.querySelector('mx-there-before')!.textContent).withContext('it waits to be marked').toContain('speaker: not on any face yet');
    await click(element.querySelector('[aria-label="Mark where speaker is"]'));
    await click(button(`Put it on the ${face}`));
    expect(Object.keys(bench.openDesign().brief.existing).length)
      .withContext('the same again, not another')
      .toBe(1 + Object.keys(BEFORE.brief.existing).length);
  });

  it('builds a box round the chosen thing and what stands with it, and takes it away again', async () => {
    const { element, bench, click } = mounted;
    const button = (name: string): HTMLElement => [...element.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!;
    const where = gear('house');
    await click(button('box it'));
    await click(button('Build it'));
    expect([gear('house').zoneName, bench.openAssessment().layout.boxes.map((b) => b.name)]).toEqual(['box of the house battery', ['box of the house battery']]);
    expect(element.querySelector('mx-box-form')).toBeNull();
    await click(button('take the box away'));
    expect([gear('house').zone, gear('house').u, gear('house').v]).toEqual([where.zone, where.u, where.v]);
    expect(bench.openAssessment().layout.boxes).toEqual([]);
  });

  it('moves the chosen thing by a centimetre with an arrow key, by a millimetre with Shift', async () => {
    await choose('inverter');
    const before = gear('inverter');
    press(onFace(mounted.element, 'inverter'), 'ArrowUp');
    await mounted.settle();
    expect([gear('inverter').u, gear('inverter').v]).toEqual([before.u, before.v + 10]);
    press(onFace(mounted.element, 'inverter'), 'ArrowDown', true);
    await mounted.settle();
    expect(gear('inverter').v).toBe(before.v + 9);
    expect(mounted.bench.openDesign().places['inverter']!.on).toEqual({ face: before.face, u: before.u, v: before.v + 9, turn: before.turn });
  });

  it('turns it by R: width and height change places', async () => {
    await choose('inverter');
    const before = gear('inverter').outline;
    press(onFace(mounted.element, 'inverter'), 'r');
    await mounted.settle();
    expect([gear('inverter').outline.w, gear('inverter').outline.h]).toEqual([before.h, before.w]);
  });

  it('follows the pointer on its face to the millimetre, and the cables follow it', async () => {
    await choose('inverter');
    const [before, cable] = [gear('inverter'), runOf(mounted.bench, 'bus-inverter').spec.outM];
    const item = onFace(mounted.element, 'inverter');
    const svg = item.ownerSVGElement!;
    const perMm = svg.getScreenCTM()!.a;
    const from = middle(item.querySelector('rect')!);
    pointer(item, 'pointerdown', from);
    pointer(document, 'pointermove', { x: from.x, y: from.y - 200 * perMm });
    await mounted.settle();
    expect(Math.abs(gear('inverter').v - before.v - 200)).toBeLessThanOrEqual(1);
    expect(gear('inverter').u).toBe(before.u);
    expect(runOf(mounted.bench, 'bus-inverter').spec.outM).not.toBe(cable);
    pointer(document, 'pointerup', from);
    pointer(document, 'pointermove', { x: from.x + 300, y: from.y });
    await mounted.settle();
    expect(gear('inverter').u).withContext('let go').toBe(before.u);
  });

  it('goes to another zone when it is dragged there on the vehicle', async () => {
    const item = mounted.element.querySelector('[data-view="side"] .gear[data-gear="inverter"]')!;
    const outside = mounted.element.querySelectorAll('[data-view="side"] .zone')[vehicleOf(mounted.bench.openDesign()).zones.findIndex((z) => z.id === 'front')]!;
    pointer(item, 'pointerdown', middle(item));
    pointer(document, 'pointermove', middle(outside));
    await mounted.settle();
    expect(gear('inverter').zone).toBe('front');
    pointer(document, 'pointerup', middle(outside));
  });

  it('is carried from the shelf on to the face that is shown', async () => {
    const face = mounted.element.querySelector('mx-face-picture .sheet')!;
    const shown = gear('house').face;
    const where = mounted.fixture.componentInstance as unknown as { carried(g: unknown, move: { pointerPosition: { x: number; y: number } }): void };
    where.carried(gear('inverter'), { pointerPosition: middle(face) });
    await mounted.settle();
    const f = mounted.bench.openAssessment().layout.faces.find((x) => x.id === shown)!;
    const g = gear('inverter');
    expect(g.face).toBe(shown);
    expect(Math.abs(g.u + g.outline.w / 2 - f.w / 2)).toBeLessThan(2);
  });

  it('takes typed millimetres, and a wrong one stays in its field with a message', async () => {
    await choose('inverter');
    const before = gear('inverter').u;
    const along = mounted.element.querySelector('input[aria-label="Along"]');
    await mounted.type(along, 'left');
    expect(mounted.element.querySelector('.fix [role=alert]')!.textContent).toContain('“left” is not taken');
    expect(gear('inverter').u).toBe(before);
    await mounted.type(along, `${before + 35}`);
    expect(gear('inverter').u).toBe(before + 35);
  });

  it('offers the best three places with what each costs, and takes one', async () => {
    await choose('inverter');
    await mounted.click(mounted.element.querySelector('.acts .main'));
    await mounted.settle();
    const offers = [...mounted.element.querySelectorAll('.offer')];
    expect(offers.length).toBe(3);
    for (const o of offers) expect(o.textContent).toMatch(/V lost · .* m cable for .* °C/);
    await mounted.click(offers[1]!);
    expect(mounted.bench.openAssessment().layout.faces.find((f) => f.id === gear('inverter').face)!.name).toBe(offers[1]!.querySelector('b')!.textContent!.trim());
  });

  it('says what comes off to service it', async () => {
    await choose('bus');
    expect(mounted.element.querySelector('section.detail')!.textContent).toMatch(/To service it: .*→ cover/);
  });
});

describe('the sheet of the board', () => {
  it('draws the cables, and says which find no lane', async () => {
    const { element, bench, settle } = await onBench(BoardSheet, 'vet');
    expect(element.querySelectorAll('.cable').length).toBeGreaterThan(10);
    expect(element.textContent).not.toContain('No lane is left');
    // Down on the edge at which its cables leave it has nowhere to send them.
    bench.edit('charger', (d) => (d.places['charger'] = { zone: 'canopy', on: { face: BOARD_FACE, u: 30, v: 0, turn: 0 }, when: 'now' }));
    await settle();
    const charging = bench.openAssessment().runs.find((r) => r.spec.to.gear === 'charger')!;
    expect(element.querySelector('.answer')!.textContent).toMatch(new RegExp(`No lane is left on the board for run [\\d, ]*${charging.spec.number}`));
  });

  it('drafts a board where there is none, arranged without a clash', async () => {
    const { element, bench, click } = await onBench(BoardSheet, 'bookmobile', (d) => (d.board = null));
    expect(element.textContent).toContain('No board yet');
    await click(element.querySelector('.main'));
    const aboard = bench.openAssessment().gear.filter((g) => g.face === BOARD_FACE);
    expect(aboard.length).toBeGreaterThan(2);
    expect(bench.openAssessment().layout.troubles.filter((t) => ['clash', 'fits', 'bend'].includes(t.kind) && aboard.some((g) => g.id === t.gear))).toEqual([]);
    expect(element.querySelectorAll('mx-face-picture .hole').length).toBeGreaterThan(8);
    expect(element.querySelector('p.big')!.textContent).toMatch(/\d+ cables to undo/);
  });

  it('takes everything off again, and each thing has its usual place', async () => {
    const { element, bench, click } = await onBench(BoardSheet, 'vet');
    expect(bench.openAssessment().gear.some((g) => g.face === BOARD_FACE)).toBeTrue();
    await click([...element.querySelectorAll('button')].find((b) => b.textContent!.includes('no board')) ?? null);
    expect(bench.openDesign().board).toBeNull();
    expect(bench.openAssessment().gear.some((g) => g.face === BOARD_FACE)).toBeFalse();
  });

  it('says what clashes when one thing is pushed on to another, and arranges anew', async () => {
    const { element, bench, click, settle } = await onBench(BoardSheet, 'vet');
    const [a, b] = bench.openAssessment().gear.filter((g) => g.face === BOARD_FACE);
    bench.edit('pushed', (d) => (d.places[a!.id] = { zone: a!.zone, on: { face: BOARD_FACE, u: b!.u, v: b!.v, turn: 0 }, when: 'now' }));
    await settle();
    expect(element.querySelector('.say')!.textContent).toMatch(new RegExp(b!.name, 'i'));
    await click([...element.querySelectorAll('button')].find((x) => x.textContent!.includes('Arrange anew')) ?? null);
    expect(element.querySelector('.say')).toBeNull();
  });

  it('links to both templates of this job', async () => {
    const { element } = await onBench(BoardSheet, 'vet');
    expect([...element.querySelectorAll('.acts a')].map((a) => a.getAttribute('href'))).toEqual([
      '/api/jobs/job-1/drill-template.pdf',
      ...['A3', 'A2', 'A1'].map((paper) => `/api/jobs/job-1/drill-template.pdf?paper=${paper}`),
      '/api/jobs/job-1/drill-template.dxf',
    ]);
  });
});

describe('the sheet of weight and heat', () => {
  it('shows every axle against its limit, and follows what is moved', async () => {
    const { element, bench, settle } = await onBench(LoadAndHeatSheet, 'vet');
    for (const w of bench.openAssessment().layout.weights.filter((x) => x.addedKg > 0)) for (const x of w.supports) expect(element.textContent).toContain(x.name);
    const before = element.textContent;
    bench.edit('heavy', (d) => (d.places['house'] = { zone: 'cab', on: { face: 'cab-floor', u: 0, v: 0, turn: 0 }, when: 'now' }));
    await settle();
    expect(element.textContent).not.toBe(before);
  });
});

describe('heat of closed spaces', () => {
  it('is answered by fans: fitted at a press, typed, and taken out again', async () => {
    const { element, bench, click, type } = await onBench(LoadAndHeatSheet, 'bookmobile');
    const [space] = bench.openAssessment().layout.heat;
    await click(element.querySelector(`[aria-label="Fit fans in the ${space!.name}"]`));
    expect(bench.openDesign().air[space!.zone]!.outM3h).toBeGreaterThanOrEqual(20);
    expect(element.querySelector('.heat')!.textContent).toContain('its fans do');
    await type(element.querySelector(`[aria-label="Fans of the ${space!.name} run from"]`), '35');
    await type(element.querySelector(`[aria-label="Blown into the ${space!.name}"]`), '200');
    expect(bench.openDesign().air[space!.zone]).toEqual(jasmine.objectContaining({ inM3h: 200, fromC: 35 }));
    expect(bench.openAssessment().layout.heat[0]!.riseK).toBeLessThan(space!.riseK);
    await click(element.querySelector(`[aria-label="No fans in the ${space!.name}"]`));
    expect(bench.openDesign().air).toEqual({});
  });

  it('or by two vents, which draw nothing, and a fan beside them where they do not do', async () => {
    const { element, bench, click, type } = await onBench(LoadAndHeatSheet, 'bookmobile');
    const [space] = bench.openAssessment().layout.heat;
    await click(element.querySelector(`[aria-label="Cut vents into the ${space!.name}"]`));
    expect(element.querySelector('.heat')!.textContent).toContain('its vents do');
    const before = bench.openAssessment().layout.heat[0]!.riseK;
    expect(before).toBeLessThan(space!.riseK);
    const loads = Object.keys(bench.openDesign().loads).length;
    await type(element.querySelector(`[aria-label="Vents of the ${space!.name}"]`), '200');
    expect(bench.openDesign().air[space!.zone]!.ventCm2).toBe(200);
    expect(bench.openAssessment().layout.heat[0]!.riseK).toBeLessThan(before);
    expect(Object.keys(bench.openDesign().loads).length).toBe(loads);
    await type(element.querySelector(`[aria-label="Drawn out of the ${space!.name}"]`), '50');
    expect(element.querySelector('.heat')!.textContent).toContain('its vents and fans do');
    expect(Object.keys(bench.openDesign().loads).length).toBe(loads + 1);
  });
});
