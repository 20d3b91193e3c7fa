import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { fromInlet, inletTakesW, plant, withPort } from '../plant/index.js';

/** One thing that only the licensed electrician can settle. */
export interface MainsQuestion {
  /** Stays the same while the thing that it is about does. */
  readonly id: string;
  /** What it is about, as it is called. */
  readonly of: string;
  readonly ask: string;
  readonly why: string;
  /** Answers to choose from; null: it is written. */
  readonly choices: readonly string[] | null;
  /** What was answered; null: nothing yet. */
  readonly answer: string | null;
}

export const OUTPUT = { floating: 'floating', bonded: 'neutral bonded to earth' } as const;
export const USED = { plugged: 'by plugging in', wired: 'by fixed wiring' } as const;
export const RCD = { none: 'none', ten: '10 mA, type A', thirty: '30 mA, type A', old: '30 mA, type AC' } as const;
export const YES_NO = { yes: 'yes', no: 'no' } as const;
/** Amps of the inlets that are sold. */
export const INLET_A = { 10: '10 A', 15: '15 A', 16: '16 A', 32: '32 A' } as const;
export const TRANSFER = { unit: 'transfer in the unit', switch: 'changeover switch, interlocked', apart: 'outlets of their own' } as const;
const APART = ['own conduit', 'own compartment', 'barrier between'] as const;

/** What gives 230 V here: an inverter, or an inlet. */
export interface MainsSource {
  readonly id: string;
  readonly kind: 'inverter' | 'inlet';
  readonly name: string;
  /** What it can give, W; of an inlet what hangs on it takes. */
  readonly watts: number;
  /** It switches over by itself between a lead and the battery. */
  readonly transfers: boolean;
  /** Chargers that hang on it. */
  readonly feeds: readonly string[];
}

/** Where 230 V comes from in a vehicle: every inverter, and every inlet that something hangs on. */
export function mainsSources(design: Design, catalogue: Catalogue): readonly MainsSource[] {
  const p = plant(design, catalogue);
  const inverters = withPort(p, 'mainsOut');
  const on = (inlet: string): readonly string[] => fromInlet(p).flatMap((c) => (c.inputs.some((i) => i.by === 'inlet' && i.ref.id === inlet) ? [c.part.name] : []));
  const inlets = Object.entries(design.inlets)
    .filter(([id]) => on(id).length)
    .sort(([, a], [, b]) => a.order - b.order);
  return [
    ...inlets.map(([id, { name }], i): MainsSource => ({
      id,
      kind: 'inlet',
      name: name || `mains inlet${inlets.length > 1 ? ` ${i + 1}` : ''}`,
      watts: inletTakesW(design, catalogue, id),
      transfers: false,
      feeds: on(id),
    })),
    ...inverters.map((c): MainsSource => ({ id: c.ref.id, kind: 'inverter', name: c.part.name, watts: c.ports.mainsOut.ratedW, transfers: c.ports.mainsIn !== null, feeds: [] })),
  ];
}

type Asked = Omit<MainsQuestion, 'answer'>;

function ofInverter({ id, name }: MainsSource): Asked[] {
  const of = name;
  return [
    {
      id: `${id}.output`,
      of,
      ask: 'Is its output floating, or its neutral bonded to earth?',
      why: 'A residual-current device sees nothing of a first fault on a floating output.',
      choices: Object.values(OUTPUT),
    },
    { id: `${id}.used`, of, ask: 'How is it used?', why: 'Fixed wiring behind an inverter is an installation, a plug in its own socket is not.', choices: Object.values(USED) },
    { id: `${id}.rcd`, of, ask: 'Which residual-current device works on it?', why: 'It must suit the output: not every one trips behind an inverter.', choices: Object.values(RCD) },
    { id: `${id}.outlets`, of, ask: 'Which outlets does it feed, and of what rating?', why: 'What is plugged in where decides the size of everything before it.', choices: null },
  ];
}

function ofInlet({ id, name }: MainsSource): Asked[] {
  const of = name;
  return [
    { id: `${id}.rating`, of, ask: 'What is the inlet rated for?', why: 'All chargers and outlets behind it together take no more.', choices: Object.values(INLET_A) },
    { id: `${id}.rcd`, of, ask: 'Which residual-current device stands behind it?', why: 'A site’s own cannot be relied on: leads are damaged, and sites are old.', choices: Object.values(RCD) },
    {
      id: `${id}.poles`,
      of,
      ask: 'Do its switch and its protection part both poles?',
      why: 'In what moves from site to site active and neutral may be swapped at the next plug.',
      choices: Object.values(YES_NO),
    },
    { id: `${id}.lead`, of, ask: 'Which lead feeds it: size, length, plug?', why: 'A long thin lead loses volts and lets its fuse stay closed on a short.', choices: null },
  ];
}

/** Everything that is asked of the licensed electrician about a vehicle, with what was answered; none where it has no 230 V. */
export function mainsQuestions(design: Design, catalogue: Catalogue): readonly MainsQuestion[] {
  const sources = mainsSources(design, catalogue);
  if (!sources.length) return [];
  const [inverters, inlets] = [sources.filter((s) => s.kind === 'inverter'), sources.filter((s) => s.kind === 'inlet')];
  const all = 'the whole 230 V side';
  const asked: readonly Asked[] = [
    ...inlets.flatMap(ofInlet),
    ...inverters.flatMap(ofInverter),
    ...(sources.length > 1
      ? [
          {
            id: 'transfer',
            of: all,
            ask: 'What keeps two sources off one outlet?',
            why: 'Two sources on one outlet destroy each other, and make a lead’s plug live.',
            choices: Object.values(TRANSFER),
          },
        ]
      : []),
    { id: 'apart', of: all, ask: 'What keeps 230 V apart from the 12 V wiring?', why: 'One chafed cable would put mains on every socket.', choices: APART },
    { id: 'circuits', of: all, ask: 'Which circuits are added or changed, and where are they written down?', why: 'Whoever looks for a fault in ten years has only this.', choices: null },
  ];
  return asked.map((q) => ({ ...q, answer: design.mains.answers[q.id]?.trim() || null }));
}
