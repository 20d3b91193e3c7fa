import { portsIn, type Catalogue } from '../catalogue/index.js';
import { blankLoad, bodyOf, couplingsOf, OWN, vehicleIn, type Coupling, type Design, type FurtherVehicle, type RigConverter } from '../design/index.js';
import { dcInletTakesW, inletTakesW } from '../plant/index.js';
import { bankOf } from '../supply/index.js';
import { Refused } from './command.js';
import { freshAmong, freshId, lastOrder } from './things.js';

type Span = [number, number];

/** What is said of a lead. */
export interface AskedLead {
  readonly from: string;
  readonly to: string;
  readonly hours?: Span[] | undefined;
  readonly inlet?: string | undefined;
  readonly converter?: string | undefined;
}

/** Hours of a lead where none are named: in the middle of the day, when panels fill the giving bank. */
const LEAD_HOURS: Span[] = [[10, 14]];
/** A lead that stays in its own body is in all day. */
export const ALL_DAY: Span[] = [[0, 24]];
/** Plugs of a DC lead by what they carry for hours, A. */
const DC_PLUGS_A = [50, 175] as const;
/** Share of its rating that a plug carries for hours. */
const LASTING_SHARE = 0.8;
/** Volts per 12 V at which a plug is chosen: what a lead still brings. */
const LOW_V = 12;
/** Volts per 12 V that a charger puts into a bank of which nothing is known yet. */
const CHARGE_V = 14.4;

type Holder = Design | FurtherVehicle;

export const holderOf = (d: Design, id: string): Holder => (id === OWN ? d : d.vehicles[id]!);

const called = (d: Design, id: string): string => (id === OWN ? 'first vehicle' : d.vehicles[id]!.name || id);

/** The outlet of a lead: a load of the giving vehicle. */
function outlet(d: Design, i: AskedLead, made: string, of: Pick<Design['loads'][string], 'supply' | 'plugA'> & { readonly watts: number; readonly hours: Span[] }): string {
  const giver = holderOf(d, i.from);
  const id = freshAmong(giver.loads, undefined, `outlet-${made}`, [OWN]);
  giver.loads[id] = {
    ...blankLoad(lastOrder(giver.loads)),
    name: `lead to the ${called(d, i.to)}`,
    purpose: 'sockets',
    supply: of.supply,
    draw: { by: 'plate', unit: 'W', value: Math.round(of.watts) },
    use: { by: 'duty', duty: 1 },
    when: { at: 'hours', spans: i.hours ?? of.hours },
    plugA: of.plugA,
    lead: true,
  };
  return id;
}

/** A mains lead: as large as what charges at the other’s inlet. */
export function mainsLead(d: Design, i: AskedLead, made: string, catalogue: Catalogue): Pick<Coupling, 'outlet' | 'inlet'> {
  const taker = vehicleIn(d, i.to);
  const mains = Object.keys(taker.inlets).filter((id) => taker.inlets[id]!.dc === null);
  const inlet = i.inlet ?? mains[0];
  if (inlet === undefined || !mains.includes(inlet)) throw new Refused(`inlet: ${inlet ?? 'none'} is none of the inlets for 230 V of ${i.to}; ${mains.join(', ') || 'there are none'}`);
  return { outlet: outlet(d, i, made, { supply: 'mains', plugA: null, watts: inletTakesW(taker, catalogue, inlet), hours: LEAD_HOURS }), inlet };
}

/** The charger of a vehicle that a DC lead is to feed: the one that is named, else the one with a DC input. */
function charger(taker: Design, i: AskedLead, catalogue: Catalogue): string {
  const fed = Object.entries(taker.converters)
    .sort(([, a], [, b]) => a.order - b.order)
    .filter(([, c]) => (portsIn(catalogue, c.part)?.dcIn ?? null) !== null);
  const found = i.converter === undefined ? (fed.find(([, c]) => c.from === null) ?? fed[0]) : fed.find(([id]) => id === i.converter);
  if (found) return found[0];
  throw new Refused(`converter: ${i.converter ?? 'none'} is no charger of ${i.to} with a DC input; ${fed.map(([id]) => id).join(', ') || 'there is none yet: add one there first'}`);
}

/** Loose cable of a lead between two vehicles that nobody measured, m. */
const LEAD_M = 2;

/** A DC lead: an outlet on the giver’s bars, an inlet at the taker’s charger, a plug that bears what it takes. */
export function dcLead(d: Design, i: AskedLead, made: string, catalogue: Catalogue): Pick<Coupling, 'outlet' | 'inlet'> {
  const giver = vehicleIn(d, i.from);
  if (!Object.keys(giver.banks).length) throw new Refused(`from: ${i.from} has no bank that a lead could start at; a vehicle with a rig of its own is accepted`);
  const unit = charger(vehicleIn(d, i.to), i, catalogue);
  const taker = holderOf(d, i.to);
  const sameBody = bodyOf(d, i.to) === bodyOf(d, i.from);
  const nominalV = giver.supply.houseV === 24 ? 24 : 12;
  const inlet = freshId(vehicleIn(d, i.to), i.inlet, 'lead-inlet');
  taker.inlets[inlet] = { order: lastOrder(taker.inlets), name: '', hours: [], dc: { nominalV, mostA: DC_PLUGS_A[0], leadM: sameBody ? 0 : LEAD_M } };
  taker.converters[unit]!.from = { in: 'inlets', id: inlet };
  const view = vehicleIn(d, i.to);
  const watts = dcInletTakesW(view, catalogue, inlet, bankOf(view, catalogue)?.absorptionV ?? (CHARGE_V * view.supply.houseV) / 12);
  const lastingA = watts / ((LOW_V * nominalV) / 12);
  const plugA = DC_PLUGS_A.find((a) => LASTING_SHARE * a >= lastingA) ?? DC_PLUGS_A[1];
  taker.inlets[inlet].dc!.mostA = plugA;
  return { outlet: outlet(d, i, made, { supply: 'dc', plugA, watts, hours: sameBody ? ALL_DAY : LEAD_HOURS }), inlet };
}

/** What a lead left behind goes with it: its outlet, and of a DC lead its inlet, whose charger then hangs on nothing. */
export function forgetLead(d: Design, { from, to, carries, outlet: out, inlet }: Coupling): void {
  const [giver, taker]: (Holder | undefined)[] = [from, to].map((id) => (id === OWN ? d : d.vehicles[id]));
  if (out !== null) delete giver?.loads[out];
  if (carries !== 'dc' || inlet === null || !taker) return;
  delete taker.inlets[inlet];
  delete taker.places[inlet];
  for (const c of Object.values(taker.converters) as RigConverter[]) if (c.from?.in === 'inlets' && c.from.id === inlet) c.from = null;
}

/** True where following leads from one vehicle comes to another. */
export function leadsTo(d: Design, sort: (c: Coupling) => boolean, from: string, to: string): boolean {
  const seen = new Set<string>();
  const next = [from];
  for (let at = next.pop(); at !== undefined; at = next.pop()) {
    if (at === to) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    for (const [, c] of couplingsOf(d)) if (sort(c) && c.from === at) next.push(c.to);
  }
  return false;
}
