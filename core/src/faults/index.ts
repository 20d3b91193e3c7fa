export { readKnown } from './ask.js';
export { faultBook, type FaultBook, type FaultProbe } from './book.js';
export { type Fault } from './fault.js';
export { probeFigure, searchFault, type Branch, type LikelyCause, type Known, type NextTest, type Search } from './search.js';
export { hideFault, isAnswer, LEVELS, simulatedReading, type Level, type Riddle } from './trainer.js';
