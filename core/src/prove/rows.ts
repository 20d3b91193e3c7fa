import { type Circuit, type CircuitLoad, type LoadAlone, loadsAlone } from '../network/index.js';
import type { Fitted, SizedRun } from '../routes/index.js';
import { asOwned, type Meter, type Meters, readingTolerance } from '../verdicts/index.js';
import type { Expected } from './expected.js';

/** One reading to take, with what it should be. */
export interface ProveRow extends Expected {
  readonly id: string;
  readonly where: string;
  /** How things must stand for this reading. */
  readonly state: string;
  /** Current of the circuit in this state, A. */
  readonly currentA: number;
}

/** The wired design with its sources as met on the day, and the house battery's volts at rest. */
export interface ProveBasis {
  readonly circuit: Circuit;
  readonly restV: number;
  /** Nodes of the house battery's posts. */
  readonly plus: string;
  readonly minus: string;
  /** What the readings are taken with. */
  readonly meters: Meters;
}

const VOLTMETER: Meter = { kind: 'volt' };
/** Before a bank is read its charge is unknown: half a volt covers it from half to full. */
const UNKNOWN_CHARGE: Meter = { kind: 'volt', share: 0, absolute: 0.5 };

export const BATTERY_ROW = 'house-rest';

function loadOf(run: Fitted): CircuitLoad {
  const { spec } = run;
  const demand = 'powerW' in spec.demand ? ({ kind: 'power', value: spec.demand.powerW } as const) : ({ kind: 'current', value: spec.demand.currentA } as const);
  return { id: spec.id, plus: spec.to.plus, minus: spec.to.minus, ...demand };
}

function rowFor(run: Fitted, alone: LoadAlone, basis: ProveBasis): ProveRow {
  const voltmeter = asOwned(VOLTMETER, basis.meters);
  const dropV = alone.watchedV - alone.volt;
  return {
    id: `volts-${run.spec.id}`,
    where: run.spec.to.name,
    state: 'engine off, only this on',
    meter: voltmeter,
    unit: 'V',
    expected: alone.volt,
    dropV,
    tolerance: readingTolerance(voltmeter, alone.volt, alone.volt, dropV),
    mostV: basis.restV + Math.SQRT2 * readingTolerance(voltmeter, basis.restV, basis.restV),
    run: run.spec.name,
    currentA: alone.amp,
  };
}

/**
 * Volts to expect at the battery and at each load with its circuit on and all else off, from the solved network. The
 * battery's own reading at rest, once it is typed, is what the rest is reckoned from.
 */
export function proveRows(runs: readonly SizedRun[], basis: ProveBasis, measured: boolean): ProveRow[] {
  const meter = measured ? asOwned(VOLTMETER, basis.meters) : UNKNOWN_CHARGE;
  const battery: ProveRow = {
    id: BATTERY_ROW,
    where: 'House battery posts',
    state: 'rested, all off',
    meter,
    unit: 'V',
    expected: basis.restV,
    dropV: 0,
    tolerance: readingTolerance(meter, basis.restV, basis.restV),
    mostV: null,
    run: null,
    currentA: 0,
  };
  const consumers = runs.filter((r): r is Fitted => r.ok && ((r.spec.group === 'loads' && r.spec.role === 'load feed') || r.spec.role === 'inverter feed'));
  const alone = loadsAlone(basis.circuit, consumers.map(loadOf), basis);
  return [battery, ...consumers.flatMap((r, i) => (alone[i] ? [rowFor(r, alone[i], basis)] : []))];
}
