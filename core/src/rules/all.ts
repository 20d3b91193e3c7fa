import { alternatorOvercommitted } from './alternator-overcommitted.js';
import { batteryAmongPeople } from './battery-among-people.js';
import { breakawaySwitched } from './breakaway-switched.js';
import { chargeOverLimit } from './charge-over-limit.js';
import { faultNotCleared } from './fault-not-cleared.js';
import { fuseCannotBreak } from './fuse-cannot-break.js';
import { inverterOverBattery } from './inverter-over-battery.js';
import { inverterTooSmall } from './inverter-too-small.js';
import { isolationAdvice } from './isolation-advice.js';
import { isolationMissing } from './isolation-missing.js';
import { isolatorNeverCloses } from './isolator-never-closes.js';
import { jointsLose } from './joints-lose.js';
import { multicoreCores } from './multicore-cores.js';
import { multicoreLeftOut } from './multicore-left-out.js';
import { multicoreReturn } from './multicore-return.js';
import { multicoreThick } from './multicore-thick.js';
import { multicoreWays } from './multicore-ways.js';
import { lengthZero } from './length-zero.js';
import { lithiumUnlimited } from './lithium-unlimited.js';
import { loadWithoutHours } from './load-without-hours.js';
import { loadWithoutPower } from './load-without-power.js';
import { mainsAnswers } from './mains-answers.js';
import { mainsLoadWithoutInverter } from './mains-load-without-inverter.js';
import { monitorUnseen } from './monitor-unseen.js';
import { relayDrops } from './relay-drops.js';
import { relayOutputs } from './relay-outputs.js';
import { mixedUnits } from './mixed-units.js';
import { tripRunsLow } from './trip-runs-low.js';
import { noBattery } from './no-battery.js';
import { notCarried } from './not-carried.js';
import { unitInside } from './unit-inside.js';
import { partAssumed } from './part-assumed.js';
import { partUnknown } from './part-unknown.js';
import { referenceToNothing } from './reference-to-nothing.js';
import { noDistribution } from './no-distribution.js';
import { noLoads } from './no-loads.js';
import { controllerIdle } from './controller-idle.js';
import { switchInNegative } from './switch-in-negative.js';
import { disconnectInNegative } from './disconnect-in-negative.js';
import { disconnectOver } from './disconnect-over.js';
import { noMainSwitch } from './no-main-switch.js';
import { panelFuse } from './panel-fuse.js';
import { panelsTooLow } from './panels-too-low.js';
import { perPole } from './per-pole.js';
import { panelVolts } from './panel-volts.js';
import { panelsUnregulated } from './panels-unregulated.js';
import { runTypedFails } from './run-typed-fails.js';
import { runUnsized } from './run-unsized.js';
import { waysShort } from './ways-short.js';
import { stepShort } from './step-short.js';
import { wrongVolts } from './wrong-volts.js';
import { chargerCutsOut } from './charger-cuts-out.js';
import { chargersShare } from './chargers-share.js';
import { chargingColdLithium } from './charging-cold-lithium.js';
import { fridgeTwice } from './fridge-twice.js';
import { functionLost } from './function-lost.js';
import { loadSags } from './load-sags.js';
import { mixedBank } from './mixed-bank.js';
import { oneSourceAtATime } from './one-source-at-a-time.js';
import { overLimits } from './over-limits.js';
import { panelsDrag } from './panels-drag.js';
import { profileMissing } from './profile-missing.js';
import { regulatorBeforeRegulator } from './regulator-before-regulator.js';
import { chargingSelector } from './charging-selector.js';
import { selectorMissing } from './selector-missing.js';
import { sourceNeverFills } from './source-never-fills.js';
import { startingBatteryDrains } from './starting-battery-drains.js';
import { swapGrows } from './swap-grows.js';
import { triggerAlwaysLive } from './trigger-always-live.js';
import { triggerByVolts } from './trigger-by-volts.js';
import { breakerOneWay } from './breaker-one-way.js';
import { breakerResetsItself } from './breaker-resets-itself.js';
import { crankingThroughLink } from './cranking-through-link.js';
import { fuseHot } from './fuse-hot.js';
import { fuseVolts } from './fuse-volts.js';
import { opensFirst } from './opens-first.js';
import { feedMissing } from './feed-missing.js';
import { tapUnknown } from './tap-unknown.js';
import { tapUnsafe } from './tap-unsafe.js';
import { tapPiercing } from './tap-piercing.js';
import { tapNotLive } from './tap-not-live.js';
import { switchSurge } from './switch-surge.js';
import { unequalLeads } from './unequal-leads.js';
import { usableAboveSchool } from './usable-above-school.js';
import { voltageFixedByDealer } from './voltage-fixed-by-dealer.js';
import { wireUndecided } from './wire-undecided.js';
import { airTooTight } from './air-too-tight.js';
import { axleOver } from './axle-over.js';
import { boardOffWall } from './board-off-wall.js';
import { boxEmpty } from './box-empty.js';
import { bendTooTight } from './bend-too-tight.js';
import { chassisReturn } from './chassis-return.js';
import { airDrawsDust } from './air-draws-dust.js';
import { compartmentHot } from './compartment-hot.js';
import { faceOverloaded } from './face-overloaded.js';
import { holeTooSmall } from './hole-too-small.js';
import { leadTooLong } from './lead-too-long.js';
import { lopsided } from './lopsided.js';
import { nearExhaust } from './near-exhaust.js';
import { nearMains } from './near-mains.js';
import { noWay } from './no-way.js';
import { outOfHand } from './out-of-hand.js';
import { outOfReach } from './out-of-reach.js';
import { placeClash } from './place-clash.js';
import { placeDoesNotFit } from './place-does-not-fit.js';
import { placeInTheWay } from './place-in-the-way.js';
import { placeTooWet } from './place-too-wet.js';
import { plugExposed } from './plug-exposed.js';
import { plugMatesWrong } from './plug-mates-wrong.js';
import { plugWire } from './plug-wire.js';
import { tubeTooSmall } from './tube-too-small.js';
import { vehicleFile } from './vehicle-file.js';
import type { Rule } from './rule.js';

