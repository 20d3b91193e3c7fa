import { catalogueOf, converterIn, convertsOf, monitorIn, watchesOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import type { Gear } from '../places/index.js';

/** What is no box of the catalogue; a box’s kind says itself why one is there. */
const BY_ROLE = {
  starting: 'the vehicle’s own: starts the engine, and must still do so after any night',
  house: 'feeds everything while the engine is off, as long as the trip asks',
  charger: 'ties the batteries together while the alternator charges, and parts them when it stops',
  bus: 'where batteries, chargers and loads meet: each joint can be reached, parted and measured',
  block: 'a way and fuse for each circuit, so that a fault takes only its own',
  panel: 'charges while nobody drives',
  control: 'looked at or pressed every day, so it stands where hand and eye find it',
  load: 'on the list of what must run',
  there: 'was in the vehicle before, and what is new lies round it',
} as const satisfies Partial<Record<Gear['role'], string>>;

const BY_ID: Readonly<Record<string, string>> = {
  display: 'shows what the shunt has counted: volts alone say little of a lithium battery',
  remote: 'switches the inverter off from where people are: it draws by itself while it waits',
  portable: 'a panel that is put out where the sun is, while the vehicle stands in the shade',
  charger2: 'the second half of what the battery can take, from the same alternator',
  charging: 'chooses the bank that is charged, so that one carries the loads while the other fills',
  second: 'takes over when the first bank is down to its reserve; the selector never joins the two',
};

/** Why a piece of gear is in the plan, in a sentence. */
export function whyGear(design: Design, gear: Gear): string {
  const known = BY_ID[gear.id];
  if (known) return known;
  if (gear.id === 'bus' && design.distribution[gear.ref.id]?.part) return 'bars, ways, shunt and disconnect on one board: fewer joints; a fault on it can take it all';
  if (gear.ref.in === 'groups') return 'several small loads share a feed here, with one fuse that suits the thinnest of their wires, or one each';
  if (gear.ref.in === 'traces') return 'where a circuit that is there already takes on one thing more';
  const box = converterIn(catalogueOf(design), gear.part);
  const monitor = monitorIn(catalogueOf(design), gear.part);
  if (monitor) return watchesOf(monitor).why;
  return box ? convertsOf(box).why : BY_ROLE[gear.role as keyof typeof BY_ROLE];
}
