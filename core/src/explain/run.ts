import { areaInWords } from '../cable/index.js';
import type { Design } from '../design/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { amps, faultCurrent, figure, rating } from '../quantity/index.js';
import type { Fitted, RunFigures, RunSpec, SizedRun } from '../routes/index.js';
import { pathRuns } from './path.js';
import type { Origin, Why, WhyInput } from './why.js';

const typedOr = (typed: unknown, other: Origin): Origin => (typed === undefined ? other : 'typed');

function whyCurrents(spec: RunSpec, f: RunFigures): Why[] {
  const each = f.perPole > 1 ? [{ name: 'equal conductors in each pole', value: String(f.perPole), origin: 'computed' as const }] : [];
  const passing = spec.passingA > spec.lastingA ? [{ name: 'passes just above the cut-out, and need not open the fuse', value: `${amps(spec.passingA)} A`, origin: 'computed' as const }] : [];
  return [
    {
      figure: 'lasting current',
      value: `${amps(f.currentA)} A`,
      formula: 'the largest steady current: fuse and heat go by it',
      inputs: [{ name: spec.lastingWhy, value: `${amps(spec.lastingA)} A`, origin: 'computed' }, ...passing, ...each],
      basis: 'Engineering notes: the currents of a run',
    },
    {
      figure: 'usual current',
      value: `${amps(f.usualA)} A`,
      formula: 'what a usual day draws at nominal volts: drop goes by it',
      inputs: [{ name: spec.usualWhy, value: `${amps(spec.usualA)} A`, origin: 'computed' }, ...each],
      basis: 'Engineering notes: the currents of a run',
    },
  ];
}

function whyDrop(design: Design, run: Fitted, runs: readonly SizedRun[]): Why {
  const { spec, figures: f } = run;
  const shares = pathRuns(run, runs).map((r): WhyInput => ({
    name: `${r.spec.name}: ${r.figures.cable}`,
    value: `${figure(r.figures.dropPercent, 2)} %`,
    origin: r.spec.edit.areaMm2 ? 'typed' : 'computed',
  }));
  const limit: WhyInput[] =
    spec.pathLimitPercent === null
      ? [{ name: spec.limitWhy, value: '–', origin: 'default' }]
      : [{ name: `limit of the path: ${spec.limitWhy}`, value: `${figure(spec.pathLimitPercent, 1)} %`, origin: 'default' }];
  return {
    figure: 'drop',
    value: `${figure(f.dropV, 2)} V (${figure(f.dropPercent, 1)} %)`,
    formula: `cable alone: I usual · (R feed + R return), copper as warm as that current makes it; per cent of ${figure(spec.refV, 1)} V. The path: ${figure(f.pathDropPercent, 1)} %`,
    inputs: [
      { name: 'usual current', value: `${amps(f.usualA)} A`, origin: 'computed' },
      { name: 'length out', value: `${figure(spec.outM, 1)} m`, origin: spec.lengthFrom, edit: 'outM' },
      { name: 'length back', value: `${figure(spec.backM, 1)} m`, origin: typedOr(spec.edit.backM, spec.lengthFrom), edit: 'backM' },
      ...(spec.multicore?.common
        ? [
            {
              name: `return in common with others, in ${spec.multicore.common.cores} ${spec.multicore.common.cores > 1 ? 'cores' : 'core'}: counts`,
              value: `${figure(spec.multicore.common.share, 2)} times`,
              origin: 'computed' as const,
            },
          ]
        : []),
      { name: 'copper', value: `${areaInWords(f.areaMm2)}${design.settings.tinned ? ', tinned' : ''}`, origin: typedOr(spec.edit.areaMm2, 'computed'), edit: 'areaMm2' },
      { name: 'conductor', value: `${figure(f.conductorC, 0)} °C`, origin: 'computed' },
      ...(shares.length > 1 ? shares : []),
      ...limit,
      { name: 'joints beside it: this run', value: `${figure(1000 * f.jointsV, 0)} mV`, origin: 'computed' },
      { name: `joints of the path; most in ${f.worstJoint.what}`, value: `${figure(1000 * f.pathJointsV, 0)} mV`, origin: 'computed' },
      { name: 'next size down', value: belowInWords(run), origin: 'computed' },
    ],
    basis: 'IEC 60228 class 5 resistances, α = 0.00393/K; Engineering notes: a whole tree of runs',
  };
}

