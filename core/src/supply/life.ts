import { CHEMISTRY } from '../catalogue/index.js';
import type { Bank } from './bank.js';

/** Cycles grow as less is taken out each time, by about this power. */
const DEPTH_POWER = 1.1;
/** Days a year in which the bank is cycled, for the years it lasts. */
const CYCLED_DAYS = 120;

/** What a bank costs over its life. */
export interface BankLife {
  readonly usableKwh: number;
  readonly cycles: number;
  readonly years: number;
  /** Whether cycles or years end it. */
  readonly endedBy: 'cycles' | 'years';
  readonly costPerKwh: number;
  readonly kgPerUsableKwh: number;
}

/** Full cycles at a usable share: the chemistry's own at its default share, more when less is used. */
export function cyclesAt(bank: Bank): number {
  const f = CHEMISTRY[bank.part.chemistry];
  return f.cycles * (f.usable / bank.usableShare) ** DEPTH_POWER;
}

/** Cost and weight of what can be used, over the life that cycles or years allow. */
export function bankLife(bank: Bank): BankLife {
  const usableKwh = (bank.usableAh * bank.nominalV) / 1000;
  const byCycles = cyclesAt(bank);
  const byYears = CHEMISTRY[bank.part.chemistry].calendarYears * CYCLED_DAYS;
  const cycles = Math.min(byCycles, byYears);
  return {
    usableKwh,
    cycles,
    years: cycles / CYCLED_DAYS,
    endedBy: byCycles <= byYears ? 'cycles' : 'years',
    costPerKwh: bank.price / (usableKwh * cycles),
    kgPerUsableKwh: bank.kg / usableKwh,
  };
}
