import type { Failure } from './failures.js';
import type { Helps } from './helps.js';
import type { SunAlone } from './sun-alone.js';
import { type ManyTrips } from '../trip/index.js';
import { failureWords, helpWords, sunAloneWords, tripsWords, turnsWords } from './words.js';

const many = (change: Partial<ManyTrips>): ManyTrips => ({ trips: 1000, chanceOff: 0, off: null, meanBelowReserveH: 0, lowestSoc: 0.64, p10: [], p50: [], p90: [], ...change });
const off = { day: 5, hour: 4, cause: 'low volts', dullDays: 2.3, lockedH: 0 } as const;
const helps = (now: Helps['now'], after: Helps['now']): Helps => ({ now, changes: [{ id: 'panel', what: 'one more roof panel 200 W', price: 230, kg: 11.5, after }] });

describe('the trip in words', () => {
  it('says plainly that nothing goes off', () => expect(tripsWords(many({}), ['fridge'])).toEqual(jasmine.objectContaining({ mark: 'holds', say: 'In 1000 trips the fridge never went off.' })));
  it('names every load that must stay on, how often one goes off, when and why', () => {
    const w = tripsWords(many({ chanceOff: 0.037, off }), ['fridge', 'modem']);
    expect([w.mark, w.say]).toEqual(['look', 'In 37 of 1000 trips the fridge or the modem goes off (3.7 %).']);
    expect(w.more).toContain('Mostly on day 5, about 4:00, after 2.3 dull days: low volts.');
    expect(tripsWords(many({ chanceOff: 0.3, off }), ['fridge']).mark).toBe('stop');
  });
  it('says when it is the cold and not the sky', () => expect(tripsWords(many({ chanceOff: 0.01, off: { ...off, lockedH: 60 } }), ['x']).more).toContain('too cold or hot to charge for 60 h'));
  it('asks for what must never go off where nothing is marked', () => expect(tripsWords(many({}), []).say).toContain('No load is marked'));
});

describe('what is turned by hand, in words', () => {
  it('is said of one selector, of two, and of none that has to be', () => {
    expect(turnsWords({ loads: 3, charging: 0 }, false, 7)).toBe('Two banks: the selector is turned 3 times in 7 days, at the reserve or when the bank in use is full.');
    expect(turnsWords({ loads: 1, charging: 2 }, true, 7)).toBe('Two banks: the load selector once and the charging selector twice turned by hand in 7 days.');
    expect(turnsWords({ loads: 0, charging: 1 }, true, 1)).toBe('Two banks: the charging selector once turned by hand in 1 day.');
    expect(turnsWords({ loads: 0, charging: 0 }, true, 2)).toBe('Two banks: nothing has to be turned by hand in 2 days.');
  });
});

describe('what helps, in words', () => {
  const at = (chanceOff: number, belowReserveH: number, low: number): Helps['now'] => ({ chanceOff, belowReserveH, low });
  it('speaks of what matters most: going off, then the reserve, then room', () => {
    expect(helpWords(helps(at(0.2, 5, 0.1), at(0.05, 1, 0.15)), '$')).toBe('One more roof panel 200 W helps most: going off 20 → 5.0 % of trips, $230 and 11.5 kg more.');
    expect(helpWords(helps(at(0, 5, 0.1), at(0, 1, 0.15)), '')).toContain('below the reserve 5.0 → 1.0 h');
    expect(helpWords(helps(at(0, 0, 0.6), at(0, 0, 0.7)), '')).toContain('Nothing needs changing. Most room would come from one more roof panel 200 W: a dull trip’s lowest 60 → 70 %');
  });
  it('says when nothing does', () => expect(helpWords({ now: at(0.5, 9, 0), changes: [] }, '')).toContain('Nothing that was tried'));
});

describe('a failure in words', () => {
  const failure = (change: Partial<Failure>): Failure => ({ id: 'sun', what: 'no sun', offH: 0, firstOffAtH: null, lowestSoc: 0.52, carriedBy: [{ what: 'vehicle', ah: 482 }], ...change });
  it('says what carries it to the end', () => expect(failureWords(failure({}))).toBe('stays on to the end, carried by vehicle (482 Ah); lowest 52 %'));
  it('says when it goes off, and for how long', () => expect(failureWords(failure({ firstOffAtH: 41.6, offH: 78.4 }))).toBe('off from day 2, 17:00, for 78 h; until then carried by vehicle (482 Ah)'));
  it('says when nothing carries it', () => expect(failureWords(failure({ firstOffAtH: 0, carriedBy: [] }))).toBe('off at once; nothing carries them'));
});

describe('sun alone, in words', () => {
  const sun = (change: Partial<SunAlone>): SunAlone => ({ stands: false, reserveAtH: null, offAtH: null, days: 28, endSoc: 0.4, inAh: 61.4, outAh: 70.2, ...change });
  it('says yes with what comes in and goes out', () => {
    expect(sunAloneWords(sun({ stands: true, inAh: 80, outAh: 60 }))).toBe('On sun alone, parked from full in this month’s mean weather, it runs on and on: 80 Ah a day come in, 60 are drawn.');
  });
  it('says from when on not', () => {
    expect(sunAloneWords(sun({ reserveAtH: 67, offAtH: 102 }))).toContain('down to its reserve on day 3, 19:00, and a load that must not go off goes off on day 5, 6:00: 61 Ah');
    expect(sunAloneWords(sun({ reserveAtH: 67 }))).not.toContain('goes off');
  });
  it('says where it only sinks', () => expect(sunAloneWords(sun({}))).toContain('lasts the 28 days looked at, but sinks to 40 %'));
});