function whyAmpacity(design: Design, spec: RunSpec, f: RunFigures): Why {
  return {
    figure: 'ampacity',
    value: `${figure(f.ampacityA, 0)} A`,
    formula: 'table at 30 °C × √((T insulation − T ambient)/(T insulation − 30)) × grouping × laying',
    inputs: [
      { name: 'insulation', value: `${design.settings.insulationC} °C`, origin: 'setting' },
      { name: `ambient: ${spec.ambientWhy}`, value: `${figure(spec.ambientC, 0)} °C`, origin: typedOr(spec.edit.ambientC, 'default'), edit: 'ambientC' },
      { name: 'circuits bunched', value: String(spec.grouped), origin: typedOr(spec.edit.grouped, 'default'), edit: 'grouped' },
      { name: 'laid', value: spec.laid === 'air' ? 'in air' : spec.laid === 'conduit' ? 'in conduit' : 'in insulation', origin: typedOr(spec.edit.laid, 'default'), edit: 'laid' },
    ],
    basis: 'representative of published small-craft tables; a maker or a standard that says otherwise wins',
  };
}

/** Why this rating of those that fit. */
function whichFuse(spec: RunSpec, { fuseA, window }: RunFigures): string {
  const least = window.fitsA[0];
  if (spec.protectedBy) return 'the fuse of its feed, which protects it too';
  if (spec.edit.fuseA !== undefined) return 'typed';
  if (least === undefined || fuseA <= least) return 'the smallest standard rating in between';
  return `${rating(least)} A would do; nothing smaller than ${rating(spec.leastFuseA)} A is fitted here`;
}

function whyFuse(spec: RunSpec, f: RunFigures): Why {
  return {
    figure: 'fuse',
    value: `${rating(f.fuseA)} A ${FUSE_KINDS[f.fuseType].name}`,
    formula: `load ≤ 0.8 · fuse, less in hot air, and fuse ≤ the weakest part of the stretch it protects; ${whichFuse(spec, f)}`,
    inputs: [
      { name: 'lasting current ÷ 0.8, or what passes', value: `${amps(f.window.fromA)} A`, origin: 'computed' },
      { name: `weakest part: ${f.window.to.what}`, value: `${figure(f.window.to.ratingA, 0)} A`, origin: f.window.to.what === 'cable' ? 'computed' : 'part’s data' },
      ...f.fuses.flatMap((p): WhyInput[] =>
        p.maxA > 0
          ? [
              {
                name: `short at the ${p.end.source} end`,
                value: `${faultCurrent(p.maxA)} (breaks ${faultCurrent(p.breakingA)}${p.backedBy ? `, backed up by the ${p.backedBy.name}` : ''})`,
                origin: 'computed',
              },
              { name: 'short at the far end', value: `${faultCurrent(p.minA)}, open within ${figure(p.fault?.slowAtMinS, 2)} s`, origin: 'computed' },
            ]
          : [{ name: `at the ${p.end.source} end`, value: 'guards against a fault inside; its own current cannot blow it', origin: 'computed' }],
      ),
    ],
    basis: 'Engineering notes: fuse window and clearing; IEC 60364-4-43 for I²t',
  };
}

/** The figures of a run, each opened. A run without a size has none. */
export function explainRun(design: Design, run: SizedRun, runs: readonly SizedRun[]): Why[] {
  if (!run.ok) return [];
  const { spec, figures } = run;
  return [...whyCurrents(spec, figures), whyDrop(design, run, runs), whyAmpacity(design, spec, figures), whyFuse(spec, figures)];
}

const BOUND: Readonly<Record<RunFigures['boundBy'], string>> = {
  minimum: 'the smallest by custom is enough',
  drop: 'drop decides',
  heat: 'heat decides',
  both: 'drop and heat decide together',
  fault: 'a short decides',
  joints: 'cable and joints together decide',
  'multi-core': 'another run of its multi-core decides',
  typed: 'size typed',
};

/** What the next size down would miss by. @example '10 mm²: 3.4 % at the fridge, limit 3' */
export function belowInWords(run: Fitted): string {
  const { below, fuseA } = run.figures;
  if (!below) return 'none is stocked';
  switch (below.by) {
    case 'heat':
      return `${below.size} carries ${figure(below.ampacityA, 0)} A, its fuse is ${rating(fuseA)} A`;
    case 'custom':
      return `${below.size} would do, but is below the smallest fitted here`;
    case 'fault':
      return `${below.size} does not outlast a short, or lets it go on too long`;
    case 'drop':
    case 'typed':
      return below.path ? `${below.size}: ${figure(below.path.percent, 1)} % at ${below.path.name}, limit ${figure(below.path.limit, 1)}` : `${below.size}: ${figure(below.dropPercent, 1)} %, holds`;
    case 'joints':
      return `${below.size} holds by itself, but not with every joint at the largest current`;
    case 'multi-core':
      return `${areaInWords(run.figures.aloneMm2 ?? below.areaMm2)} would do for it alone; cores of one cable are of one size`;
    case 'copper':
      return `${below.size} would want thicker cables behind it: more copper in all`;
  }
}

/** What decided a size, and what the next size down would do. @example 'drop decides · 10 mm²: 3.4 % at the fridge, limit 3' */
export function boundInWords(run: SizedRun): string {
  return run.ok ? `${BOUND[run.figures.boundBy]} · ${belowInWords(run)}` : '';
}
