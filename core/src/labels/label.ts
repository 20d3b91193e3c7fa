import type { Assessment } from '../assess/index.js';
import { CHEMISTRY, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { fromInlet, plant } from '../plant/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { figure, rating, sentence } from '../quantity/index.js';
import { fuseMarks, type Fitted, type FuseMarks } from '../routes/index.js';
import type { Bank } from '../supply/index.js';

/** A label as it is stuck on: a mark that is read from afar, and what it means. */
export interface Label {
  /** Stays the same while it means the same. */
  readonly key: string;
  readonly kind: 'cable' | 'fuse' | 'thin lead' | 'switch' | 'caution';
  readonly mark: string;
  readonly lines: readonly string[];
  /** The run that it belongs to; none: it is of no circuit. */
  readonly run?: string;
}

/** Both ends of every core of a run. */
function ofCable({ spec, figures: f }: Fitted): Label[] {
  const poles = spec.back === 'cable' ? ['+', '−'] : ['+'];
  const fused = spec.ends.length ? `fuse ${rating(f.fuseA)} A` : 'no fuse of its own';
  return poles.flatMap((pole) =>
    Array.from({ length: f.perPole }, (_, i) => `${spec.number}${pole}${f.perPole > 1 ? ` ${i + 1}/${f.perPole}` : ''}`).flatMap((mark) =>
      ([spec.from.name, spec.to.name] as const).map((end, at): Label => ({
        key: `${spec.id} ${mark} ${at ? 'to' : 'from'}`,
        kind: 'cable',
        mark,
        run: spec.id,
        lines: [at ? `from ${spec.from.name}` : `to ${spec.to.name}`, pole === '+' ? `${f.cable} · ${fused}` : f.cable, `here: ${end}`],
      })),
    ),
  );
}

/** Each fuse or breaker where it stands. */
const ofFuse = ({ spec, figures: f }: Fitted, marks: FuseMarks): Label[] =>
  spec.ends.map((e): Label => ({
    key: `fuse ${spec.id} ${e.at}`,
    kind: 'fuse',
    run: spec.id,
    mark: marks(spec.id, e.at),
    lines: [spec.to.name, `${FUSE_KINDS[f.fuseType].name} ${rating(f.fuseA)} A, no larger`, `fed from the ${e.source}`],
  }));

const STAYS = 'stays live with the main switch off';

/** What whoever works here later must know before a hand goes in. */
function cautions(design: Design, catalogue: Catalogue, a: Assessment): Label[] {
  const p = plant(design, catalogue);
  const always = a.runs.filter((r) => r.spec.serves.in === 'loads' && design.loads[r.spec.serves.id]?.feed.by === 'battery');
  const caution = (key: string, mark: string, ...lines: string[]): Label => ({ key, kind: 'caution', mark, lines });
  return [
    ...p.banks.flatMap((b) => {
      const bank = b.selected ? a.supply.second : a.supply.bank;
      const says = (x: Bank): Label => caution(`bank ${b.ref.id}`, `${figure(x.capacityAh, 0)} Ah`, `${CHEMISTRY[x.part.chemistry].name}, ${x.nominalV} V`, 'set chargers for this battery alone');
      return bank ? [says(bank)] : [];
    }),
    ...always.map(({ spec }) => caution(`live ${spec.id}`, 'LIVE', spec.to.name, STAYS)),
    ...(a.inline.some((x) => x.id === 'charging') ? [caution('charging bar', 'LIVE', 'the chargers’ bar', 'stays live with the load selector off')] : []),
    ...(p.vehicles.some((v) => v.joined) ? [caution('starting', 'LIVE', 'feed of the starting battery', STAYS)] : []),
    ...(p.arrays.some((x) => !x.portable) ? [caution('sun', 'SUN', 'live in daylight', 'cover the panels, then part')] : []),
    ...(fromInlet(p).length || p.converters.some((c) => c.ports.mainsOut) ? [caution('mains', '230 V', 'licensed electrician only', 'more than one source: part them all')] : []),
  ];
}

/** Main switch, shunt and disconnect, each with the one thing to know of it. */
const SAYS = {
  switch: ['off before any work', 'chargers may still feed behind it'],
  charging: ['chooses the bank on charge', 'turn it with the chargers at rest'],
  shunt: ['nothing else on its battery side', 'all returns pass it'],
  disconnect: ['cuts the loads off by itself', 'not a switch to work behind'],
} as const;

/**
 * Every label of a vehicle: both ends of each core, each fuse, each thin lead, what is switched by hand, and cautions.
 * @example labelsOf(design, catalogue, assess(design, catalogue)).filter((l) => l.kind === 'switch').length > 0 // true
 */
export function labelsOf(design: Design, catalogue: Catalogue, a: Assessment): readonly Label[] {
  const marks = fuseMarks(design.settings.fuseMarks, a.runs);
  const fitted = a.runs.filter((r): r is Fitted => r.ok && !r.spec.existing);
  return [
    ...fitted.flatMap(ofCable),
    ...fitted.flatMap((r) => ofFuse(r, marks)),
    ...a.layout.leads.flatMap((l) => (['from', 'to'] as const).map((at): Label => ({ key: `${l.id} ${at}`, kind: 'thin lead', mark: `L${l.number}`, lines: [sentence(l.name), l.cable] }))),
    ...a.inline.map((p): Label => ({ key: `switch ${p.id}`, kind: 'switch', mark: p.name, lines: SAYS[p.id] })),
    ...cautions(design, catalogue, a),
  ];
}
