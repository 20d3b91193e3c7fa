import { catalogueOf, CHEMISTRY } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { amps, figure } from '../quantity/index.js';
import { ALTERNATOR, CHARGED_WHILE, FULL_SOC, pluggedWord, type Bank, type SolarArray, type SupplyFigures } from '../supply/index.js';
import { climateOf } from '../travel/index.js';
import type { TripResult } from '../trip/index.js';
import type { Origin, Why, WhyInput } from './why.js';

/** What the supply's figures are opened from. */
export interface SupplyFacts {
  readonly design: Design;
  readonly parkedDay: DayFigures;
  readonly supply: SupplyFigures;
  readonly trip: TripResult | null;
}

const usable = (bank: Bank): WhyInput => ({
  name: `usable share of ${CHEMISTRY[bank.part.chemistry].name}`,
  value: `${figure(100 * bank.usableShare, 0)} %`,
  origin: bank.usableFrom === 'setting' ? 'setting' : 'default',
  sheet: 'supply/feeds',
});

function whyAlone({ parkedDay, supply }: SupplyFacts, bank: Bank): Why {
  return {
    figure: 'days alone',
    value: figure(supply.daysAlone, 1),
    formula: 'usable Ah ÷ Ah a day of a parked day, with nothing coming in: no sun, no driving, no mains',
    inputs: [
      { name: 'capacity', value: `${figure(bank.capacityAh, 0)} Ah`, origin: 'part’s data', sheet: 'supply/feeds' },
      usable(bank),
      ...(supply.second ? [{ name: 'second bank, usable', value: `${figure(supply.second.usableAh, 0)} Ah`, origin: 'part’s data' as const, sheet: 'supply/feeds' as const }] : []),
      { name: 'drawn on a parked day', value: `${figure(parkedDay.ahDay, 1)} Ah`, origin: 'computed', sheet: 'loads' },
    ],
    basis: 'Engineering notes: day of loads; schools differ on the usable share',
  };
}

function whySun({ design, supply }: SupplyFacts, arrays: readonly SolarArray[]): Why {
  const { trip } = design.brief;
  const climate = climateOf(trip);
  const each = (of: (a: SolarArray) => string): string => arrays.map(of).join(', ');
  const sky: Origin = climate.region ? 'setting' : 'typed';
  return {
    figure: 'a clear parked day',
    value: `${figure(supply.sunAhClearDay, 0)} Ah`,
    formula: 'Σ over the hours: panel W · light/1000 · (1 − 0.38 % per kelvin of the cells above 25 °C) · soiling 0.95 · wiring 0.98 · controller 0.97, held to the regulator’s amps, ÷ nominal volts',
    inputs: [
      { name: 'panels on the roof', value: `${each((a) => figure(a.ratedW, 0))} W`, origin: 'part’s data', sheet: 'supply/feeds' },
      { name: 'latitude, month', value: `${figure(climate.latitudeDeg, 0)}°, ${climate.month}`, origin: sky, sheet: 'brief/vehicle' },
      { name: 'air by day', value: `${figure(climate.ambientC, 0)} °C`, origin: sky, sheet: 'brief/vehicle' },
      { name: 'left by shade', value: `${each((a) => figure(100 * a.shadeYield, 0))} %`, origin: 'typed', sheet: 'supply/feeds' },
      { name: 'regulator passes at most', value: each((a) => (a.maxA === null ? 'no limit' : `${figure(a.maxA, 0)} A`)), origin: 'part’s data', sheet: 'supply/feeds' },
    ],
    basis: 'Haurwitz clear sky on the flat; sun’s height for the 15th of the month',
  };
}

function whyAlternator({ design, supply }: SupplyFacts): Why {
  const { alternator } = design.brief;
  return {
    figure: 'alternator left on the road, hot',
    value: `${amps(supply.alternator.leftCruiseA)} A`,
    formula: `nameplate · hot share on the road − what the vehicle itself takes; charging should want at most ${100 * ALTERNATOR.wantAtMost} % of it, at the alternator’s own volts. At idle ${amps(supply.alternator.leftA)} A are left${supply.alternator.shortAtIdleA > 0 ? `: ${amps(supply.alternator.shortAtIdleA)} A come from the starting battery then, for ${figure(supply.idleMinutes, 0)} min until half of it is gone` : ''}`,
    inputs: [
      { name: 'nameplate', value: `${figure(alternator.ratedA, 0)} A`, origin: 'typed', sheet: 'brief/vehicle' },
      { name: 'hot share on the road', value: `${figure(100 * ALTERNATOR.hotCruiseShare, 0)} %`, origin: 'default' },
      { name: 'hot share at idle', value: `${figure(100 * ALTERNATOR.hotIdleShare, 0)} %`, origin: 'default' },
      { name: 'the vehicle itself', value: `${figure(supply.alternator.vehicleA, 0)} A`, origin: alternator.vehicleA === null ? 'default' : 'typed', sheet: 'brief/vehicle' },
      { name: 'all chargers want on the road', value: `${amps(supply.alternator.wanted.roadA)} A`, origin: 'computed', sheet: 'supply/feeds' },
      { name: 'all chargers want at idle', value: `${amps(supply.alternator.wanted.idleA)} A`, origin: 'computed', sheet: 'supply/feeds' },
    ],
    basis: 'planning default; the alternator’s own hot curve wins',
  };
}

