import { alternatorOvercommitted } from './alternator-overcommitted.js';
import { batteryAmongPeople } from './battery-among-people.js';
import { chargeOverLimit } from './charge-over-limit.js';
import { faultNotCleared } from './fault-not-cleared.js';
import { fuseCannotBreak } from './fuse-cannot-break.js';
import { inverterOverBattery } from './inverter-over-battery.js';
import { inverterTooSmall } from './inverter-too-small.js';
import { isolationAdvice } from './isolation-advice.js';
import { isolationMissing } from './isolation-missing.js';
import { isolatorNeverCloses } from './isolator-never-closes.js';
import { lengthEstimated } from './length-estimated.js';
import { lengthZero } from './length-zero.js';
import { lithiumUnlimited } from './lithium-unlimited.js';
import { loadWithoutHours } from './load-without-hours.js';
import { loadWithoutPower } from './load-without-power.js';
import { mainsLicensed } from './mains-licensed.js';
import { mainsLoadWithoutInverter } from './mains-load-without-inverter.js';
import { mixedUnits } from './mixed-units.js';
import { tripRunsLow } from './trip-runs-low.js';
import { noBattery } from './no-battery.js';
import { noDistribution } from './no-distribution.js';
import { noLoads } from './no-loads.js';
import { panelFuse } from './panel-fuse.js';
import { panelVolts } from './panel-volts.js';
import { panelsUnregulated } from './panels-unregulated.js';
import { runTypedFails } from './run-typed-fails.js';
import { runUnsized } from './run-unsized.js';
import { waysShort } from './ways-short.js';
import { wrongVolts } from './wrong-volts.js';
import type { Rule } from './rule.js';

/** Every rule, each in a file of its own. */
export const RULES: readonly Rule[] = [
  alternatorOvercommitted,
  batteryAmongPeople,
  chargeOverLimit,
  faultNotCleared,
  fuseCannotBreak,
  inverterOverBattery,
  inverterTooSmall,
  isolationAdvice,
  isolationMissing,
  isolatorNeverCloses,
  lengthEstimated,
  lengthZero,
  lithiumUnlimited,
  loadWithoutHours,
  loadWithoutPower,
  mainsLicensed,
  mainsLoadWithoutInverter,
  mixedUnits,
  tripRunsLow,
  noBattery,
  noDistribution,
  noLoads,
  panelFuse,
  panelVolts,
  panelsUnregulated,
  runTypedFails,
  runUnsized,
  waysShort,
  wrongVolts,
];