/** Every rule, each in a file of its own. */
export const RULES: readonly Rule[] = [
  alternatorOvercommitted,
  boxEmpty,
  batteryAmongPeople,
  chargeOverLimit,
  faultNotCleared,
  fuseCannotBreak,
  inverterOverBattery,
  inverterTooSmall,
  isolationAdvice,
  isolationMissing,
  isolatorNeverCloses,
  jointsLose,
  lengthZero,
  multicoreCores,
  multicoreReturn,
  multicoreLeftOut,
  multicoreThick,
  multicoreWays,
  lithiumUnlimited,
  loadWithoutHours,
  loadWithoutPower,
  mainsAnswers,
  mainsLoadWithoutInverter,
  mixedUnits,
  tripRunsLow,
  noBattery,
  partUnknown,
  referenceToNothing,
  notCarried,
  unitInside,
  partAssumed,
  noDistribution,
  noLoads,
  disconnectOver,
  controllerIdle,
  disconnectInNegative,
  switchInNegative,
  noMainSwitch,
  panelFuse,
  panelsTooLow,
  perPole,
  unequalLeads,
  switchSurge,
  feedMissing,
  tapUnknown,
  tapUnsafe,
  tapPiercing,
  tapNotLive,
  breakerOneWay,
  breakerResetsItself,
  crankingThroughLink,
  fuseHot,
  fuseVolts,
  opensFirst,
  panelVolts,
  panelsUnregulated,
  runTypedFails,
  runUnsized,
  waysShort,
  stepShort,
  wrongVolts,
  chargerCutsOut,
  chargersShare,
  chargingColdLithium,
  fridgeTwice,
  functionLost,
  loadSags,
  mixedBank,
  oneSourceAtATime,
  overLimits,
  panelsDrag,
  profileMissing,
  regulatorBeforeRegulator,
  monitorUnseen,
  relayOutputs,
  relayDrops,
  selectorMissing,
  chargingSelector,
  sourceNeverFills,
  startingBatteryDrains,
  swapGrows,
  triggerAlwaysLive,
  triggerByVolts,
  usableAboveSchool,
  voltageFixedByDealer,
  wireUndecided,
  placeDoesNotFit,
  placeClash,
  placeInTheWay,
  bendTooTight,
  airTooTight,
  placeTooWet,
  outOfReach,
  outOfHand,
  boardOffWall,
  nearMains,
  faceOverloaded,
  compartmentHot,
  airDrawsDust,
  axleOver,
  lopsided,
  noWay,
  nearExhaust,
  vehicleFile,
  holeTooSmall,
  tubeTooSmall,
  breakawaySwitched,
  plugMatesWrong,
  plugWire,
  plugExposed,
  leadTooLong,
  chassisReturn,
];
