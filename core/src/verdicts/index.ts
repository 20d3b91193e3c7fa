export { judgeConverter } from './converter.js';
export { meterTolerance, type Meter } from './meter.js';
export { MODEL_SHARE, readingTolerance, readingVerdict, type ReadingVerdict } from './reading.js';
export { verdictOf, verdictSchema } from './verdict.js';
