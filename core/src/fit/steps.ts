import type { Bond } from '../circuit/index.js';
import type { Gear } from '../places/index.js';
import { studOf } from '../order/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { figure, rating } from '../quantity/index.js';
import type { Fitted, LayoutFigures, SizedRun } from '../routes/index.js';
import type { DeviceSetting } from '../supply/index.js';
import { TORQUE_NM } from './torque.js';

export interface FitStep {
  /** Stays the same while the step means the same, so that its tick stays. */
  readonly id: string;
  readonly section: 'make safe' | 'place the gear' | 'pull and cut' | 'join and tighten' | 'settings' | 'first power';
  readonly text: string;
  readonly detail?: string;
  readonly caution?: string;
}

const SAFE: readonly FitStep[] = [
  { id: 'safe-negative', section: 'make safe', text: 'Disconnect the starting battery’s negative first', caution: 'A spanner across a battery melts. Rings off, tools insulated.' },
  { id: 'safe-panels', section: 'make safe', text: 'Cover the panels and open their breaker', caution: 'Panels are live whenever there is light.' },
  { id: 'safe-check', section: 'make safe', text: 'Check behind every place before drilling', caution: 'Fuel, brake and factory wiring run behind trim and floor.' },
];

const POWER: readonly FitStep[] = [
  { id: 'power-look', section: 'first power', text: 'Look over every joint: polarity, covers, labels, nothing loose' },
  { id: 'power-main', section: 'first power', text: 'Put the main fuse in last, with every branch off', caution: 'Stand clear of the battery, eyes protected.' },
  { id: 'power-branch', section: 'first power', text: 'Switch on branch by branch; measure volts and polarity at each before the load' },
  { id: 'power-negative', section: 'first power', text: 'Reconnect the starting battery’s negative last' },
];

function lug(run: Fitted): string {
  const stud = studOf(run.figures.areaMm2);
  return `${stud}, ${TORQUE_NM[stud]} N·m unless the maker says`;
}

function joinSteps(run: Fitted): FitStep[] {
  const { spec, figures: f } = run;
  const join: FitStep = {
    id: `join-${spec.id}`,
    section: 'join and tighten',
    text: `Run ${spec.number}: ${spec.name}, crimp and tighten`,
    detail: `Heat-shrink on first; strip the barrel’s depth + 1 mm; ${lug(run)}`,
  };
  if (!spec.ends.length) return [join];
  const fuseAt = spec.ends.map((e) => (e.at === 'from' ? spec.from.name : spec.to.name)).join(' and at the ');
  return [
    join,
    {
      id: `fuse-${spec.id}`,
      section: 'join and tighten',
      text: `Run ${spec.number}: ${FUSE_KINDS[f.fuseType].name} ${rating(f.fuseA)} A at the ${fuseAt}`,
      detail: 'Within 200 mm of the source; holder now, fuse itself at first power',
    },
  ];
}

function pullStep(run: Fitted): FitStep {
  const { spec, figures: f } = run;
  const conduit =
    spec.laid === 'conduit' ? ', in conduit, clipped every 450 mm' : `, clipped every 300 mm${spec.apart ? ', a cable’s width from the bank’s other leads: together they would warm each other' : ''}`;
  return {
    id: `pull-${spec.id}`,
    section: 'pull and cut',
    text: `Run ${spec.number}: pull ${f.cable} from ${spec.from.name} to ${spec.to.name}`,
    detail: `red ${figure(spec.outM, 1)} m, black ${figure(spec.backM, 1)} m${conduit}; label ${spec.number}+ and ${spec.number}− at both ends`,
    ...(spec.from.gear === 'starting' ? { caution: 'Keep 150 mm from the exhaust, clear of steering and suspension travel.' } : {}),
  };
}

/** Steps of a feed that is fitted once more, in another vehicle. */
export const feedSteps = (run: Fitted): readonly FitStep[] => [pullStep(run), ...joinSteps(run)];

