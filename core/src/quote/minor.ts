import { add, dinero, halfAwayFromZero, multiply, toSnapshot, transformScale, type Dinero } from 'dinero.js';

/** A workshop's money, whatever it is called: a hundred minor units make one. */
const MONEY = { code: 'workshop', base: 10, exponent: 2 } as const;
const SCALE = 2;
/** Digits of a factor: a rate of 12.5 % or 7.25 hours is exact in them. */
const FACTOR_SCALE = 4;

type Minor = Dinero<number>;

const of = (minor: number): Minor => dinero({ amount: minor, currency: MONEY });
const whole = (d: Minor): number => toSnapshot(transformScale(d, SCALE, halfAwayFromZero)).amount;

/** A planning price in minor units, to the nearest. @example minorOf(24.995) // 2500 */
export const minorOf = (price: number): number => Math.round(price * 100 + Math.sign(price) * 1e-6);

/** So many times an amount, to the nearest minor unit. @example timesMinor(1250, 7.25) // 9063 */
export const timesMinor = (minor: number, times: number): number => whole(multiply(of(minor), { amount: Math.round(times * 10 ** FACTOR_SCALE), scale: FACTOR_SCALE }));

/** The sum of amounts in minor units. @example sumMinor([1050, 995]) // 2045 */
export const sumMinor = (minors: readonly number[]): number => toSnapshot(minors.map(of).reduce((a, b) => add(a, b), of(0))).amount;
