import type { Catalogue, Part, PartOf } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { plant } from '../plant/index.js';

type Block = { readonly name: string; readonly ways: number; readonly wayA: number; readonly totalA: number; readonly holds: 'blade' | 'cartridge' };

/** What stands between the battery and the loads, whether on one board or as parts of their own. */
export interface Distribution {
  /** The board that holds it; null: separate parts. */
  readonly hub: PartOf<'hub'> | null;
  readonly block: Block | null;
  readonly mainSwitch: (Pick<PartOf<'switch'>, 'ratedA' | 'peakA' | 'milliohm' | 'selects'> & { readonly onHub: boolean; readonly pole: 'positive' | 'negative' }) | null;
  /** Chooses the bank that is charged, apart from that which the loads hang on; null: one switch does both. */
  readonly chargingSelector: PartOf<'switch'> | null;
  readonly shunt: (Pick<PartOf<'shunt'>, 'ratedA' | 'dropMv'> & { readonly onHub: boolean }) | null;
  readonly disconnect: (Pick<PartOf<'disconnect'>, 'name' | 'ratedA' | 'milliohm' | 'ownMa'> & { readonly onHub: boolean; readonly pole: 'positive' | 'negative' }) | null;
}

/** Of things in their order the first part that is of a kind. */
const first = <P, Q extends P>(things: readonly { readonly part: P | null }[], is: (part: P) => part is Q): Q | null =>
  things.flatMap(({ part }) => (part !== null && is(part) ? [part] : []))[0] ?? null;

const isHub = (p: Part): p is PartOf<'hub'> => p.kind === 'hub';
const isBlock = (p: Part): p is PartOf<'fuse-block'> => p.kind === 'fuse-block';
const isShunt = (p: Part): p is PartOf<'shunt'> => p.kind === 'shunt';
const isSwitch = (p: Part): p is PartOf<'switch'> => p.kind === 'switch';

/** The switches of the catalogue to choose the main one from: where a bank stands behind it, those that choose between two. */
export const switchesFor = (design: Design, catalogue: Catalogue): readonly PartOf<'switch'>[] =>
  plant(design, catalogue).banks.some((b) => b.selected) ? selectorsOf(catalogue) : catalogue.usual('switch');

/** The selectors of the catalogue, the smallest first. */
export const selectorsOf = (catalogue: Catalogue): readonly PartOf<'switch'>[] =>
  catalogue
    .ofKind('switch')
    .filter((p) => p.selects)
    .sort((a, b) => a.ratedA - b.ratedA);

/** A hub board's own parts take the place of separate ones; a main switch that it lacks may still stand beside it. */
export function distributionOf(design: Design, catalogue: Catalogue): Distribution {
  const { distribution, switchgear, monitors } = plant(design, catalogue);
  const hub = first<Part, PartOf<'hub'>>(distribution, isHub);
  const doing = (does: 'main switch' | 'charging selector'): PartOf<'switch'> | null =>
    first<Part, PartOf<'switch'>>(
      switchgear.filter((s) => s.does === does),
      isSwitch,
    );
  const [beside, chargingSelector] = [doing('main switch'), doing('charging selector')];
  const pole = switchgear.find((s) => s.does === 'main switch')?.pole ?? 'positive';
  const mainSwitch = hub?.mainSwitch ? { ...hub.mainSwitch, selects: false, onHub: true, pole: 'positive' as const } : beside && { ...beside, onHub: false, pole };
  if (hub)
    return {
      hub,
      mainSwitch,
      chargingSelector,
      block: { name: hub.name, ways: hub.ways, wayA: hub.wayA, totalA: hub.disconnect.ratedA, holds: 'blade' },
      shunt: { ...hub.shunt, onHub: true },
      disconnect: { ...hub.disconnect, name: 'hub board’s disconnect', onHub: true, pole: 'positive' },
    };
  const [block, shunt, disconnect] = [first<Part, PartOf<'fuse-block'>>(distribution, isBlock), first<Part, PartOf<'shunt'>>(monitors, isShunt), switchgear.find((s) => s.part.kind === 'disconnect')];
  return {
    hub,
    mainSwitch,
    chargingSelector,
    block,
    shunt: shunt && { ...shunt, onHub: false },
    disconnect: disconnect?.part.kind === 'disconnect' ? { ...disconnect.part, onHub: false, pole: disconnect.pole } : null,
  };
}
