import { LINK_M, type BoardLink, type Bond } from '../circuit/index.js';
import type { Settings } from '../design/index.js';
import { boxStep, type Enclosure } from '../enclosure/index.js';
import type { Gear } from '../places/index.js';
import { studOf } from '../order/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { figure, rating } from '../quantity/index.js';
import { multicoresOf, type Fitted, type FuseMarks, type LayoutFigures, type SizedRun } from '../routes/index.js';
import type { DeviceSetting } from '../supply/index.js';
import { looseLeadSteps, unplugSteps } from './loose-leads.js';
import { crimperFor, joinMin, MINUTES, placeMin, pullMin } from './how.js';
import { boxSteps, closingSteps, enclosureSteps, fanSteps, oldSteps, ventSteps, type OldGear } from './spaces.js';
import { multicoreSteps, pulledBy } from './multicores.js';
import { AT_LARGE, type FitStep } from './step.js';
import { leadSteps } from './thin-leads.js';

const SAFE: readonly FitStep[] = [
  {
    id: 'safe-negative',
    section: 'make safe',
    text: 'Disconnect the starting battery’s negative first',
    caution: 'A spanner across a battery melts. Rings off, tools insulated.',
    place: AT_LARGE,
    tool: 'spanners',
    minutes: 5,
    after: [],
  },
  {
    id: 'safe-panels',
    section: 'make safe',
    text: 'Cover the panels and open their breaker',
    caution: 'Panels are live whenever there is light.',
    place: AT_LARGE,
    tool: null,
    minutes: 5,
    after: ['safe-negative'],
  },
  {
    id: 'safe-check',
    section: 'make safe',
    text: 'Check behind every place before drilling',
    caution: 'Fuel, brake and factory wiring run behind trim and floor.',
    place: AT_LARGE,
    tool: null,
    minutes: 15,
    after: ['safe-panels'],
  },
];

/** The same for a rig that hangs on no starting battery. */
const ofHouse = (s: FitStep): FitStep => (s.id === 'safe-negative' ? { ...s, text: 'Disconnect the house battery’s negative first' } : s);

/** First power comes after all else, each of its steps after the one before it. */
function powerSteps(before: readonly FitStep[], branches: number, starting: boolean, { licensed, enclosures }: Pick<FitWays, 'licensed' | 'enclosures'>): FitStep[] {
  const at = { section: 'first power' as const, place: AT_LARGE };
  return [
    { ...at, id: 'power-look', text: 'Look over every joint: polarity, covers, labels, nothing loose', tool: null, minutes: 15, after: before.map((s) => s.id) },
    { ...at, id: 'power-main', text: 'Put the main fuse in last, with every branch off', caution: 'Stand clear of the battery, eyes protected.', tool: 'spanners', minutes: 5, after: ['power-look'] },
    {
      ...at,
      id: 'power-branch',
      text: 'Switch on branch by branch; measure volts and polarity at each before the load',
      tool: 'multimeter',
      minutes: 3 * Math.max(1, branches),
      after: ['power-main'],
    },
    ...closingSteps(enclosures).map((s): FitStep => ({ ...s, after: ['power-branch'] })),
    { ...at, id: 'power-negative', text: `Reconnect the ${starting ? 'starting' : 'house'} battery’s negative last`, tool: 'spanners', minutes: 5, after: ['power-branch'] },
    ...(licensed
      ? [
          {
            ...at,
            id: 'power-licensed',
            text: 'Have the 230 V side done and signed by the licensed electrician',
            caution: '230 V is not part of this list.',
            tool: null,
            minutes: 0,
            after: ['power-branch'],
          },
        ]
      : []),
  ];
}

type TorqueNm = Settings['torqueNm'];

function lug(run: Fitted, torqueNm: TorqueNm): string {
  const stud = studOf(run.figures.areaMm2);
  return `${stud}, ${torqueNm[stud]} N·m unless the maker says`;
}

/** Zones of a run’s two ends, by name. */
type Places = (gear: string) => string;

