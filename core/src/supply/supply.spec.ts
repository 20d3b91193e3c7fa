import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { alternatorBudget, alternatorFor, idleMinutes } from './alternator.js';
import { bankOf } from './bank.js';
import { hoursToFull } from './charge-time.js';
import { chargerDerate } from './charger.js';
import { clearDayWatts, coldestOpenV, pwmLossFraction } from './sun.js';

const bank = bankOf(DEMO_JOBS.find((j) => j.key === 'vet')!.design, SHIPPED_CATALOGUE)!;
const cinema = bankOf(DEMO_JOBS.find((j) => j.key === 'cinema')!.design, SHIPPED_CATALOGUE)!;

describe('the supply', () => {
  it('makes 24 V of pairs', () => expect([cinema.capacityAh, cinema.nominalV, cinema.strings, cinema.openV]).toEqual([560, 24, 2, 24]));
  it('fills sooner with more amps, but not faster than the battery takes', () => {
    expect(hoursToFull(bank, 0.2, 40)).toBeLessThan(hoursToFull(bank, 0.2, 20));
    expect(hoursToFull(bank, 0.2, 500)).toBe(hoursToFull(bank, 0.2, bank.maxChargeA));
    expect(hoursToFull(bank, 0.2, 0)).toBe(Infinity);
    expect(hoursToFull(bank, 1, 10)).toBe(0);
  });
  it('leaves what is over at idle, and nothing rather than less', () => {
    const wants = (a: number) => ({ idleA: a, roadA: a });
    expect(alternatorBudget(150, wants(20)).leftA).toBeCloseTo(47.5, 9);
    expect(alternatorBudget(40, wants(20))).toEqual(jasmine.objectContaining({ leftA: 0, share: Infinity, over: true }));
    expect(alternatorBudget(40, wants(0))).toEqual(jasmine.objectContaining({ over: false, shortAtIdleA: 0 }));
    // On the road 92.5 A are left, of which 70 % are 64.75; at idle 47.5.
    expect(alternatorBudget(150, { idleA: 60, roadA: 64 })).toEqual(jasmine.objectContaining({ over: false, shortAtIdleA: 12.5 }));
    expect(alternatorBudget(150, { idleA: 60, roadA: 65 }).over).toBeTrue();
    expect(alternatorBudget(alternatorFor(52), wants(52)).share).toBeCloseTo(0.7, 9);
    expect(idleMinutes(80, 12)).toBeCloseTo(200, 9);
  });
  it('derates a hot charger at its corners', () => expect([50, 60, 70, 70.1].map(chargerDerate)).toEqual([1, 0.75, 0.5, 0]));
  it('rises in volts on a cold morning', () => expect(coldestOpenV(22.5, 1, -5)).toBeCloseTo(24.39, 9));
  it('loses nothing to PWM where the panel’s volts are already low', () => expect(pwmLossFraction(13, 60, 13.5)).toBe(0));
  it('has sun by day and none by night, more in summer than in winter', () => {
    const [summer, winter] = [1, 7].map((month) => clearDayWatts(200, { latitudeDeg: -34, month, ambientC: 20 }));
    const sum = (w: number[]): number => w.reduce((a, b) => a + b, 0);
    expect([summer![0], summer![23]]).toEqual([0, 0]);
    expect(sum(summer!)).toBeGreaterThan(1.5 * sum(winter!));
    expect(summer!.indexOf(Math.max(...summer!))).toBeGreaterThanOrEqual(11);
  });
});
