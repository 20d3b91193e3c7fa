import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankLoad, type Design, type Existing, supplyOf } from '../design/index.js';
import { inWords } from './judge.js';
import type { Severity } from './rule.js';

const demo = (key: string): Design => structuredClone(DEMO_JOBS.find((j) => j.key === key)!.design);
const found = (d: Design, rule: string) => assess(d, SHIPPED_CATALOGUE).findings.filter((f) => f.rule === rule);
const gone: Existing = {
  order: 1,
  name: 'old manager',
  part: null,
  verdict: 'remove',
  does: ['measures'],
  omitted: {},
  own: { capacityAh: null, outputA: null, watts: null },
  ageYears: null,
  kg: null,
  mm: null,
  notes: '',
};

interface Case {
  readonly rule: string;
  readonly job: string;
  readonly severity: Severity;
  readonly says: RegExp;
  breakIt(d: Design): void;
}

/** Each rule of loads and supply: silent on the demo job, and saying by how much once this is done to it. */
const CASES: readonly Case[] = [
  { rule: 'charging-cold-lithium', job: 'vet', severity: 'look', says: /Mornings fall to -4 °C/, breakIt: (d) => (d.brief.trip.month = 7) },
  {
    rule: 'charging-cold-lithium',
    job: 'vet',
    severity: 'stop',
    says: /no lock below 0 °C/,
    breakIt: (d) => {
      d.brief.trip.month = 7;
      supplyOf(d).dcdc = 'dcdc-30-one';
    },
  },
  {
    rule: 'regulator-before-regulator',
    job: 'vet',
    severity: 'stop',
    says: /in front of an input that regulates/,
    breakIt: (d) => (supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: true, into: 'panels', hours: 6 }),
  },
  {
    rule: 'panels-drag',
    job: 'vet',
    severity: 'look',
    says: /lose \d+ % of their power together/,
    breakIt: (d) => (supplyOf(d).sun.portable = { panel: 'pv-120-fold', regulated: false, into: 'panels', hours: 6 }),
  },
  {
    rule: 'source-never-fills',
    job: 'vet',
    severity: 'look',
    says: /Ah come in against \d+ Ah drawn/,
    breakIt: (d) => {
      supplyOf(d).dcdcHalf = true;
      d.brief.trip.drivingH = 1;
      supplyOf(d).sun.panel = null;
    },
  },
  { rule: 'trigger-always-live', job: 'vet', severity: 'stop', says: /will not crank within \d+\.\d h/, breakIt: (d) => (supplyOf(d).trigger = 'always-live wire') },
  { rule: 'trigger-by-volts', job: 'vet', severity: 'look', says: /never starts on this alternator/, breakIt: (d) => (supplyOf(d).trigger = 'volts') },
  { rule: 'profile-missing', job: 'vet', severity: 'stop', says: /has no profile for lithium iron phosphate; it has flooded/, breakIt: (d) => (supplyOf(d).dcdc = 'dcdc-30-one') },
  {
    rule: 'selector-missing',
    job: 'vet',
    severity: 'stop',
    says: /second bank of 120 Ah is to stand behind a selector/,
    breakIt: (d) => {
      supplyOf(d).second = { part: 'bat-agm-120', count: 1, joined: 'selector' };
      supplyOf(d).mainSwitch = null;
    },
  },
  { rule: 'one-source-at-a-time', job: 'vet', severity: 'look', says: /brings nothing in the 3 h of driving/, breakIt: (d) => (supplyOf(d).dcdc = 'dcdc-30-one') },
  { rule: 'usable-above-school', job: 'bees', severity: 'look', says: /90 % of the bank .* default is 50 %/, breakIt: (d) => (d.settings.usableShare = 0.9) },
  {
    rule: 'fridge-twice',
    job: 'vet',
    severity: 'look',
    says: /Vaccine fridge 230 V stands in the list at 230 V and at house volts both/,
    breakIt: (d) => (d.loads['x'] = { ...blankLoad(9), name: 'vaccine fridge 230 V', purpose: 'fridge', supply: 'mains', draw: { by: 'plate', unit: 'W', value: 70 } }),
  },
  {
    rule: 'mixed-bank',
    job: 'vet',
    severity: 'stop',
    says: /chemistry: lithium iron phosphate with AGM/,
    breakIt: (d) => (supplyOf(d).second = { part: 'bat-agm-120', count: 1, joined: 'parallel' }),
  },
  {
    rule: 'function-lost',
    job: 'vet',
    severity: 'stop',
    says: /Old manager comes out, and nothing takes over: measures/,
    breakIt: (d) => ((supplyOf(d).shunt = null), (d.brief.existing['e'] = gone)),
  },
  {
    rule: 'swap-grows',
    job: 'vet',
    severity: 'look',
    says: /Old manager is swapped, charges from the vehicle: 15 A becomes 40 A/,
    breakIt: (d) => (d.brief.existing['e'] = { ...gone, does: ['charges from the vehicle'], own: { capacityAh: null, outputA: 15, watts: null } }),
  },
  { rule: 'starting-battery-drains', job: 'vet', severity: 'look', says: /250 mA flow .* not crank after \d\.\d days/, breakIt: (d) => (d.supply.parkedMa = 250) },
  {
    rule: 'unequal-leads',
    job: 'bookmobile',
    severity: 'look',
    says: /battery 1 \d\d A by 0\.5 m, battery 2 \d\d A by 3\.5 m; \d\d A would be fair/,
    breakIt: (d) => ((d.runs['house1-bus'] = { outM: 0.5 }), (d.runs['house2-bus'] = { outM: 3.5, areaMm2: 25 })),
  },
  { rule: 'no-main-switch', job: 'vet', severity: 'look', says: /No switch parts the house battery/, breakIt: (d) => (supplyOf(d).mainSwitch = null) },
  { rule: 'disconnect-in-negative', job: 'vet', severity: 'look', says: /all positives behind it stay live against the body/, breakIt: (d) => (supplyOf(d).disconnect.pole = 'negative') },
  {
    rule: 'disconnect-in-negative',
    job: 'vet',
    severity: 'stop',
    says: /returns through the body go round it: .*water pump/,
    breakIt: (d) => ((supplyOf(d).disconnect.pole = 'negative'), (d.runs['load-l5'] = { back: 'chassis' })),
  },
  {
    rule: 'disconnect-over',
    job: 'vet',
    severity: 'stop',
    says: /runs draw \d\d A together through the disconnect 65 A, which carries 65 A/,
    breakIt: (d) => ((supplyOf(d).fuseBlock = null), (d.loads['l5']!.draw = { by: 'plate', unit: 'W', value: 800 })),
  },
  { rule: 'voltage-fixed-by-dealer', job: 'vet', severity: 'look', says: /dealer having fixed/, breakIt: (d) => (d.settings.variableSchool = 'voltage fixed by the dealer') },
  {
    rule: 'load-sags',
    job: 'bees',
    severity: 'look',
    says: /Heavy heater pulls the bank to 1[012]\.\d V/,
    breakIt: (d) => (d.loads['x'] = { ...blankLoad(9), name: 'heavy heater', draw: { by: 'plate', unit: 'W', value: 2000 }, use: { by: 'hours', hours: 0.1 } }),
  },
  {
    rule: 'charger-cuts-out',
    job: 'vet',
    severity: 'look',
    says: /idling, warm: the charger is cut out/i,
    breakIt: (d) => (d.brief.alternator.measured = { coldIdleV: 12, cruiseV: 12.2, overrunV: 12.5, warmIdleV: 10.6 }),
  },
  {
    rule: 'panels-too-low',
    job: 'cinema',
    severity: 'stop',
    says: /Roof panel 160 W: 1\d\.\d V at its best on a hot roof; the bank wants 27\.6 V/,
    breakIt: (d) => Object.assign(supplyOf(d).sun, { panel: 'pv-160', count: 2, controller: 'mppt-20' }),
  },
  { rule: 'not-carried', job: 'vet', severity: 'stop', says: /Shed is a bank beside the one in use/, breakIt: (d) => (d.banks['shed'] = { ...structuredClone(d.banks['house']!), order: 9 }) },
  {
    rule: 'not-carried',
    job: 'vet',
    severity: 'stop',
    says: /Second is a box fed by the bank that it charges:/,
    breakIt: (d) => (d.converters['second'] = { ...d.converters['charger']!, from: { in: 'banks', id: 'house' } }),
  },
  {
    rule: 'not-carried',
    job: 'vet',
    severity: 'stop',
    says: /Second is a box fed by a box on its own bank/,
    breakIt: (d) => (d.converters['second'] = { ...d.converters['charger']!, from: { in: 'converters', id: 'charger' } }),
  },
  { rule: 'reference-to-nothing', job: 'vet', severity: 'stop', says: /Panel: its into is attic, which is not there/, breakIt: (d) => (d.arrays['panel']!.into = { in: 'converters', id: 'attic' }) },
  { rule: 'reference-to-nothing', job: 'vet', severity: 'stop', says: /Charger: its bank is attic, which is not there/, breakIt: (d) => (d.converters['charger']!.bank = 'attic') },
  { rule: 'reference-to-nothing', job: 'vet', severity: 'stop', says: /Charger has no bank/, breakIt: (d) => (d.converters['charger']!.bank = null) },
  {
    rule: 'reference-to-nothing',
    job: 'vet',
    severity: 'stop',
    says: /over others, which is not there/,
    breakIt: (d) => {
      d.converters['b'] = { ...d.converters['charger']!, from: { in: 'converters', id: 'charger' } };
      d.converters['charger']!.from = { in: 'converters', id: 'b' };
    },
  },
  { rule: 'over-limits', job: 'vet', severity: 'look', says: /parts come to \d+; the brief allows 900/, breakIt: (d) => (d.brief.budget = 900) },
  {
    rule: 'wire-undecided',
    job: 'vet',
    severity: 'look',
    says: /green wire from tow socket to \? \(live: always\)/,
    breakIt: (d) =>
      (d.brief.traces['t'] = {
        order: 1,
        colour: 'green',
        from: 'tow socket',
        to: '',
        live: 'always',
        areaMm2: 2.5,
        lengthM: null,
        fuseA: null,
        verdict: 'undecided',
        run: null,
        fedFrom: 'vehicle',
        presentA: null,
        slot: '',
        safety: false,
      }),
  },
];

