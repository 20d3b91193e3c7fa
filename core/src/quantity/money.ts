import { figure } from './format.js';

/**
 * A price with the sign that the workshop says its money by; one that ends in a letter stands apart. Without a sign it is a bare planning price.
 * @example money(1547.4, '$') // '$1547'
 * @example money(3.5, 'kr', 2) // 'kr 3.50'
 */
export const money = (value: number, sign: string, decimals = 0): string => `${sign}${/\p{L}$/u.test(sign) ? ' ' : ''}${figure(value, decimals)}`;
