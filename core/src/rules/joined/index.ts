import type { Elsewhere, JoinedRule } from './joint.js';
import { leadOverloads } from './lead-overloads.js';
import { leadRests } from './lead-rests.js';
import { leadSaysLess } from './lead-says-less.js';
import { leadToNothing } from './lead-to-nothing.js';
import { leadWrongVolts } from './lead-wrong-volts.js';
import { plugsBetweenVehicles } from './plugs-between-vehicles.js';
import { twoSourcesOneInlet } from './two-sources-one-inlet.js';
import { withAnotherVehicle } from './with-another-vehicle.js';

export type { Elsewhere, JoinedFacts, JoinedRule, LeadFacts } from './joint.js';

/** Every rule about what joins vehicles; `inWords` says a finding that one has only elsewhere. */
export const joinedRules = (inWords: (e: Elsewhere) => { readonly say: string; readonly fix: string }): readonly JoinedRule[] => [
  leadOverloads,
  leadToNothing,
  leadSaysLess,
  leadRests,
  leadWrongVolts,
  twoSourcesOneInlet,
  plugsBetweenVehicles,
  withAnotherVehicle(inWords),
];
