import { figure } from './format.js';

const THOUSANDS = /\B(?=(?:\d{3})+$)/g;

/** Digits before the point in threes. */
function inThrees(digits: string): string {
  const point = digits.indexOf('.');
  const whole = point < 0 ? digits : digits.substring(0, point);
  return `${whole.replace(THOUSANDS, ',')}${digits.substring(whole.length)}`;
}

/**
 * A price with the sign that the workshop says its money by; one that ends in a letter stands apart. Without a sign it is a bare planning price.
 * @example money(1547.4, '$') // '$1,547'
 * @example money(3.5, 'kr', 2) // 'kr 3.50'
 * @example money(1234567.891, '', 2) // '1,234,567.89'
 */
export const money = (value: number, sign: string, decimals = 0): string => `${sign}${/\p{L}$/u.test(sign) ? ' ' : ''}${inThrees(figure(value, decimals))}`;
