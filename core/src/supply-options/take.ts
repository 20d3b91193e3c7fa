import { fanLoad, fanPlace, withRig, type Design } from '../design/index.js';

/** A design with the rig of a draft in the place of its own, and the fans that the draft gave to closed spaces which had none. */
export function takeDraft(design: Design, draft: Design): Design {
  const fans = Object.keys(draft.air).filter((zone) => !(zone in design.air));
  const of = <T>(all: Readonly<Record<string, T>>, keys: readonly string[]): Record<string, T> => Object.fromEntries(keys.flatMap((k) => (all[k] === undefined ? [] : [[k, all[k]]])));
  return {
    ...withRig(design, draft),
    air: { ...design.air, ...of(draft.air, fans) },
    loads: { ...design.loads, ...of(draft.loads, fans.map(fanLoad)) },
    places: { ...design.places, ...of(draft.places, fans.map(fanPlace)) },
  };
}
