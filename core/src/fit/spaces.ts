import { existingKey } from '../design/index.js';
import { boxStep, glandsInWords, type Enclosure } from '../enclosure/index.js';
import type { Gear } from '../places/index.js';
import type { LayoutFigures } from '../routes/index.js';
import { MINUTES } from './how.js';
import { AT_LARGE, type FitStep } from './step.js';

/** Gear that was there before and does not stay as it is: id, what it is, and what becomes of it. */
export interface OldGear {
  readonly id: string;
  readonly name: string;
  readonly verdict: 'move' | 'remove';
}

/** Old gear comes out, or to its new place, before new gear wants the room. */
export const oldSteps = (old: readonly OldGear[], gear: readonly Gear[]): FitStep[] =>
  old.map(({ id, name, verdict }): FitStep => {
    const there = gear.find((g) => g.id === existingKey(id));
    return {
      id: `old-${id}`,
      section: 'place the gear',
      text: verdict === 'remove' ? `Take out the ${name}` : `Move the ${name}${there ? ` to the ${there.faceName}` : ''}`,
      detail: 'Label every wire that hung on it before it is cut; cap and insulate what stays behind',
      place: there?.zoneName ?? AT_LARGE,
      tool: 'spanners',
      minutes: MINUTES.old,
      after: ['safe-check'],
    };
  });

/** Boxes stand before what goes into them. */
export const boxSteps = ({ boxes }: LayoutFigures, enclosures: readonly Enclosure[]): FitStep[] =>
  boxes.map(({ id, name, box, people }): FitStep => ({
    id: boxStep(id, 'build'),
    section: 'place the gear',
    text: `Cut, drill and fix the ${name}: ${box.l} × ${box.w} × ${box.h} mm inside`,
    detail: ['By its drawing under Places, Boxes; edges folded or covered', ...enclosures.filter((e) => e.zone === id && e.entries.length).map((e) => `glands ${glandsInWords(e.entries)}`)].join('; '),
    ...(people ? {} : { caution: 'Where people sit or sleep: sealed towards them, vented low to the outside. Try it with smoke before it is closed.' }),
    place: name,
    tool: 'drill and hole saws',
    minutes: MINUTES.box,
    after: ['safe-check'],
  }));

/** What makes a battery's box one: its vent, what holds the battery, boots on its posts. */
export const enclosureSteps = (enclosures: readonly Enclosure[], gear: readonly Gear[]): FitStep[] =>
  enclosures.flatMap(({ zone, name, vent, restraint }): FitStep[] => {
    if (!vent) return [];
    const at = { section: 'place the gear' as const, place: name, minutes: MINUTES.enclosure };
    const placed = gear.flatMap((g) => (g.zone === zone && g.when === 'now' ? [`place-${g.id}`] : []));
    return [
      {
        ...at,
        id: boxStep(zone, 'vent'),
        text: vent.kind === 'ducts' ? `Lead the two ducts of the ${name} outside, ${vent.holeMm} mm: in low, out high` : `Fit the one-way vent of the ${name} low, outwards`,
        detail: 'Not under a window, and away from what sparks',
        tool: 'drill and hole saws',
        after: [boxStep(zone, 'build')],
      },
      {
        ...at,
        id: boxStep(zone, 'held'),
        text: restraint ? `Hold the ${restraint.name} with ${restraint.straps} × ${restraint.strapN / 1000} kN, to the vehicle and not to the sheets` : `Hold what is in the ${name} to the vehicle`,
        tool: 'spanners',
        after: placed,
      },
      { ...at, id: boxStep(zone, 'posts'), text: `Put a boot on every post in the ${name}`, tool: null, after: placed },
    ];
  });

/** Boxes are closed last, when all in them is tightened and read. */
export const closingSteps = (enclosures: readonly Enclosure[]): Omit<FitStep, 'after'>[] =>
  enclosures.flatMap(({ zone, name, vent, points }) =>
    vent
      ? [
          {
            id: boxStep(zone, 'close'),
            section: 'first power' as const,
            text: `Seal the glands of the ${name}, try it with smoke, and close its lid: ${points.find((p) => p.id === 'lid')?.value}`,
            place: name,
            tool: 'spanners' as const,
            minutes: MINUTES.enclosure,
          },
        ]
      : [],
  );

/** Vents of closed spaces, cut before what stands there is in the way. */
export const ventSteps = (layout: LayoutFigures): FitStep[] =>
  layout.heat.flatMap(({ zone, name, air }): FitStep[] =>
    air?.ventCm2
      ? [
          {
            id: `vent-${zone}`,
            section: 'place the gear',
            text: `Cut two vents of ${air.ventCm2} cm² into the ${name}, one low and one high`,
            detail: 'Across from one another, out of spray, each with its dust screen; edges dressed and painted, nothing behind the cut',
            place: name,
            tool: 'drill and hole saws',
            minutes: MINUTES.fan,
            after: ['safe-check'],
          },
        ]
      : [],
  );

/** Fans of closed spaces, once what they cool has its place. */
export const fanSteps = (layout: LayoutFigures, gear: readonly Gear[]): FitStep[] =>
  layout.heat.flatMap(({ zone, name, air }): FitStep[] => {
    const flows = [air?.outM3h ? `${air.outM3h} m³/h out` : '', air?.inM3h ? `${air.inM3h} m³/h in through the filter` : ''].filter(Boolean);
    return air && flows.length
      ? [
          {
            id: `fan-${zone}`,
            section: 'place the gear',
            text: `Fit the fans of the ${name}: ${flows.join(', ')}`,
            detail: `Inlet low, outlet high and outside; thermostat to ${air.fromC} °C, and warm it by hand to see them start and stop`,
            place: name,
            tool: 'drill and hole saws',
            minutes: MINUTES.fan,
            after: ['safe-check', ...gear.flatMap((g) => (g.zone === zone && g.when === 'now' ? [`place-${g.id}`] : []))],
          },
        ]
      : [];
  });