function whyFull({ supply }: SupplyFacts, bank: Bank): Why[] {
  const f = CHEMISTRY[bank.part.chemistry];
  return supply.charging.map((c) => ({
    figure: `to full ${CHARGED_WHILE[c.from]}`,
    value: `${figure(c.hours, 1)} h`,
    formula: `minute by minute from the bottom of the usable share to ${figure(100 * FULL_SOC, 0)} %: the least of the charger, the bank’s limit and its taper, times the charge efficiency; loads off`,
    inputs: [
      { name: 'charger', value: `${amps(c.chargerA)} A`, origin: 'part’s data', sheet: 'supply/feeds' },
      { name: 'bank takes at most', value: `${amps(bank.maxChargeA)} A`, origin: 'default' },
      { name: 'taper, time constant', value: `${figure(f.taperH, 1)} h`, origin: 'default' },
      { name: 'charge efficiency', value: `${figure(100 * f.coulombic, 0)} %`, origin: 'default' },
    ],
    basis: 'representative of published data sheets; the battery maker’s figures win',
  }));
}

function whyLife({ supply }: SupplyFacts, bank: Bank): Why[] {
  const { life } = supply;
  if (!life) return [];
  const f = CHEMISTRY[bank.part.chemistry];
  return [
    {
      figure: 'cost of a kWh used',
      value: figure(life.costPerKwh, 2),
      formula: 'price ÷ (usable kWh · cycles), where cycles are those of its chemistry at this depth, or those its years allow at 120 days of use a year, whichever is fewer',
      inputs: [
        { name: 'price', value: figure(bank.price, 0), origin: 'part’s data' },
        { name: 'usable', value: `${figure(life.usableKwh, 2)} kWh`, origin: 'computed' },
        usable(bank),
        { name: 'cycles at the default depth', value: String(f.cycles), origin: 'default' },
        { name: 'keeps for', value: `${f.calendarYears} years`, origin: 'default' },
        { name: `cycles counted, ended by ${life.endedBy}`, value: figure(life.cycles, 0), origin: 'computed' },
      ],
      basis: 'planning figures; the maker’s warranty and cycle curve win',
    },
  ];
}

function whyTrip({ design, trip, supply }: SupplyFacts): Why[] {
  if (!trip) return [];
  const climate = climateOf(design.brief.trip);
  const sum = (list: readonly number[]): string =>
    `${figure(
      list.reduce((a, b) => a + b, 0),
      0,
    )} Ah`;
  return [
    {
      figure: 'lowest of the trip in mean weather',
      value: `${figure(100 * trip.minSoc, 0)} %`,
      formula:
        'stepped through: the battery’s volts and currents settle in each step, sources give before the battery does, charging is held by volts, limit, taper and temperature, the disconnect opens and closes by its timers',
      inputs: [
        { name: 'sky', value: `${figure(100 * climate.clearness, 0)} % of clear`, origin: climate.region ? 'setting' : 'default', sheet: 'brief/vehicle' },
        { name: 'given by the sun', value: sum(trip.sunAh), origin: 'computed', sheet: 'supply/feeds' },
        { name: 'given by the vehicle', value: sum(trip.alternatorAh), origin: 'computed', sheet: 'supply/feeds' },
        { name: `given by ${pluggedWord(design, catalogueOf(design))}`, value: sum(trip.mainsAh), origin: 'computed', sheet: 'brief/vehicle' },
        { name: 'drawn', value: sum(trip.loadAh), origin: 'computed', sheet: 'loads' },
        {
          name: 'reserve',
          value: supply.bank ? `${figure(100 * (1 - supply.bank.usableShare), 0)} %` : '–',
          origin: supply.bank?.usableFrom === 'setting' ? 'setting' : 'default',
          sheet: 'supply/feeds',
        },
      ],
      basis: 'Engineering notes: trip',
    },
  ];
}

/** The supply's figures, each opened; a supply without a battery has only its alternator's. */
export function explainSupply(facts: SupplyFacts): readonly Why[] {
  const { bank, arrays } = facts.supply;
  return [
    ...(bank ? [whyAlone(facts, bank), ...whyTrip(facts)] : []),
    ...(bank && arrays.length ? [whySun(facts, arrays)] : []),
    whyAlternator(facts),
    ...(bank ? [...whyFull(facts, bank), ...whyLife(facts, bank)] : []),
  ];
}
