import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { DayFigures } from '../loads/index.js';
import { bankOf } from './bank.js';
import { engineOffDrains, keepingUpW } from './drains.js';

/** What gear of the supply draws from the house bank by itself, day and night, W: what keeps the starting battery up. `day`: the loads alone. */
export const gearDrawsW = (design: Design, catalogue: Catalogue, day: DayFigures): number => keepingUpW(design, catalogue, engineOffDrains(design, catalogue, bankOf(design, catalogue), day));
