import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { type Design, type Vehicle, supplyOf } from '../design/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { inWords } from './judge.js';
import type { Severity } from './rule.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const found = (d: Design, rule: string) => assess(d, SHIPPED_CATALOGUE).findings.filter((f) => f.rule === rule);
const put = (d: Design, gear: string, zone: string, face: string, u: number, v: number, turn: 0 | 90 | 180 | 270 = 0): void => void (d.places[gear] = { zone, on: { face, u, v, turn }, when: 'now' });
const own = (d: Design, change: (v: Vehicle) => void): void => {
  d.vehicle = structuredClone(vehicleOf(d));
  change(d.vehicle);
};

interface Case {
  readonly rule: string;
  readonly job: string;
  readonly severity: Severity;
  readonly says: RegExp;
  breakIt(d: Design): void;
}

/** Each rule of places and runs: silent on the demo job, and saying by how much once this is done to it. */
const CASES: readonly Case[] = [
  {
    rule: 'place-does-not-fit',
    job: 'vet',
    severity: 'stop',
    says: /House battery 200 Ah reaches 30 mm beyond the floor of the canopy/,
    breakIt: (d) => put(d, 'house', 'canopy', 'canopy-floor', 1500, 700),
  },
  {
    rule: 'place-clash',
    job: 'vet',
    severity: 'stop',
    says: /Vaccine fridge stands in the way of house battery 200 Ah/,
    breakIt: (d) => (put(d, 'house', 'canopy', 'canopy-floor', 0, 700), put(d, 'load:l1', 'canopy', 'canopy-floor', 100, 700)),
  },
  { rule: 'place-clash', job: 'vet', severity: 'stop', says: /stands in the way of wheel tub, left/, breakIt: (d) => put(d, 'house', 'canopy', 'canopy-floor', 700, 0) },
  { rule: 'place-in-the-way', job: 'survey', severity: 'stop', says: /Sample freezer stands in the sweep of the left drawer/, breakIt: (d) => put(d, 'load:l1', 'cargo', 'cargo-floor', 640, 100) },
  {
    rule: 'bend-too-tight',
    job: 'vet',
    severity: 'look',
    says: /Bus bars: 20 mm before the end of the space, and its cable wants 1\d\d mm for lug and bend/,
    breakIt: (d) => put(d, 'bus', 'canopy', 'canopy-front', 25, 20),
  },
  { rule: 'air-too-tight', job: 'vet', severity: 'look', says: /Charger has \d+ mm of air beside fuse block; 50 mm are wanted/, breakIt: (d) => put(d, 'block', 'canopy', 'board', 250, 450) },
  { rule: 'place-too-wet', job: 'vet', severity: 'stop', says: /Charger meets spray in the engine bay/, breakIt: (d) => put(d, 'charger', 'engine', 'engine-front', 100, 100) },
  {
    rule: 'out-of-reach',
    job: 'vet',
    severity: 'look',
    says: /Fuse block in the canopy cannot be reached without tools/,
    breakIt: (d) => own(d, (v) => (v.zones.find((z) => z.id === 'canopy')!.reach = 'with tools')),
  },
  {
    rule: 'out-of-hand',
    job: 'vet',
    severity: 'look',
    says: /Battery display: 2\d+ mm over the ground/,
    breakIt: (d) => own(d, (v) => v.faces.filter((f) => f.zone === 'canopy').forEach((f) => (f.at.z += 1000))),
  },
  {
    rule: 'near-mains',
    job: 'vet',
    severity: 'look',
    says: /Inverter 1600 W has 230 V in it and is nearer than 50 mm to the bus bars/,
    breakIt: (d) => put(d, 'inverter', 'canopy', 'board', 535, 171),
  },
  {
    rule: 'face-overloaded',
    job: 'vet',
    severity: 'look',
    says: /Floor of the canopy would carry \d\d kg; 10 kg is its limit/,
    breakIt: (d) => own(d, (v) => v.faces.filter((f) => f.zone === 'canopy').forEach((f) => (f.limitKg = 10))),
  },
  {
    rule: 'compartment-hot',
    job: 'bees',
    severity: 'look',
    says: /warm the under-tray box by \d\d K at full output/,
    breakIt: (d) => Object.assign(supplyOf(d), { isolation: 'dcdc', dcdc: 'dcdc-40', mains: { charger: 'mc-40' } }, (d.places['mains'] = { zone: 'box', on: null, when: 'now' })),
  },
  {
    rule: 'air-draws-dust',
    job: 'bees',
    severity: 'look',
    says: /100 m³\/h are drawn out of the under-tray box, and 56 come in through the filter/,
    breakIt: (d) => (d.air['box'] = { outM3h: 100, inM3h: 80, fromC: 40 }),
  },
  {
    rule: 'axle-over',
    job: 'vet',
    severity: 'stop',
    says: /The rear axle bears 9\d\d kg with this gear; 900 kg is its limit/,
    breakIt: (d) => own(d, (v) => (v.axles.find((a) => a.id === 'rear')!.limitKg = 900)),
  },
  {
    rule: 'axle-over',
    job: 'bookmobile',
    severity: 'stop',
    says: /The drawbar is lifted by \d+ kg/,
    breakIt: (d) => own(d, (v) => ((v.axles[0]!.x = 3000), (v.carriers.find((c) => c.id === 'van')!.drawbar!.emptyKg = 0))),
  },
  { rule: 'lopsided', job: 'cinema', severity: 'look', says: /loads the left wheels of the truck by \d+ kg more/, breakIt: (d) => put(d, 'house', 'body', 'body-floor', 100, 0) },
  {
    rule: 'no-way',
    job: 'vet',
    severity: 'stop',
    says: /Run 1 .*what it must avoid leaves no way open/,
    breakIt: (d) => (d.runs['start-charger'] = { avoid: ['battery-post', 'engine-left', 'engine-right', 'engine-cross'] }),
  },
  {
    rule: 'no-way',
    job: 'bookmobile',
    severity: 'stop',
    says: /no way joins .*between vehicles there must be a coupling/,
    breakIt: (d) => own(d, (v) => (v.ways = v.ways.filter((w) => !w.coupling))),
  },
  { rule: 'near-exhaust', job: 'vet', severity: 'stop', says: /passes an exhaust at 120 mm/, breakIt: (d) => (d.runs['start-charger'] = { via: ['rail-right'] }) },
  { rule: 'vehicle-file', job: 'vet', severity: 'look', says: /waypoint “left sill” is not joined/, breakIt: (d) => own(d, (v) => (v.ways = v.ways.filter((w) => w.a !== 'sill' && w.b !== 'sill'))) },
  {
    rule: 'vehicle-file',
    job: 'vet',
    severity: 'look',
    says: /has no length/,
    breakIt: (d) => own(d, (v) => (v.waypoints.find((w) => w.id === 'dash')!.at = { ...v.waypoints.find((w) => w.id === 'firewall')!.at })),
  },
  {
    rule: 'hole-too-small',
    job: 'vet',
    severity: 'look',
    says: /Through the firewall: the bundle is \d+ mm, the hole that is there 16 mm/,
    breakIt: (d) => own(d, (v) => (v.ways.find((w) => w.along === 'through the firewall')!.pass!.stockMm = 16)),
  },
  { rule: 'tube-too-small', job: 'vet', severity: 'look', says: /do not fit even three split tubes/, breakIt: (d) => (d.runs['start-charger'] = { outM: 6, areaMm2: 120, spares: 4 }) },
  { rule: 'plug-mates-wrong', job: 'bookmobile', severity: 'stop', says: /feed and return are swapped in this pair/, breakIt: (d) => (d.plugs['plug-start-charger'] = { swapped: true }) },
  {
    rule: 'plug-mates-wrong',
    job: 'playgroup',
    severity: 'stop',
    says: /portable panel, outside socket” goes into .*wrong regulation/,
    breakIt: (d) => {
      d.runs['start-charger'] = { outM: 2 };
      supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: false, into: 'panels', hours: 6 };
      d.plugs['plug-portable'] = { colour: 'red' };
    },
  },
  { rule: 'plug-wire', job: 'bookmobile', severity: 'look', says: /95 mm² on a 175 A plug, whose contacts take 16 to 50/, breakIt: (d) => (d.runs['start-charger'] = { outM: 11.5, areaMm2: 95 }) },
  { rule: 'plug-exposed', job: 'bookmobile', severity: 'look', says: /live when unplugged, and without a cover/, breakIt: (d) => (d.plugs['plug-start-charger'] = { cover: false }) },
  {
    rule: 'lead-too-long',
    job: 'bookmobile',
    severity: 'look',
    says: /Battery temperature probe → charger would be \d+(\.\d)? m; 3 m is its longest/,
    breakIt: (d) => put(d, 'charger', 'inside', 'inside-left', 4000, 200),
  },
  { rule: 'chassis-return', job: 'bookmobile', severity: 'look', says: /returns through the body across a coupling/, breakIt: (d) => (d.runs['start-charger'] = { back: 'chassis' }) },
  { rule: 'board-off-wall', job: 'vet', severity: 'stop', says: /The board reaches 65 mm beyond the front wall of the canopy/, breakIt: (d) => (d.board!.u = 735) },
];

describe('the rules of places and runs', () => {
  for (const [i, c] of CASES.entries())
    it(`${c.rule}, ${c.job} (${i + 1})`, () => {
      const d = demo(c.job);
      expect(found(d, c.rule)).withContext('silent before').toEqual([]);
      c.breakIt(d);
      const after = found(d, c.rule);
      const said = after.map((f) => inWords(f).say).join(' | ');
      expect(said).toMatch(c.says);
      expect(after.map((f) => f.severity)).toContain(c.severity);
      for (const f of after) expect(inWords(f).fix.length).toBeGreaterThan(8);
    });
});
