/** Clear-sky shares of the two kinds of day, and how much tomorrow takes after today (0: nothing, 1: all). */
export const WEATHER = { clear: 0.94, cloudy: 0.36, persistence: 0.4, ambientSdK: 2.5 } as const;

export interface WeatherChain {
  readonly clear: number;
  readonly cloudy: number;
  /** Long-run share of clear days, and the chance of a clear day after a clear and after a cloudy one. */
  readonly shareClear: number;
  readonly clearAfterClear: number;
  readonly clearAfterCloudy: number;
}

/**
 * The two-state chain whose long-run mean is a month's clearness, 0–1. A mean outside the two states moves them.
 * @example weatherChain(0.65).shareClear // 0.5
 */
export function weatherChain(meanClearness: number): WeatherChain {
  const clear = Math.max(WEATHER.clear, meanClearness);
  const cloudy = Math.min(WEATHER.cloudy, meanClearness);
  const shareClear = (meanClearness - cloudy) / (clear - cloudy);
  const r = WEATHER.persistence;
  return { clear, cloudy, shareClear, clearAfterClear: shareClear + r * (1 - shareClear), clearAfterCloudy: shareClear * (1 - r) };
}

/** Uniform numbers in [0, 1) from a seed: the same seed gives the same row on every machine (mulberry32). */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), a | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A seed for one of many, so that any share of the work draws the same weather. @example trialSeed(1, 2) === trialSeed(2, 1) // false */
export function trialSeed(seed: number, trial: number): number {
  return (Math.imul(seed + 0x9e3779b9, 0x85ebca6b) ^ Math.imul(trial + 1, 0xc2b2ae35)) >>> 0;
}

/** Draws each day's clearness into `into`, and returns the trip's ambient off the mean, K (normal, ± {@link WEATHER.ambientSdK}). */
export function drawWeather(chain: WeatherChain, random: () => number, into: Float64Array): number {
  let isClear = random() < chain.shareClear;
  for (let day = 0; day < into.length; day++) {
    into[day] = isClear ? chain.clear : chain.cloudy;
    isClear = random() < (isClear ? chain.clearAfterClear : chain.clearAfterCloudy);
  }
  const u = Math.max(1e-12, random());
  return WEATHER.ambientSdK * Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random());
}
