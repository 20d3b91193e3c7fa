import { areaInWords } from '../cable/index.js';
import type { Design } from '../design/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { amps, faultCurrent, figure, rating } from '../quantity/index.js';
import type { RunFigures, RunSpec, SizedRun } from '../routes/index.js';
import type { Origin, Why, WhyInput } from './why.js';

const typedOr = (typed: unknown, other: Origin): Origin => (typed === undefined ? other : 'typed');

function whyCurrent(spec: RunSpec, f: RunFigures): Why {
  const demand: WhyInput =
    'powerW' in spec.demand ? { name: 'power', value: `${figure(spec.demand.powerW, 0)} W`, origin: 'computed' } : { name: 'current', value: `${amps(spec.demand.currentA)} A`, origin: 'computed' };
  const power = 'powerW' in spec.demand;
  return {
    figure: 'current',
    value: `${amps(f.currentA)} A`,
    formula: power ? 'I = (V − √(V² − 4·R·P)) / (2·R): a constant power draws more as volts fall, so it is solved together with the drop' : 'the largest continuous current',
    inputs: [{ ...demand, name: `${demand.name}: ${spec.demandWhy}` }, ...(power ? [{ name: 'lowest volts at the source', value: `${figure(spec.sourceV, 2)} V`, origin: 'default' as const }] : [])],
    basis: 'Engineering notes: demand of a run',
  };
}

function whyDrop(design: Design, spec: RunSpec, f: RunFigures): Why {
  return {
    figure: 'drop',
    value: `${figure(f.dropV, 2)} V (${figure(f.dropPercent, 1)} %)`,
    formula: 'ΔV = I · (R feed + R return + contacts), copper at the temperature that its own current gives it; per cent of nominal volts',
    inputs: [
      { name: 'current', value: `${amps(f.currentA)} A`, origin: 'computed' },
      { name: 'length out', value: `${figure(spec.outM, 1)} m`, origin: spec.lengthFrom, edit: 'outM' },
      { name: 'length back', value: `${figure(spec.backM, 1)} m`, origin: typedOr(spec.edit.backM, spec.lengthFrom), edit: 'backM' },
      { name: 'copper', value: `${areaInWords(f.areaMm2)}${design.settings.tinned ? ', tinned' : ''}`, origin: typedOr(spec.edit.areaMm2, 'computed'), edit: 'areaMm2' },
      { name: 'conductor', value: `${figure(f.conductorC, 0)} °C`, origin: 'computed' },
      { name: 'whole path, contacts included', value: `${figure(f.ohm * 1000, 2)} mΩ`, origin: 'computed' },
      { name: `limit of the path: ${spec.limitWhy}`, value: `${figure(spec.pathLimitPercent, 1)} %`, origin: 'default' },
    ],
    basis: 'IEC 60228 class 5 resistances, α = 0.00393/K; Engineering notes: drop',
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
  if (spec.guard) return 'the fuse of its feed, which protects it too';
  if (spec.edit.fuseA !== undefined) return 'typed';
  if (least === undefined || fuseA <= least) return 'the smallest standard rating in between';
  return `${rating(least)} A would do, but at its load it loses so much of its own that the cable would be thicker`;
}

function whyFuse(spec: RunSpec, f: RunFigures): Why {
  return {
    figure: 'fuse',
    value: `${rating(f.fuseA)} A ${FUSE_KINDS[f.fuseType].name}`,
    formula: `load ≤ 0.8 · fuse, less in hot air, and fuse ≤ the weakest part of the stretch it protects; ${whichFuse(spec, f)}`,
    inputs: [
      { name: 'load ÷ 0.8', value: `${amps(f.window.fromA)} A`, origin: 'computed' },
      { name: `weakest part: ${f.window.to.what}`, value: `${figure(f.window.to.ratingA, 0)} A`, origin: f.window.to.what === 'cable' ? 'computed' : 'part’s data' },
      ...f.fuses.flatMap((p): WhyInput[] =>
        p.maxA > 0
          ? [
              { name: `short at the ${p.end.source} end`, value: `${faultCurrent(p.maxA)} (breaks ${faultCurrent(p.breakingA)})`, origin: 'computed' },
              { name: 'short at the far end', value: `${faultCurrent(p.minA)}, open within ${figure(p.fault?.slowAtMinS, 2)} s`, origin: 'computed' },
            ]
          : [{ name: `at the ${p.end.source} end`, value: 'guards against a fault inside; its own current cannot blow it', origin: 'computed' }],
      ),
    ],
    basis: 'Engineering notes: fuse window and clearing; IEC 60364-4-43 for I²t',
  };
}

/** The figures of a run, each opened. A run without a size has none. */
export function explainRun(design: Design, run: SizedRun): Why[] {
  if (!run.ok) return [];
  const { spec, figures } = run;
  return [whyCurrent(spec, figures), whyDrop(design, spec, figures), whyAmpacity(design, spec, figures), whyFuse(spec, figures)];
}

const BOUND: Readonly<Record<RunFigures['boundBy'], string>> = {
  minimum: 'the smallest allowed is enough',
  drop: 'drop decides',
  heat: 'heat decides',
  both: 'drop and heat decide together',
  fault: 'a short decides',
  typed: 'size typed',
};

/** What decided a size, and what the next size down would do. @example 'drop decides · 25 mm² would lose 5.4 %' */
export function boundInWords(run: SizedRun): string {
  if (!run.ok) return '';
  const { boundBy, below } = run.figures;
  if (!below) return BOUND[boundBy];
  const name = /mm²/.test(below.size.size) ? below.size.size : `${below.size.size} B&S`;
  if (boundBy === 'minimum') return `${BOUND[boundBy]} · ${name} is below the smallest allowed here`;
  if (!below.point.ok) return `${BOUND[boundBy]} · ${name}: ${below.point.error === 'too-hot' ? 'too hot for its insulation' : 'cannot deliver it at all'}`;
  const drop = `${name} would lose ${figure(below.point.dropV, 2)} V (${figure(below.dropPercent, 1)} %)`;
  const heat = `${name} carries ${figure(below.point.ampacityA, 0)} A, under its fuse`;
  if (!below.meetsHeat && below.meetsDrop) return `${BOUND[boundBy]} · ${heat}`;
  return `${BOUND[boundBy]} · ${drop}`;
}
