import { boxBank } from '../places/index.js';
import { asUsual, press } from './press.js';
import type { Rule } from './rule.js';

export const batteryAmongPeople: Rule = {
  id: 'battery-among-people',
  severity: 'look',
  harm: 'people',
  basis: 'enclosure of batteries in a space where people sleep or sit; check the edition in force',
  why: 'A battery can vent gas or burn.',
  test: ({ gear }) => gear.filter((g) => g.role === 'house' && g.people).map((g) => ({ at: { stage: 'places' as const, about: 'house' }, values: { zone: g.zoneName } })),
  presses: (_found, { design, catalogue, gear }) => {
    const boxed = boxBank(design, catalogue, gear);
    return boxed ? [asUsual(press(design, 'Build a sealed box round it', (d) => void Object.assign(d, boxed)))] : [];
  },
  say: (v) => `The house battery is in a space for people (${v['zone']}).`,
  fix: () => 'A sealed box with a lid that needs a tool, cable through glands, vented to the outside, isolator outside the box; or place it outside.',
};
