import { catalogueOf, portsIn, type Catalogue } from '../catalogue/index.js';
import { fanLoad, fanPlace, withRig, type Design } from '../design/index.js';
import { boxBank, boxOfBank, unboxBank } from '../places/index.js';

/** A lead from another bank goes on feeding the charger that it fed, or the one that came in its place. */
function onTheirLeads(next: Design, design: Design, catalogue: Catalogue): Design {
  for (const [id, { from }] of Object.entries(design.converters)) {
    if (from?.in !== 'inlets') continue;
    const takes = (key: string): boolean => (portsIn(catalogue, next.converters[key]?.part ?? null)?.dcIn ?? null) !== null;
    const unit = [id, ...Object.keys(next.converters)].find(takes);
    if (unit !== undefined) next.converters[unit]!.from = from;
  }
  return next;
}

/** A design with the rig of a draft in the place of its own, the box round its bank, and the fans that the draft gave to closed spaces which had none. */
export function takeDraft(design: Design, draft: Design): Design {
  const catalogue = catalogueOf(design);
  const fans = Object.keys(draft.air).filter((zone) => !(zone in design.air));
  const of = <T>(all: Readonly<Record<string, T>>, keys: readonly string[]): Record<string, T> => Object.fromEntries(keys.flatMap((k) => (all[k] === undefined ? [] : [[k, all[k]]])));
  const bare = unboxBank(design, catalogue);
  const next = {
    ...onTheirLeads(withRig(bare, draft), design, catalogue),
    air: { ...bare.air, ...of(draft.air, fans) },
    loads: { ...bare.loads, ...of(draft.loads, fans.map(fanLoad)) },
    places: { ...bare.places, ...of(draft.places, fans.map(fanPlace)) },
  };
  return boxOfBank(draft, catalogue) === null ? next : (boxBank(next, catalogue) ?? next);
}
