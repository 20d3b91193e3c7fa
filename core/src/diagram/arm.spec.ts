import { namedStates, PARKED } from '../circuit/index.js';
import { armIn } from './arm.js';
import type { SymbolKind } from './element.js';
import { SYMBOLS, type Arm } from './symbols.js';

const at = (symbol: SymbolKind, id: string, state: Partial<typeof PARKED>): Arm | null => armIn({ id, symbol }, { ...PARKED, ...state });

describe('switches and selectors of the diagram in a state', () => {
  it('stand as it says', () => {
    expect(at('switch', 'switch', { mainSwitch: 'open' })).toBe('open');
    expect(at('switch', 'switch', {})).toBe('closed');
    expect(at('contact', 'disconnect', { disconnect: 'open' })).toBe('open');
    expect(at('selector', 'switch', { bank: 'second' })).toBe(2);
    expect(at('selector', 'switch', { mainSwitch: 'open', bank: 'second' })).toBe('open');
  });

  it('have the chargers on the bank in use or on the other', () => {
    const charges = (bank: 'first' | 'second', to: 'the bank in use' | 'the other bank'): Arm | null => at('charging selector', 'charging', { bank, charges: to });
    expect([charges('first', 'the bank in use'), charges('second', 'the bank in use')]).toEqual([1, 2]);
    expect([charges('first', 'the other bank'), charges('second', 'the other bank')]).toEqual([2, 1]);
  });

  it('stand as on paper where no state moves them: a switch of an inverter, what is no switch', () => {
    for (const state of Object.values(namedStates({ inline: [], second: null }))) {
      expect(armIn({ id: 'inverter-switch', symbol: 'switch' }, state)).toBeNull();
      expect(armIn({ id: 'bus', symbol: 'bars' }, state)).toBeNull();
    }
  });

  it('draw an arm that reaches its contact, and none where it is open', () => {
    const arm = (symbol: SymbolKind, to: Arm): string => SYMBOLS[symbol](40, 36, to)[0]!.d;
    // Contacts at 30 % of the width, a quarter and three quarters down.
    expect(arm('selector', 1)).toMatch(/L12 9$/);
    expect(arm('selector', 2)).toMatch(/L12 27$/);
    expect(arm('selector', 'open')).not.toMatch(/L12 (9|27)$/);
    expect(arm('charging selector', 2)).toMatch(/L28 27$/);
    expect(arm('switch', 'closed')).toContain('L28 18M28 18');
    expect(arm('contact', 'open')).not.toBe(arm('contact', 'closed'));
  });
});
