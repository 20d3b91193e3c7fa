import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankLoad, designSchema, editDesign, type Design, supplyOf } from '../design/index.js';

interface Case {
  readonly rule: string;
  readonly job: string;
  readonly label: RegExp;
  breakIt(d: Design): void;
}

const mainsLoad = (watts: number): Design['loads'][string] => ({
  ...blankLoad(90),
  name: 'kettle',
  purpose: 'cooking',
  supply: 'mains',
  draw: { by: 'plate', unit: 'W', value: watts },
  use: { by: 'hours', hours: 0.2 },
});

/** What each press is for: done to a demo job, the finding comes; pressed, it goes. */
const CASES: readonly Case[] = [
  { rule: 'no-main-switch', job: 'vet', label: /^Take the main switch/, breakIt: (d) => (supplyOf(d).mainSwitch = null) },
  { rule: 'no-distribution', job: 'vet', label: /^Take the fuse block/, breakIt: (d) => (supplyOf(d).fuseBlock = null) },
  { rule: 'disconnect-in-negative', job: 'survey', label: /to the positive/, breakIt: (d) => (supplyOf(d).disconnect = { part: 'lvd-120', pole: 'negative' }) },
  { rule: 'mains-load-without-inverter', job: 'bees', label: /^Take the inverter/, breakIt: (d) => void (d.loads['k'] = mainsLoad(250)) },
  { rule: 'inverter-too-small', job: 'bookmobile', label: /^Take the inverter/, breakIt: (d) => void (d.loads['k'] = mainsLoad(1500)) },
  { rule: 'panels-too-low', job: 'cinema', label: /^Two in series/, breakIt: (d) => void Object.assign(supplyOf(d).sun, { panel: 'pv-160', count: 2, controller: 'mppt-20' }) },
  { rule: 'reference-to-nothing', job: 'vet', label: /^Hang it on the bank/, breakIt: (d) => (d.converters['charger']!.bank = 'attic') },
  { rule: 'part-unknown', job: 'vet', label: /^Take it out/, breakIt: (d) => (d.converters['inverter']!.part = 'long-gone') },
  { rule: 'feed-missing', job: 'vet', label: /way of its own/, breakIt: (d) => (Object.values(d.loads)[0]!.feed = { by: 'group', group: 'gone' }) },
  { rule: 'usable-above-school', job: 'vet', label: /default/, breakIt: (d) => (d.settings.usableShare = 1) },
  {
    rule: 'regulator-before-regulator',
    job: 'vet',
    label: /to the bank/,
    breakIt: (d) => (supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: true, into: 'panels', hours: 6 }),
  },
  { rule: 'regulator-before-regulator', job: 'vet', label: /regulator in/, breakIt: (d) => (supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: false, into: 'bank', hours: 6 }) },
  { rule: 'breaker-resets-itself', job: 'vet', label: /manual reset/, breakIt: (d) => (d.runs['start-charger'] = { protect: 'breaker, self-resetting' }) },
  { rule: 'breaker-one-way', job: 'bees', label: /fuse/, breakIt: (d) => (d.runs['isolator-bus'] = { protect: 'breaker, manual reset', poled: true }) },
  { rule: 'chassis-return', job: 'playgroup', label: /return cable/, breakIt: (d) => (d.runs['start-charger'] = { back: 'chassis' }) },
  { rule: 'place-does-not-fit', job: 'vet', label: /another place/, breakIt: (d) => (d.places['shunt']!.on!.u = 20000) },
];

const faultsOf = (d: Design, rule: string) => assess(d, SHIPPED_CATALOGUE).findings.filter((f) => f.rule === rule);

describe('a press', () => {
  for (const { rule, job, label, breakIt } of CASES)
    it(`takes “${rule}” away with ${label.source}, and what it makes is a design`, () => {
      const d: Design = structuredClone(DEMO_JOBS.find((j) => j.key === job)!.design);
      breakIt(d);
      const found = faultsOf(d, rule);
      expect(found.length).withContext('it comes').toBeGreaterThan(0);
      const [f] = found;
      const press = f!.presses.find((p) => label.test(p.label));
      expect(press)
        .withContext(f!.presses.map((p) => p.label).join())
        .toBeDefined();
      const pressed = editDesign(d, [...press!.patch]);
      if (!pressed.ok) throw new Error(pressed.message);
      expect(designSchema.safeParse(pressed.design).success).toBeTrue();
      expect(faultsOf(pressed.design, rule).map((x) => x.key)).not.toContain(f!.key);
    });

  it('is offered by no finding of a demo job that it would not take away', () => {
    for (const { key, design } of DEMO_JOBS)
      for (const f of assess(design, SHIPPED_CATALOGUE).findings)
        for (const p of f.presses) {
          const pressed = editDesign(structuredClone(design), [...p.patch]);
          if (!pressed.ok) throw new Error(pressed.message);
          expect(faultsOf(pressed.design, f.rule).map((x) => x.key))
            .withContext(`${key}: ${p.label}`)
            .not.toContain(f.key);
        }
  });
});
