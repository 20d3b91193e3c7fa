import type { Catalogue, PartOf } from '../catalogue/index.js';
import { type Design, supplyOf } from '../design/index.js';

type Block = { readonly name: string; readonly ways: number; readonly wayA: number; readonly totalA: number; readonly holds: 'blade' | 'cartridge' };

/** What stands between the battery and the loads, whether on one board or as parts of their own. */
export interface Distribution {
  /** The board that holds it; null: separate parts. */
  readonly hub: PartOf<'hub'> | null;
  readonly block: Block | null;
  readonly mainSwitch: (Pick<PartOf<'switch'>, 'ratedA' | 'peakA' | 'milliohm'> & { readonly onHub: boolean }) | null;
  readonly shunt: (Pick<PartOf<'shunt'>, 'ratedA' | 'dropMv'> & { readonly onHub: boolean }) | null;
  readonly disconnect: (Pick<PartOf<'disconnect'>, 'name' | 'ratedA' | 'milliohm' | 'ownMa'> & { readonly onHub: boolean; readonly pole: 'positive' | 'negative' }) | null;
}

/** A hub board's own parts take the place of separate ones; a main switch that it lacks may still stand beside it. */
export function distributionOf(design: Design, catalogue: Catalogue): Distribution {
  const supply = supplyOf(design);
  const hub = catalogue.find('hub', supply.hub);
  const beside = catalogue.find('switch', supply.mainSwitch);
  const mainSwitch = hub?.mainSwitch ? { ...hub.mainSwitch, onHub: true } : beside && { ...beside, onHub: false };
  if (hub)
    return {
      hub,
      mainSwitch,
      block: { name: hub.name, ways: hub.ways, wayA: hub.wayA, totalA: hub.disconnect.ratedA, holds: 'blade' },
      shunt: { ...hub.shunt, onHub: true },
      disconnect: { ...hub.disconnect, name: 'hub board’s disconnect', onHub: true, pole: 'positive' },
    };
  const shunt = catalogue.find('shunt', supply.shunt);
  const disconnect = catalogue.find('disconnect', supply.disconnect.part);
  return {
    hub,
    mainSwitch,
    block: catalogue.find('fuse-block', supply.fuseBlock),
    shunt: shunt && { ...shunt, onHub: false },
    disconnect: disconnect && { ...disconnect, onHub: false, pole: supply.disconnect.pole },
  };
}