/** Crimping and tightening where the run ends: once where both ends are in one place, else at each. */
function joinSteps(run: Fitted, places: Places, torqueNm: TorqueNm, mark: FuseMarks = () => ''): FitStep[] {
  const { spec, figures: f } = run;
  const [from, to] = [places(spec.from.gear), places(spec.to.gear)];
  const far = to !== from;
  const detail = `Heat-shrink on first; strip the barrel’s depth + 1 mm; ${lug(run, torqueNm)}`;
  const tool = crimperFor(f.areaMm2);
  const minutes = joinMin(f.areaMm2) * (far ? 1 : 2);
  const pulled = pulledBy(run);
  const join: FitStep = {
    id: `join-${spec.id}`,
    section: 'join and tighten',
    text: `Run ${spec.number}: ${spec.name}, crimp and tighten${far ? ` at the ${spec.from.name}` : ''}`,
    detail,
    place: from,
    tool,
    minutes,
    after: far ? [pulled, `place-${spec.from.gear}`] : [pulled, `place-${spec.from.gear}`, `place-${spec.to.gear}`],
  };
  const other: FitStep[] = far
    ? [
        {
          id: `join-${spec.id}-far`,
          section: 'join and tighten',
          text: `Run ${spec.number}: ${spec.name}, crimp and tighten at the ${spec.to.name}`,
          detail,
          place: to,
          tool,
          minutes,
          after: [pulled, `place-${spec.to.gear}`],
        },
      ]
    : [];
  if (!spec.ends.length) return [join, ...other];
  const fuseAt = spec.ends.map((e) => (e.at === 'from' ? spec.from.name : spec.to.name)).join(' and at the ');
  const [first] = spec.ends;
  const marks = spec.ends.map((e) => mark(spec.id, e.at)).filter(Boolean);
  return [
    join,
    ...other,
    {
      id: `fuse-${spec.id}`,
      section: 'join and tighten',
      text: `Run ${spec.number}: ${marks.length ? `${marks.join(' and ')}, ` : ''}${FUSE_KINDS[f.fuseType].name} ${rating(f.fuseA)} A at the ${fuseAt}`,
      detail: 'Within 200 mm of the source; holder now, fuse itself at first power',
      place: first!.at === 'from' ? from : to,
      tool: null,
      minutes: MINUTES.fuse,
      after: [join.id, ...other.map((o) => o.id)],
    },
  ];
}

function pullStep(run: Fitted, places: Places, holes: ReadonlySet<string> = new Set()): FitStep {
  const { spec, figures: f } = run;
  const conduit =
    spec.laid === 'conduit' ? ', in conduit, clipped every 450 mm' : `, clipped every 300 mm${spec.apart ? ', a cable’s width from the bank’s other leads: together they would warm each other' : ''}`;
  return {
    id: `pull-${spec.id}`,
    section: 'pull and cut',
    text: `Run ${spec.number}: pull ${f.cable} from ${spec.from.name} to ${spec.to.name}`,
    detail: `red ${figure(spec.outM, 1)} m, black ${figure(spec.backM, 1)} m${conduit}; label ${spec.number}+ and ${spec.number}− at both ends`,
    place: places(spec.from.gear),
    tool: 'cable cutters',
    minutes: pullMin(spec.outM),
    after: (spec.route?.ways ?? []).flatMap((w) => (holes.has(`hole-${w.id}`) ? [`hole-${w.id}`] : [])),
    ...(spec.from.gear === 'starting' ? { caution: 'Keep 150 mm from the exhaust, clear of steering and suspension travel.' } : {}),
  };
}

/** Steps of a feed that is fitted once more, in another vehicle. */
export function feedSteps(run: Fitted, torqueNm: TorqueNm): readonly FitStep[] {
  const there: Places = () => AT_LARGE;
  // Its gear stands there already.
  const placed = new Set([run.spec.from, run.spec.to].map((end) => `place-${end.gear}`));
  return [pullStep(run, there), ...joinSteps(run, there, torqueNm)].map((s) => ({ ...s, after: s.after.filter((a) => !placed.has(a)) }));
}

