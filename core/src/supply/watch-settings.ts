import { watchesOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { MonitorThing, Plant } from '../plant/index.js';
import { figure } from '../quantity/index.js';

interface Row {
  readonly setting: string;
  readonly value: string;
  readonly why: string;
}

/** Of what is read, its unit and what is set for it. */
const SET = {
  charge: null,
  volts: null,
  'volts and amps': null,
  'amps of circuits': { unit: 'A', setting: 'circuits', why: 'each channel by the name of the circuit that it is on' },
  tank: { unit: '%', setting: 'empty and full', why: 'read at the empty tank and at the full one: a sender knows neither' },
  tilt: { unit: '°', setting: 'level', why: 'set to nought where the vehicle stands level' },
  temperature: { unit: '°C', setting: 'alarm', why: 'above what it guards bears' },
} as const;

export const monitorName = (m: MonitorThing): string => m.name || (m.part ? watchesOf(m.part).calls(m.part) : 'display');

/** What a unit's outputs do, in words: by a button, or on by themselves while something is so. */
function whenWords(design: Design, rig: Plant, m: MonitorThing): string {
  const when = design.monitors[m.ref.id]?.when;
  const by = when && rig.monitors.find((x) => x.ref.id === when.of);
  if (!when || !by?.part) return 'by its button';
  const reads = watchesOf(by.part).reads(by.part);
  return `while ${monitorName(by)} is ${when.is} ${figure(when.value, 1)} ${(reads && SET[reads]?.unit) ?? 'V'}, else by its button`;
}

/** What is to be set on meters, senders and relays. */
export const watchSettings = (design: Design, rig: Plant): readonly { readonly device: string; readonly rows: readonly Row[] }[] =>
  rig.monitors.flatMap((m) => {
    if (!m.part) return [];
    const { reads, outputs } = watchesOf(m.part);
    const [read, out] = [reads(m.part), outputs(m.part)];
    const set = read && SET[read];
    const rows: Row[] = [
      ...(set ? [{ setting: set.setting, value: read === 'tilt' ? '0°' : read === 'temperature' ? 'by its maker' : 'as found', why: set.why }] : []),
      ...m.switches.map((l, i): Row => ({
        setting: `output ${i + 1}`,
        value: `${design.loads[l.id]!.name || 'unnamed load'}, ${whenWords(design, rig, m)}`,
        why: out?.failsTo === 'on' ? 'stays on when the unit dies' : 'goes off when the unit dies',
      })),
    ];
    return rows.length ? [{ device: monitorName(m), rows }] : [];
  });
