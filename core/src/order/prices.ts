/** Planning prices and sundries, without tax. */
export const PLANNING_PRICES = {
  /** Per metre of single-core cable: a base and a part that grows with the copper. */
  cableBase: 0.6,
  cablePerMm2: 0.24,
  lugSmall: 0.9,
  lugLarge: 3.2,
  fuse: { blade: 1, 'large-blade': 4, 'small-bolt-in': 7, 'large-bolt-in': 12, 'class-t': 48, 'terminal-post': 22, cartridge: 9, breaker: 38 },
  holder: { blade: 9, 'large-blade': 14, 'small-bolt-in': 18, 'large-bolt-in': 32, 'class-t': 55, 'terminal-post': 26, cartridge: 17, breaker: 0 },
  switchBase: 14,
  switchEach: 7,
  stripBase: 6,
  stripEach: 2,
  fuseTap: 9,
  joint: 3,
  busBars: 68,
  busBarsKg: 0.8,
  plugPair: { 50: 24, 175: 58 },
  label: 0.4,
  heatShrink: 0.5,
  panelFuse: 14,
  tubePerMm: 0.12,
  clip: 0.6,
  grommet: 1.4,
  gland: 6.5,
  sealant: 16,
  leadPerM: 1.6,
  boardPerM2: 62,
  fanBase: 22,
  fanPerM3h: 0.25,
  thermostat: 14,
  dustFilter: 12,
  boxBase: 35,
  boxPerM2: 110,
} as const;

/** Share of a cable that is lost in cutting, and the step in which it is bought, m. */
export const CUTTING = { waste: 0.05, stepM: 0.5 } as const;
