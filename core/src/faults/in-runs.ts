import { commonBackId, OPEN_OHM, type CircuitPlan } from '../circuit/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { rating } from '../quantity/index.js';
import { isMainLead, type Fitted, type RunRole } from '../routes/index.js';
import type { Fault } from './fault.js';

/** Share of the volts that a bad joint takes at the usual current: enough to be felt, not enough to stop everything. */
const BAD_JOINT_SHARE = 0.12;
/** How many times its resistance a run has that was fitted thinner than it should be. */
const THIN_TIMES = 2.5;

const feed = (r: Fitted): string => `${r.spec.id}.feed`;
const back = (r: Fitted): string => `${r.spec.id}.back`;

function blown(r: Fitted): Fault[] {
  const { spec, figures } = r;
  if (!spec.ends.length) return [];
  const breaker = figures.fuseType === 'breaker';
  const kind = FUSE_KINDS[figures.fuseType].name;
  return [
    {
      id: `blown:${spec.id}`,
      name: breaker ? `${spec.name}: its breaker has tripped` : `${spec.name}: its fuse is blown`,
      prior: spec.role === 'load feed' || spec.role === 'group feed' ? 4 : 2,
      change: { addOhm: { [feed(r)]: OPEN_OHM } },
      shows: { blown: spec.id },
      about: spec.id,
      fix: breaker
        ? 'Look for what tripped it (a short, a stalled motor, heat at the breaker) before it is reset; then the current again with all on.'
        : `Look for why before a new one goes in: measure from the wire to the body with the load off. Then a ${kind} of ${rating(figures.fuseA)} A, never a larger one, and the current again.`,
    },
  ];
}

function joints(r: Fitted): Fault[] {
  const { spec } = r;
  const amps = Math.max(spec.usualA, 0.2);
  const ohm = (BAD_JOINT_SHARE * spec.nominalV) / amps;
  const plug = spec.plugOhm > 0;
  return [
    {
      id: `open:${spec.id}`,
      name: `${spec.name}: the feed is parted, at a joint or in the cable`,
      prior: 1,
      change: { addOhm: { [feed(r)]: OPEN_OHM } },
      about: spec.id,
      fix: 'Find the place by halving: volts at the middle of the run, then at the middle of the dead half. Remake the joint, or replace the cable where it was pinched.',
    },
    {
      id: `no-return:${spec.id}`,
      name: spec.back === 'chassis' ? `${spec.name}: no return through the body` : `${spec.name}: the return is parted`,
      prior: spec.back === 'chassis' ? 3 : 1.5,
      change: { addOhm: { [back(r)]: OPEN_OHM } },
      about: spec.id,
      fix:
        spec.back === 'chassis'
          ? 'Clean the earth stud to bright metal, remake the lug, grease it; then the volts at the end again.'
          : 'Volts from the feed at the end to the negative bar find it. Remake the return’s joint.',
    },
    {
      id: `joint:${spec.id}`,
      name: plug ? `${spec.name}: a burnt or loose contact in its plug, or a bad joint` : `${spec.name}: a bad joint in the feed`,
      prior: plug ? 4 : 2,
      change: { addOhm: { [feed(r)]: ohm } },
      about: spec.id,
      fix: plug
        ? 'Open the plug: burnt, loose or green contacts are replaced in both halves, with the crimp. Then millivolts across it at full current.'
        : 'Millivolts across each joint at full current find it; remake it. Then the volts at the end again.',
    },
    {
      id: `bad-return:${spec.id}`,
      name: spec.back === 'chassis' ? `${spec.name}: a poor return through the body` : `${spec.name}: a bad joint in the return`,
      prior: spec.back === 'chassis' ? 3 : 1.5,
      change: { addOhm: { [back(r)]: ohm } },
      about: spec.id,
      fix: 'Volts from the far end’s negative to the negative bar at full current show it: over 0.2 V is too much. Clean and remake.',
    },
  ];
}

/** A feed to a charger or a trailer that was fitted too thin: it works, and too little arrives. */
function thin(r: Fitted): Fault[] {
  const { spec, figures } = r;
  if (spec.role !== 'charger feed') return [];
  const more = (THIN_TIMES - 1) * (figures.cableOhm / 2);
  return [
    {
      id: `thin:${spec.id}`,
      name: `${spec.name}: its cable is thinner than ${figures.size}`,
      prior: 1,
      change: { addOhm: { [feed(r)]: more, [back(r)]: more } },
      about: spec.id,
      fix: `Measure the conductor, not the jacket. ${figures.size} is what this run wants; until then the charger at half power.`,
    },
  ];
}

/** The return that runs of a multi-core have in common: parted, none of them works; poor, all of them are weak together. */
function commonReturns(runs: readonly Fitted[]): Fault[] {
  const common = new Map<string, Fitted[]>();
  for (const r of runs) if (r.spec.multicore?.common) common.set(r.spec.multicore.id, [...(common.get(r.spec.multicore.id) ?? []), r]);
  return [...common].flatMap(([id, all]): Fault[] => {
    const [first] = all;
    const { name } = first!.spec.multicore!;
    const amps = Math.max(
      0.2,
      all.reduce((sum, r) => sum + r.spec.usualA, 0),
    );
    const about = first!.spec.id;
    return [
      {
        id: `no-common-return:${id}`,
        name: `${name}: the return of all its runs is parted`,
        prior: 1.5,
        change: { addOhm: { [commonBackId(id)]: OPEN_OHM } },
        underLoad: true,
        about,
        fix: 'All of its loads are dead together while their fuses are whole: volts from the loads’ negative to the negative bar show it. Remake the terminal at the bar, or the joint where the returns meet.',
      },
      {
        id: `bad-common-return:${id}`,
        name: `${name}: a bad joint in the return of all its runs`,
        prior: 1.5,
        change: { addOhm: { [commonBackId(id)]: (BAD_JOINT_SHARE * first!.spec.nominalV) / amps } },
        underLoad: true,
        about,
        fix: 'Volts from the loads’ negative to the negative bar with all of them on: over 0.2 V is too much. Clean and remake the joint that they share.',
      },
    ];
  });
}

/** Runs that carry nothing while the loads are off. */
const UNDER_LOAD: ReadonlySet<RunRole> = new Set<RunRole>(['load feed', 'group feed', 'block feed', 'inverter feed']);

/** Everything that may be wrong with the runs of a circuit, and with a string of the bank by its lead. */
export function faultsInRuns(plan: CircuitPlan): readonly Fault[] {
  // What panels feed is measured at the panels; one lead of several that is parted is a fault of its own kind.
  const runs = plan.runs.filter((r) => r.spec.to.terminal !== 'sun');
  const own = runs.flatMap((r) => {
    const all = [...blown(r), ...joints(r), ...thin(r)].map((f): Fault => (UNDER_LOAD.has(r.spec.role) ? { ...f, underLoad: true } : f));
    return isMainLead(r) ? all.map((f) => ({ ...f, prior: f.prior / plan.bank.strings })) : all;
  });
  return [...own, ...commonReturns(runs)];
}
