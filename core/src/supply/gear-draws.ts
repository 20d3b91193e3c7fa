import { watchesOf, type Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { plant } from '../plant/index.js';
import { bankOf } from './bank.js';
import { engineOffDrains, keepingUpW } from './drains.js';

/** What meters, remote units and relays draw all day, W. */
export const watchingW = (design: Design, catalogue: Catalogue): number =>
  plant(design, catalogue).monitors.reduce((w, { part }) => w + (part ? (watchesOf(part).ownMa(part) / 1000) * design.supply.houseV : 0), 0);

/** What gear of the supply draws from the house bank by itself, day and night, W: what keeps the starting battery up, and what measures and switches. `day`: the loads alone. */
export const gearDrawsW = (design: Design, catalogue: Catalogue, day: DayFigures): number =>
  watchingW(design, catalogue) + keepingUpW(design, catalogue, engineOffDrains(design, catalogue, bankOf(design, catalogue), day));
