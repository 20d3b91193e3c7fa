export { readKnown } from './ask.js';
export { faultBook, type FaultBook, type FaultProbe } from './book.js';
export { type Fault, SOUND } from './fault.js';
export { probeFigure, searchFault, type Branch, type LikelyCause, type Known, type NextTest, type Search } from './search.js';
export { hideFault, isAnswer, LEVELS, simulatedReading, type Level, type Riddle } from './trainer.js';
export { AT_HAND_MIN, CLAMP, CLAMP_MIN, giver, type Probe, VOLT } from './probe.js';
export { probesThatProve } from './probes.js';
export { SITUATIONS } from './situations.js';
