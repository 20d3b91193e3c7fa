import { type Circuit, type CircuitLoad, type LoadAlone, loadsAlone } from '../network/index.js';
import type { Fitted, SizedRun } from '../routes/index.js';
import { METERS, toleranceOf, type Meter } from './meters.js';
import type { Expected } from './verdict.js';

/** One reading to take, with what it should be. */
export interface ProveRow extends Expected {
  readonly id: string;
  readonly where: string;
  /** How things must stand for this reading. */
  readonly state: string;
  readonly meter: Meter;
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
}

export const BATTERY_ROW = 'house-rest';

function loadOf(run: Fitted): CircuitLoad {
  const { spec } = run;
  const demand = 'powerW' in spec.demand ? ({ kind: 'power', value: spec.demand.powerW } as const) : ({ kind: 'current', value: spec.demand.currentA } as const);
  return { id: spec.id, plus: spec.to.plus, minus: spec.to.minus, ...demand };
}

function rowFor(run: Fitted, alone: LoadAlone, basis: ProveBasis): ProveRow {
  const meter = METERS.voltmeter;
  return {
    id: `volts-${run.spec.id}`,
    where: run.spec.to.name,
    state: 'engine off, only this on',
    meter,
    unit: 'V',
    expected: alone.volt,
    tolerance: toleranceOf(meter, alone.volt, alone.watchedV - alone.volt),
    mostV: basis.restV + Math.SQRT2 * toleranceOf(meter, basis.restV, 0),
    run: run.spec.name,
    currentA: alone.amp,
  };
}

/**
 * Volts to expect at the battery and at each load with its circuit on and all else off, from the solved network. The
 * battery's own reading at rest, once it is typed, is what the rest is reckoned from.
 */
export function proveRows(runs: readonly SizedRun[], basis: ProveBasis, measured: boolean): ProveRow[] {
  const meter = METERS.voltmeter;
  const battery: ProveRow = {
    id: BATTERY_ROW,
    where: 'House battery posts',
    state: 'rested, all off',
    meter,
    unit: 'V',
    expected: basis.restV,
    // Before it is read the charge is unknown: half a volt covers a bank from half to full.
    tolerance: measured ? toleranceOf(meter, basis.restV, 0) : 0.5,
    mostV: null,
    run: null,
    currentA: 0,
  };
  const consumers = runs.filter((r): r is Fitted => r.ok && ((r.spec.group === 'loads' && r.spec.role === 'load feed') || r.spec.role === 'inverter feed'));
  const alone = loadsAlone(basis.circuit, consumers.map(loadOf), basis);
  return [battery, ...consumers.flatMap((r, i) => (alone[i] ? [rowFor(r, alone[i], basis)] : []))];
}