describe('the rules of brief, loads and supply', () => {
  for (const c of CASES) {
    it(`${c.rule}, ${c.severity}: ${c.says.source}`, () => {
      const d = demo(c.job);
      expect(found(d, c.rule)).toEqual([]);
      c.breakIt(d);
      const [first] = found(d, c.rule);
      expect(first?.severity).toBe(c.severity);
      expect(inWords(first!).say).toMatch(c.says);
      expect(inWords(first!).fix.length).toBeGreaterThan(15);
    });
  }

  it('say by how much chargers overlap', () =>
    expect(inWords(found(demo('playgroup'), 'chargers-share')[0]!).say).toBe('All chargers at once would be 50 A; at 50 % charge the bank takes 40 A of it.'));
  it('call an isolator that is closed for part of a drive a look, one that never closes a stop', () => {
    const d = demo('bees');
    d.brief.alternator = { ...d.brief.alternator, voltage: 'variable' };
    expect(found(d, 'isolator-never-closes')[0]!.severity).toBe('stop');
    d.brief.alternator.measured = { coldIdleV: 14, cruiseV: 12.5, overrunV: 14.8, warmIdleV: 12.4 };
    expect(found(d, 'isolator-never-closes')[0]!.severity).toBe('look');
  });
  it('let a lost function be signed for', () => {
    const d = demo('vet');
    d.brief.existing['e'] = { ...gone, omitted: { measures: 'Tallowgum Auto Electrics' } };
    expect(found(d, 'function-lost')).toEqual([]);
  });
});
