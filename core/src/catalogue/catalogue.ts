import { z } from 'zod';
import { memoize } from '../quantity/index.js';
import { BATTERY_PARTS } from './kinds/battery/parts.js';
import { batterySchema } from './kinds/battery/schema.js';
import { DISCONNECT_PARTS } from './kinds/disconnect/parts.js';
import { disconnectSchema } from './kinds/disconnect/schema.js';
import { DCDC_PARTS } from './kinds/dcdc/parts.js';
import { dcdcSchema } from './kinds/dcdc/schema.js';
import { FUSE_BLOCK_PARTS } from './kinds/fuse-block/parts.js';
import { fuseBlockSchema } from './kinds/fuse-block/schema.js';
import { HUB_PARTS } from './kinds/hub/parts.js';
import { hubSchema } from './kinds/hub/schema.js';
import { INVERTER_PARTS } from './kinds/inverter/parts.js';
import { inverterSchema } from './kinds/inverter/schema.js';
import { ISOLATOR_PARTS } from './kinds/isolator/parts.js';
import { isolatorSchema } from './kinds/isolator/schema.js';
import { MAINS_CHARGER_PARTS } from './kinds/mains-charger/parts.js';
import { mainsChargerSchema } from './kinds/mains-charger/schema.js';
import { PANEL_PARTS } from './kinds/panel/parts.js';
import { panelSchema } from './kinds/panel/schema.js';
import { SHUNT_PARTS } from './kinds/shunt/parts.js';
import { shuntSchema } from './kinds/shunt/schema.js';
import { SOLAR_CONTROLLER_PARTS } from './kinds/solar-controller/parts.js';
import { solarControllerSchema } from './kinds/solar-controller/schema.js';
import { SWITCH_PARTS } from './kinds/switch/parts.js';
import { switchSchema } from './kinds/switch/schema.js';

/** A part of any kind, told apart by `kind`. */
export const partSchema = z.discriminatedUnion('kind', [
  batterySchema,
  dcdcSchema,
  isolatorSchema,
  panelSchema,
  solarControllerSchema,
  mainsChargerSchema,
  inverterSchema,
  fuseBlockSchema,
  switchSchema,
  shuntSchema,
  disconnectSchema,
  hubSchema,
]);
export type Part = z.infer<typeof partSchema>;
export type PartKind = Part['kind'];
export const PART_KINDS: readonly PartKind[] = ['battery', 'dcdc', 'isolator', 'panel', 'solar-controller', 'mains-charger', 'inverter', 'fuse-block', 'switch', 'shunt', 'disconnect', 'hub'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

/** The parts a workshop can choose from. */
export class Catalogue {
  private readonly byId: ReadonlyMap<string, Part>;

  constructor(readonly parts: readonly Part[]) {
    this.byId = new Map(parts.map((p) => [p.id, p]));
  }

  /** The part of this kind with this id; null when there is none, or it is of another kind. */
  find<K extends PartKind>(kind: K, id: string | null): PartOf<K> | null {
    const part = id === null ? undefined : this.byId.get(id);
    return part?.kind === kind ? (part as PartOf<K>) : null;
  }

  ofKind<K extends PartKind>(kind: K): PartOf<K>[] {
    return this.parts.filter((p): p is PartOf<K> => p.kind === kind);
  }

  /** What a draft may take by itself. */
  usual<K extends PartKind>(kind: K): PartOf<K>[] {
    return this.ofKind(kind).filter((p) => !p.special);
  }
}

/** The shipped catalogue: generic, made-up parts with realistic figures. */
export const SHIPPED_CATALOGUE = new Catalogue([
  ...BATTERY_PARTS,
  ...DCDC_PARTS,
  ...ISOLATOR_PARTS,
  ...PANEL_PARTS,
  ...SOLAR_CONTROLLER_PARTS,
  ...MAINS_CHARGER_PARTS,
  ...INVERTER_PARTS,
  ...FUSE_BLOCK_PARTS,
  ...SWITCH_PARTS,
  ...SHUNT_PARTS,
  ...DISCONNECT_PARTS,
  ...HUB_PARTS,
]);

/** The shipped catalogue with parts of one’s own; one of the same id takes the shipped one’s place. */
const withOwn = memoize(8, JSON.stringify, (own: readonly Part[]) => {
  const ids = new Set(own.map((p) => p.id));
  return new Catalogue([...SHIPPED_CATALOGUE.parts.filter((p) => !ids.has(p.id)), ...own]);
});

/** What a job can choose from: the shipped parts, and those of the workshop’s own that stand in it with the data it was planned with. */
export function catalogueOf({ parts }: { readonly parts: Readonly<Record<string, Part>> }): Catalogue {
  const own = Object.values(parts);
  return own.length ? withOwn(own) : SHIPPED_CATALOGUE;
}
