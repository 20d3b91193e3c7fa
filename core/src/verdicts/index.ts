export { judgeConverter } from './converter.js';
export { asOwned, METER_DEFAULTS, meterTolerance, type Meter, type Meters } from './meter.js';
export { MODEL_SHARE, readingTolerance, readingVerdict, type ReadingVerdict } from './reading.js';
export { verdictOf, verdictSchema } from './verdict.js';
