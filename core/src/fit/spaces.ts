import { existingKey } from '../design/index.js';
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
export const boxSteps = ({ boxes }: LayoutFigures): FitStep[] =>
  boxes.map(({ id, name, box, people }): FitStep => ({
    id: `box-${id}`,
    section: 'place the gear',
    text: `Build and fix the ${name}: ${box.l} × ${box.w} × ${box.h} mm inside`,
    detail: 'Edges folded or covered, lid that wants a tool, holes with glands; closed last, when all in it is tightened and read',
    ...(people ? {} : { caution: 'Where people sit or sleep: sealed towards them, vented low to the outside. Try it with smoke before it is closed.' }),
    place: name,
    tool: 'drill and hole saws',
    minutes: MINUTES.box,
    after: ['safe-check'],
  }));

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