/** A hole a stretch, before anything is pulled through it. */
function holeSteps(layout: LayoutFigures): FitStep[] {
  return layout.stretches
    .filter((s) => s.hole && !s.hole.stockFits)
    .map((s): FitStep => ({
      id: `hole-${s.way.id}`,
      section: 'pull and cut',
      text: `Cut ${s.hole!.sawMm ? `a ${s.hole!.sawMm} mm hole` : 'two 51 mm holes'}: ${s.way.along}`,
      detail: `${s.hole!.fitting}${s.hole!.sealed ? ', neutral-cure sealant on both faces' : ''}; deburr and paint the edge first`,
      caution: `Check behind before drilling: ${s.hole!.behind}.`,
    }));
}

/** A circuit that is there is tapped as it was traced, and found again by its slot. */
function tapStep({ spec, figures: f }: Fitted): FitStep {
  return {
    id: `tap-${spec.id}`,
    section: 'join and tighten',
    text: `Run ${spec.number}: make the ${spec.to.name}, ${f.size} behind its ${rating(f.fuseA)} A`,
    detail: `${spec.reason}; test that it is the traced wire, with a lamp as well as a meter, before it is opened`,
    caution: 'Leave airbag, brake, steering and stability wiring alone.',
  };
}

/** What is only provided for is made safe and found again later. */
function provisionStep({ spec }: Fitted): FitStep {
  return {
    id: `provision-${spec.id}`,
    section: 'join and tighten',
    text: `Run ${spec.number}: ${spec.name}, a provision`,
    detail: 'Coil both ends, cap and insulate each, label; where the feed end is joined its fuse is in place',
  };
}

/** The one tie of house negative and body. */
function bondStep(bond: Bond): FitStep {
  const c = bond.cranking;
  return {
    id: 'bond',
    section: 'join and tighten',
    text: `Bond the negative bus bar to the body: ${bond.size}, ${figure(bond.lengthM, 1)} m, on the load side of the shunt`,
    detail: `One bond only; bared to metal, then sealed; sized for what a fault on “${bond.setBy}” lets through`,
    ...(c && c.amp > c.carriesA ? { caution: `Check the engine’s earths: without them cranking sends ${figure(c.amp, 0)} A through run ${c.number}’s ${figure(c.carriesA, 0)} A return.` } : {}),
  };
}

/** One step a device: everything to be set on it, in a line. */
function settingSteps(settings: readonly DeviceSetting[]): FitStep[] {
  return [...new Set(settings.map((s) => s.device))].map((device): FitStep => ({
    id: `set-${device}`,
    section: 'settings',
    text: `Set the ${device}, and read it back`,
    detail: settings
      .filter((s) => s.device === device)
      .map((s) => `${s.setting}: ${s.value}`)
      .join(' · '),
  }));
}

/** The build in an order that works at the vehicle: safe, place, pull, join, power. */
export function fitSteps(gear: readonly Gear[], runs: readonly SizedRun[], layout: LayoutFigures, settings: readonly DeviceSetting[], licensed: boolean, bond: Bond | null): FitStep[] {
  const all = runs.filter((r): r is Fitted => r.ok);
  const fitted = all.filter((r) => !r.spec.existing);
  const place = gear
    .filter((g) => g.role !== 'starting' && g.when === 'now')
    .map((g): FitStep => ({
      id: `place-${g.id}`,
      section: 'place the gear',
      text: `Fix ${g.name} on the ${g.faceName}`,
      ...(g.role === 'house'
        ? { detail: 'Restraint: 10 g forward, 6 g sideways, 5 g up as planning figures', caution: 'Batteries burn and vent gas: sealed and vented where people sit or sleep.' }
        : {}),
    }));
  const mains: FitStep[] = licensed
    ? [{ id: 'power-licensed', section: 'first power', text: 'Have the 230 V side done and signed by the licensed electrician', caution: '230 V is not part of this list.' }]
    : [];
  return [
    ...SAFE,
    ...place,
    ...holeSteps(layout),
    ...fitted.map(pullStep),
    ...all.filter((r) => r.spec.existing).map(tapStep),
    ...fitted.flatMap((r) => (r.spec.provision ? [provisionStep(r)] : joinSteps(r))),
    ...(bond ? [bondStep(bond)] : []),
    ...settingSteps(settings),
    ...POWER,
    ...mains,
  ];
}