/** A hole a stretch, before anything is pulled through it. */
function holeSteps(layout: LayoutFigures): FitStep[] {
  return (
    layout.stretches
      // What goes through a box’s wall is drilled with its sheets.
      .filter((s) => s.hole && !s.hole.stockFits && !layout.boxes.some((b) => b.id === s.way.id))
      .map((s): FitStep => ({
        id: `hole-${s.way.id}`,
        section: 'pull and cut',
        text: `Cut ${s.hole!.sawMm ? `a ${s.hole!.sawMm} mm hole` : 'two 51 mm holes'}: ${s.way.along}`,
        detail: `${s.hole!.fitting}${s.hole!.sealed ? ', neutral-cure sealant on both faces' : ''}; deburr and paint the edge first`,
        caution: `Check behind before drilling: ${s.hole!.behind}.`,
        place: s.way.along,
        tool: 'drill and hole saws',
        minutes: MINUTES.hole,
        after: ['safe-check'],
      }))
  );
}

/** A circuit that is there is tapped as it was traced, and found again by its slot. */
function tapStep({ spec, figures: f }: Fitted, places: Places): FitStep {
  return {
    id: `tap-${spec.id}`,
    section: 'join and tighten',
    text: `Run ${spec.number}: make the ${spec.to.name}, ${f.size} behind its ${rating(f.fuseA)} A`,
    detail: `${spec.reason}; test that it is the traced wire, with a lamp as well as a meter, before it is opened`,
    caution: 'Leave airbag, brake, steering and stability wiring alone.',
    place: places(spec.to.gear),
    tool: 'hand crimper',
    minutes: MINUTES.tap,
    after: ['safe-negative'],
  };
}

/** What is only provided for is made safe and found again later. */
function provisionStep(run: Fitted, places: Places): FitStep {
  const { spec } = run;
  return {
    id: `provision-${spec.id}`,
    section: 'join and tighten',
    text: `Run ${spec.number}: ${spec.name}, a provision`,
    detail: 'Coil both ends, cap and insulate each, label; where the feed end is joined its fuse is in place',
    place: places(spec.from.gear),
    tool: null,
    minutes: MINUTES.provision,
    after: [pulledBy(run)],
  };
}

/** What stands in line is linked to its bars. */
function linkStep(links: readonly BoardLink[], places: Places): FitStep {
  const thickest = Math.max(...links.map((l) => l.areaMm2));
  return {
    id: 'links',
    section: 'join and tighten',
    text: `Link what stands on the board: ${links.map((l) => `${l.count > 1 ? `${l.count} × ` : ''}${l.name}, ${l.size}`).join('; ')}`,
    detail: `${figure(LINK_M, 1)} m each by default; solid bars of the same copper do as well where the studs line up`,
    place: places('bus'),
    tool: crimperFor(thickest),
    minutes: links.reduce((sum, l) => sum + l.count * joinMin(l.areaMm2), 0),
    after: ['place-bus', ...links.map((l) => `place-${l.part}`)],
  };
}

/** The one tie of house negative and body. */
function bondStep(bond: Bond, places: Places): FitStep {
  const c = bond.cranking;
  return {
    id: 'bond',
    section: 'join and tighten',
    text: `Bond the negative bus bar to the body: ${bond.size}, ${figure(bond.lengthM, 1)} m, on the load side of the shunt`,
    place: places('bus'),
    tool: 'hydraulic crimper',
    minutes: MINUTES.bond,
    after: ['place-bus'],
    detail: `One bond only; bared to metal, then sealed; sized for what a fault on “${bond.setBy}” lets through`,
    ...(c && c.amp > c.carriesA ? { caution: `Check the engine’s earths: without them cranking sends ${figure(c.amp, 0)} A through run ${c.number}’s ${figure(c.carriesA, 0)} A return.` } : {}),
  };
}

/** One step a device: everything to be set on it, in a line. */
function settingSteps(settings: readonly DeviceSetting[], gear: readonly Gear[]): FitStep[] {
  // Where it is not known by its name it is with the bars.
  const at = (fits: (g: Gear) => boolean): string | undefined => gear.find(fits)?.zoneName;
  const placeOf = (device: string): string => at((g) => g.name === device || g.plain === device) ?? at((g) => g.role === 'bus') ?? AT_LARGE;
  return [...new Set(settings.map((s) => s.device))].map((device): FitStep => {
    const place = placeOf(device);
    return {
      id: `set-${device}`,
      section: 'settings',
      text: `Set the ${device}, and read it back`,
      place,
      tool: null,
      minutes: MINUTES.set,
      after: gear.flatMap((g) => (g.zoneName === place && g.role !== 'starting' && g.role !== 'load' && g.when === 'now' ? [`place-${g.id}`] : [])),
      detail: settings
        .filter((s) => s.device === device)
        .map((s) => `${s.setting}: ${s.value}`)
        .join(' · '),
    };
  });
}

