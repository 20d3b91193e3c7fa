import { battery } from './battery/index.js';
import { dcdc } from './dcdc/index.js';
import { disconnect } from './disconnect/index.js';
import { fuseBlock } from './fuse-block/index.js';
import { hub } from './hub/index.js';
import { inverter } from './inverter/index.js';
import { isolator } from './isolator/index.js';
import { maintainer } from './maintainer/index.js';
import { mainsCharger } from './mains-charger/index.js';
import { meter } from './meter/index.js';
import { panel } from './panel/index.js';
import { relays } from './relays/index.js';
import { remote } from './remote/index.js';
import { shunt } from './shunt/index.js';
import { solarController } from './solar-controller/index.js';
import { mainSwitch } from './switch/index.js';

/** Every kind of gear; a new one is its folder and a line here. */
export const KINDS = [battery, dcdc, isolator, panel, solarController, mainsCharger, inverter, maintainer, fuseBlock, mainSwitch, shunt, disconnect, hub, meter, remote, relays] as const;
