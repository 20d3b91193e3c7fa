import type { Sweep } from '../circuit/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import type { SizedRun } from '../routes/index.js';
import { csv } from './csv.js';

const HEAD = [
  'run',
  'name',
  'from',
  'to',
  'purpose',
  'size',
  'length out m',
  'back',
  'fuse',
  'fuse A',
  'fuses at',
  'sized for A',
  'most in any state A',
  'drop %',
  'limit %',
  'arrives V',
  'usual A',
  'path joints mV',
];

/** The list of circuits as CSV: what block, diagram and label call each run, and what it is made of. */
export function circuitsCsv(runs: readonly SizedRun[], worst: Sweep | null): string {
  const most = new Map(worst?.runs.map((w) => [w.id, w.amp]));
  const rows = runs.map((r): (string | number)[] => {
    const { spec } = r;
    const start = [spec.number, spec.name, spec.from.name, spec.to.name, spec.group];
    const ends = spec.ends.map((e) => (e.at === 'from' ? spec.from.name : spec.to.name)).join('; ');
    if (!r.ok) return [...start, `no size: ${r.error}`, spec.outM, spec.back, '', '', ends, '', '', '', spec.pathLimitPercent ?? '', '', '', ''];
    const f = r.figures;
    return [
      ...start,
      f.cable,
      spec.outM,
      spec.back,
      ends ? FUSE_KINDS[f.fuseType].name : 'none of its own',
      ends ? f.fuseA : '',
      ends,
      f.currentA * f.perPole,
      most.get(spec.id) ?? '',
      f.pathDropPercent,
      spec.pathLimitPercent ?? '',
      f.arrivesV,
      f.usualA * f.perPole,
      1000 * f.pathJointsV,
    ];
  });
  return csv([HEAD, ...rows]);
}
