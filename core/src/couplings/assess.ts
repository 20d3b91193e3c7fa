import { assess, withFindings, type Assessment, type AssessSettings } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { enginesFor, isJoined, OWN, vehicleIds, vehicleIn, type Coupling, type Design } from '../design/index.js';
import { spanHours, spansWithout } from '../loads/index.js';
import { inverterOf } from '../plant/index.js';
import { inSession, memoize, Session } from '../quantity/index.js';
import { matings, type Mating, type PlugPair } from '../routes/index.js';
import { judgeJoined, stopsFirst, type Elsewhere, type JoinedFacts, type LeadFacts } from '../rules/index.js';
import { mainsSpans, tripDays } from '../travel/index.js';
import { catalogueOf } from '../catalogue/index.js';
import { inJob, joinedTripOf } from './in-job.js';
import { withMoreFeeds, type PluggedInto } from './more-feeds.js';
import { hasRig, leadHours, leadsIn, leadTakesW, vehicleName } from './views.js';

/** The assessments of the other vehicles, which stay as they are while one of them is worked on. */
const others = inSession(() =>
  memoize(
    12,
    (design: Design) => JSON.stringify(design),
    (design) => assess(design, catalogueOf(design)),
  ),
);

/** Hours of the trip in which the site and a lead want the same inlet. */
function siteHours(job: Design, c: Coupling): number {
  if (c.carries === 'dc') return 0;
  const hours = leadHours(job, c);
  return tripDays(job.brief.trip).reduce((h, { mainsH }) => h + spanHours(hours) - spanHours(spansWithout(hours, mainsSpans(mainsH))), 0);
}

function leadFacts(job: Design, id: string, catalogue: Catalogue, session: Session): LeadFacts[] {
  const leads = leadsIn(job).filter(([, c]) => c.from === id || c.to === id);
  const restsH = leads.length ? (joinedTripOf(job, catalogue, session)?.restsH ?? {}) : {};
  return leads.map(([key, c]): LeadFacts => {
    const [giver, taker] = [vehicleIn(job, c.from), vehicleIn(job, c.to)];
    const dc = c.inlet === null ? null : (taker.inlets[c.inlet]?.dc ?? null);
    const load = c.outlet === null ? undefined : giver.loads[c.outlet];
    return {
      id: key,
      gives: c.from === id,
      other: vehicleName(job, c.from === id ? c.to : c.from),
      outlet: c.outlet,
      inlet: c.inlet,
      saysW: load?.draw.by === 'plate' ? load.draw.value : 0,
      carries: c.carries === 'dc' ? 'dc' : 'mains',
      limitW: dc ? dc.mostA * dc.nominalV : (inverterOf(giver, catalogue)?.ports.mainsOut.ratedW ?? null),
      volts: dc ? { gives: giver.supply.houseV, takes: dc.nominalV } : null,
      takesW: leadTakesW(taker, catalogue, c),
      siteH: siteHours(job, c),
      restsH: restsH[key] ?? 0,
    };
  });
}

/** The plugs of a vehicle, told from those of others. */
const named = (job: Design, id: string, pairs: readonly PlugPair[]): PlugPair[] => pairs.map((p) => ({ ...p, id: `${id}/${p.id}`, name: `${p.name} (${vehicleName(job, id)})` }));

/** Halves of this vehicle's plugs that go into those of others. */
function across(job: Design, id: string, catalogue: Catalogue, own: Assessment, session: Session): Mating[] {
  const mine = named(job, id, own.layout.pairs);
  const foreign = vehicleIds(job)
    .filter((v) => v !== id)
    .flatMap((v) => {
      const design = inJob(job, v, catalogue, { session });
      return hasRig(design) ? named(job, v, others(session)(design).layout.pairs) : [];
    });
  const isMine = new Set(mine.map((p) => p.id));
  return matings([...mine, ...foreign])
    .filter((m) => isMine.has(m.source.id) && !isMine.has(m.sink.id))
    .map((m) => ({ ...m, source: own.layout.pairs.find((p) => `${id}/${p.id}` === m.source.id)! }));
}

/** The vehicle as it is when plugged into each other than the usual one. */
const pluggedInto = (job: Design, id: string, catalogue: Catalogue, session: Session): PluggedInto[] =>
  enginesFor(job, id)
    .slice(1)
    .map((by) => ({ id: by, name: vehicleName(job, by), assessment: others(session)(inJob(job, id, catalogue, { by, session })) }));

/** What it is found to have only there. */
function elsewhere(own: Assessment, there: readonly PluggedInto[]): Elsewhere[] {
  const known = new Set(own.findings.map((f) => f.key));
  return there.flatMap(({ name, assessment }) => assessment.findings.filter((f) => !known.has(f.key)).map((finding): Elsewhere => ({ other: name, finding })));
}

/**
 * One vehicle of a job, assessed with all that reaches it from the others, and with what is found about what joins them.
 * The same as {@link assess} for a job of one vehicle.
 */
export function assessIn(job: Design, id: string, catalogue: Catalogue, settings: AssessSettings = {}): Assessment {
  const { session = new Session() } = settings;
  const design = inJob(job, id, catalogue, { session });
  const plain = assess(design, catalogue, { ...settings, session });
  if (!isJoined(job)) return plain;
  const there = pluggedInto(job, id, catalogue, session);
  const own = withMoreFeeds(plain, there, job.settings.torqueNm);
  const facts: JoinedFacts = { design, leads: leadFacts(job, id, catalogue, session), across: across(job, id, catalogue, own, session), elsewhere: elsewhere(own, there) };
  // Of a vehicle that only tows or carries nothing is asked but what joins it.
  return withFindings(design, own, stopsFirst([...(hasRig(design) ? own.findings : []), ...judgeJoined(facts)]));
}

/** A vehicle of a job with its assessment; null of one that has no rig. */
export interface AssessedVehicle {
  readonly id: string;
  readonly name: string;
  readonly design: Design;
  readonly assessment: Assessment | null;
}

/** All vehicles of a job, each assessed. */
export const assessJob = (job: Design, catalogue: Catalogue, session = new Session()): readonly AssessedVehicle[] =>
  vehicleIds(job).map((id) => {
    const design = inJob(job, id, catalogue, { session });
    return { id, name: vehicleName(job, id), design, assessment: hasRig(design) || id === OWN ? assessIn(job, id, catalogue, { session }) : null };
  });