/** How a build is done beside what is built. */
export interface FitWays {
  /** A licensed electrician has the 230 V side. */
  readonly licensed: boolean;
  readonly enclosures: readonly Enclosure[];
  readonly torqueNm: TorqueNm;
  /** What the workshop writes on a fuse beside its run's number. */
  readonly mark?: FuseMarks;
  readonly links: readonly BoardLink[];
  /** Loose cable of leads from other banks, m, by inlet. */
  readonly looseM?: ReadonlyMap<string, number>;
}

/** The build in an order that works at the vehicle: safe, place, pull, join, power. */
export function fitSteps(
  gear: readonly Gear[],
  runs: readonly SizedRun[],
  layout: LayoutFigures,
  settings: readonly DeviceSetting[],
  ways: FitWays,
  bond: Bond | null,
  old: readonly OldGear[] = [],
): FitStep[] {
  const all = runs.filter((r): r is Fitted => r.ok);
  const fitted = all.filter((r) => !r.spec.existing);
  const zone = new Map(gear.map((g) => [g.id, g.zoneName]));
  const places: Places = (id) => zone.get(id) ?? AT_LARGE;
  const place = gear
    .filter((g) => g.role !== 'starting' && g.role !== 'there' && g.when === 'now')
    .map((g): FitStep => ({
      id: `place-${g.id}`,
      section: 'place the gear',
      text: `Fix ${g.name} on the ${g.faceName}`,
      place: g.zoneName,
      tool: 'drill and hole saws',
      minutes: placeMin(g.role),
      after: ['safe-check', ...old.map((o) => `old-${o.id}`), boxStep(g.zone, 'build')],
      ...(g.role === 'house'
        ? { detail: 'Restraint: 10 g forward, 6 g sideways, 5 g up as planning figures', caution: 'Batteries burn and vent gas: sealed and vented where people sit or sleep.' }
        : {}),
    }));
  const starting = !gear.length || gear.some((g) => g.role === 'starting');
  const holes = holeSteps(layout);
  const cut = new Set(holes.map((h) => h.id));
  const build = [
    ...unplugSteps(all),
    ...(starting ? SAFE : SAFE.map(ofHouse)),
    ...oldSteps(old, gear),
    ...boxSteps(layout, ways.enclosures),
    ...place,
    ...enclosureSteps(ways.enclosures, gear),
    ...ventSteps(layout),
    ...fanSteps(layout, gear),
    ...holes,
    ...fitted.flatMap((r) => (r.spec.multicore ? [] : [pullStep(r, places, cut)])),
    ...multicoreSteps(multicoresOf(fitted), places, cut),
    ...leadSteps(layout, places, cut, new Set(place.map((p) => p.id))),
    ...all.filter((r) => r.spec.existing).map((r) => tapStep(r, places)),
    ...fitted.flatMap((r) => (r.spec.provision ? [provisionStep(r, places)] : joinSteps(r, places, ways.torqueNm, ways.mark))),
    ...looseLeadSteps(fitted, ways.looseM ?? new Map()),
    ...(ways.links.length ? [linkStep(ways.links, places)] : []),
    ...(bond ? [bondStep(bond, places)] : []),
    ...settingSteps(settings, gear),
  ];
  const steps = [...build, ...powerSteps(build, all.filter((r) => r.spec.role === 'load feed').length, starting, ways)];
  // What is not a step of this job is waited for by none.
  const ids = new Set(steps.map((s) => s.id));
  return steps.map((s) => {
    if (s.after.length && s.after.every((a) => ids.has(a))) return s;
    const after = s.after.filter((a) => ids.has(a));
    return { ...s, after: after.length || s.section === 'make safe' ? after : ['safe-check'] };
  });
}
