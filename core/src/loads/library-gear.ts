import type { Load } from '../design/index.js';
import type { LibraryItem } from './library-item.js';

const watts = (value: number): Pick<Load, 'draw'> => ({ draw: { by: 'plate', unit: 'W', value } });
const amps = (value: number): Pick<Load, 'draw'> => ({ draw: { by: 'plate', unit: 'A', value } });
const hours = (h: number, at: 'all day' | 'daytime' | 'evening' | 'night' | 'driving' = 'all day'): Pick<Load, 'use' | 'when'> => ({ use: { by: 'hours', hours: h }, when: { at } });

/** Air, heat, water, talk, work and tools. */
export const GEAR: readonly LibraryItem[] = [
  { id: 'fan', name: 'cabin fan', shelf: 'air and heat', note: '12 V, on low most of the night', make: () => ({ purpose: 'other', ...watts(6), ...hours(8, 'night') }) },
  {
    id: 'roof-fan',
    name: 'roof vent fan',
    shelf: 'air and heat',
    note: 'a third of full speed is usual',
    make: () => ({ purpose: 'other', ...watts(36), dim: 0.35, ...hours(6, 'daytime'), surge: 1.5 }),
  },
  {
    id: 'breakaway-brake',
    name: 'breakaway brake',
    shelf: 'tools and gear',
    note: 'pulls the trailer’s brakes when it breaks away: always live, straight off the battery; used for a test a day',
    make: () => ({ purpose: 'brakes', ...amps(12), ...hours(0.05), critical: true, feed: { by: 'battery', of: 'house' } }),
  },
  {
    id: 'diesel-heater',
    name: 'diesel heater',
    shelf: 'air and heat',
    note: 'glow plug for three minutes at each start, then pump and fan',
    make: () => ({ purpose: 'heater', ...watts(24), ...hours(6, 'night'), surge: 5, standbyW: 0.4 }),
  },
  {
    id: 'air-conditioner',
    name: 'air conditioner',
    shelf: 'air and heat',
    size: { name: 'Input', unit: 'W', usual: 800, min: 200, max: 3000 },
    note: 'through the inverter; compressor about 60 % on; seldom carried by a battery for a night',
    make: (w) => ({
      purpose: 'other',
      supply: 'mains',
      ...watts(w),
      use: { by: 'duty', duty: 0.6 },
      when: { at: 'hours', spans: [[20, 22]] },
      surge: 3,
      also: { mains: true, vehicle: false, gas: false },
    }),
  },
  { id: 'water-pump', name: 'water pump', shelf: 'water', note: 'a few minutes a day', make: () => ({ purpose: 'pump', ...watts(60), ...hours(0.3, 'daytime'), surge: 2.5 }) },
  {
    id: 'water-heater-gas',
    name: 'gas water heater’s control',
    shelf: 'water',
    note: 'spark and board only',
    make: () => ({ purpose: 'electronics', ...watts(8), ...hours(1, 'evening'), standbyW: 0.5 }),
  },
  { id: 'laptop', name: 'laptop', shelf: 'talk and work', note: 'on its car charger', make: () => ({ purpose: 'electronics', ...watts(60), ...hours(4, 'evening') }) },
  {
    id: 'two-way-radio',
    name: 'two-way radio',
    shelf: 'talk and work',
    note: 'listening; sending draws far more for seconds',
    make: () => ({ purpose: 'electronics', ...amps(0.8), use: { by: 'duty', duty: 1 }, when: { at: 'daytime' }, surge: 10 }),
  },
  {
    id: 'satellite-modem',
    name: 'satellite modem',
    shelf: 'talk and work',
    size: { name: 'Draw', unit: 'W', usual: 50, min: 10, max: 150 },
    note: 'draws the same whether anyone uses it or not',
    make: (w) => ({ purpose: 'electronics', ...watts(w), ...hours(10, 'all day') }),
  },
  { id: 'modem', name: 'mobile modem', shelf: 'talk and work', note: 'on all day', make: () => ({ purpose: 'electronics', ...watts(10), use: { by: 'duty', duty: 1 } }) },
  { id: 'screen', name: 'screen 24"', shelf: 'talk and work', note: '12 V', make: () => ({ purpose: 'electronics', ...watts(28), ...hours(2, 'evening'), standbyW: 0.5 }) },
  { id: 'stereo', name: 'stereo', shelf: 'talk and work', note: 'moderate volume', make: () => ({ purpose: 'electronics', ...watts(18), ...hours(3, 'daytime'), standbyW: 0.3 }) },
  {
    id: 'air-compressor',
    name: 'tyre compressor',
    shelf: 'tools and gear',
    note: 'own heavy feed; ten minutes a travel day',
    make: () => ({ purpose: 'tools', ...amps(45), ...hours(0.17, 'daytime'), surge: 2 }),
  },
  { id: 'winch', name: 'lift or slide motor', shelf: 'tools and gear', note: 'seconds at a time', make: () => ({ purpose: 'tools', ...amps(25), ...hours(0.1, 'daytime'), surge: 2.5 }) },
  {
    id: 'breathing-aid',
    name: 'breathing aid',
    shelf: 'tools and gear',
    note: 'without humidifier; with it about three times as much',
    make: () => ({ purpose: 'medical', ...watts(20), ...hours(8, 'night'), critical: true }),
  },
  {
    id: 'vaccine-fridge',
    name: 'medicine fridge',
    shelf: 'tools and gear',
    note: 'must never go off',
    make: () => ({ purpose: 'medical', ...watts(48), use: { by: 'fridge', duty25: 0.3, insideC: 5 }, surge: 3, critical: true }),
  },
  {
    id: 'panel-meter',
    name: 'panel meter',
    shelf: 'tools and gear',
    note: 'volts and amps at a glance, lit all day; its own small fuse',
    make: () => ({ purpose: 'electronics', ...amps(0.03), use: { by: 'duty', duty: 1 } }),
  },
  {
    id: 'tank-sender',
    name: 'tank sender',
    shelf: 'tools and gear',
    note: 'level of a water or waste tank, with its display; read now and then',
    make: () => ({ purpose: 'electronics', ...amps(0.05), ...hours(1), standbyW: 0.1 }),
  },
  {
    id: 'level-sensor',
    name: 'level and tilt display',
    shelf: 'tools and gear',
    note: 'looked at while parking',
    make: () => ({ purpose: 'electronics', ...amps(0.1), ...hours(0.5, 'driving') }),
  },
  {
    id: 'relay-module',
    name: 'remote unit with relay outputs',
    shelf: 'tools and gear',
    note: 'always on the line; what its relays switch hangs on the relays’ own feeds',
    make: () => ({ purpose: 'electronics', ...amps(0.12), use: { by: 'duty', duty: 1 } }),
  },
  {
    id: 'button-panel',
    name: 'button panel',
    shelf: 'tools and gear',
    note: 'lit buttons that switch circuits by their relays',
    make: () => ({ purpose: 'electronics', ...amps(0.08), use: { by: 'duty', duty: 1 } }),
  },
  { id: 'soldering', name: 'soldering station', shelf: 'tools and gear', note: 'through the inverter', make: () => ({ purpose: 'tools', supply: 'mains', ...watts(70), ...hours(1, 'daytime') }) },
];
