import type { BatteryPart, Catalogue, PartOf } from '../catalogue/index.js';
import { copyDesign, type Design, supplyOf } from '../design/index.js';
import { bankOf, decideIsolation } from '../supply/index.js';

/** One supply that could be: which battery and how many, how much sun, which charger from the vehicle. */
export interface Option {
  readonly battery: BatteryPart;
  readonly count: number;
  readonly panels: number;
  readonly charger: PartOf<'dcdc'> | null;
  /** Set to half its output. */
  readonly half: boolean;
  /** Folding panels put out when parked, beside what the roof takes. */
  readonly folding: number;
}

/** The folding panel of a draft, and the hours it is out: it brings its own regulator, so that it goes straight on the bank. */
const FOLDING = { panel: 'pv-200-fold', regulated: true, into: 'bank', hours: 6 } as const;
/** Most of them: two lie on one 50 A plug, and a third is carried by nobody. */
export const MOST_FOLDING = 2;

/** Most batteries side by side, and most panels that a roof takes, by vehicle. */
const MOST_STRINGS = 4;
const ROOF_PANELS: Readonly<Record<Design['brief']['vehicleKind'], number>> = {
  'tray-back': 1,
  'canopy-ute': 2,
  wagon: 2,
  van: 3,
  caravan: 4,
  camper: 2,
  'light-truck': 4,
  'slide-on': 2,
  'portable-box': 1,
};

export function panelFor(design: Design, catalogue: Catalogue): PartOf<'panel'> {
  return catalogue.find('panel', design.brief.vehicleKind === 'caravan' ? 'pv-160' : 'pv-200')!;
}

/** Open volts of a string on the coldest morning over those of its plate. */
const COLD_SHARE = 1.15;

/** Panels in series, so that a string stands above the bank. */
const inSeriesFor = (design: Design): number => design.supply.houseV / 12;

/** A controller of its own for so many watts, by school; null: through the charger. */
function controllerFor(design: Design, catalogue: Catalogue, watts: number, charger: PartOf<'dcdc'> | null): PartOf<'solar-controller'> | null {
  const through = design.settings.sunSchool === 'through the charger' && charger?.sunInput;
  if (through) return null;
  const way = design.settings.regulatorSchool === 'PWM' ? 'pwm' : 'mppt';
  const wantA = watts / (13.5 * (design.supply.houseV / 12));
  // A cold string stands well above its volts on the plate.
  const coldV = COLD_SHARE * panelFor(design, catalogue).vocV * inSeriesFor(design);
  const fit = catalogue
    .usual('solar-controller')
    .filter((c) => c.way === way && c.maxV >= coldV)
    .sort((a, b) => a.maxA - b.maxA);
  return fit.find((c) => c.maxA >= wantA) ?? fit.at(-1) ?? null;
}

/** The design with this supply in it. */
export function withOption(design: Design, catalogue: Catalogue, o: Option): Design {
  const next = copyDesign(design);
  const supply = supplyOf(next);
  supply.battery = { part: o.battery.id, count: o.count };
  if (supply.isolation !== 'none') supply.isolation = decideIsolation(next, catalogue, bankOf(next, catalogue)).advised;
  supply.dcdc = supply.isolation === 'dcdc' ? (o.charger?.id ?? null) : null;
  supply.dcdcHalf = supply.isolation === 'dcdc' && o.half;
  supply.isolator = supply.isolation === 'isolator' ? (catalogue.usual('isolator')[1]?.id ?? null) : null;
  const panel = panelFor(design, catalogue);
  supply.sun.panel = o.panels ? panel.id : null;
  supply.sun.count = Math.max(1, o.panels);
  supply.sun.inSeries = o.panels ? inSeriesFor(next) : 1;
  supply.sun.controller = o.panels ? (controllerFor(next, catalogue, o.panels * panel.ratedW, supply.isolation === 'dcdc' ? o.charger : null)?.id ?? null) : null;
  if (o.folding) {
    supply.sun.portable = FOLDING;
    next.arrays['portable']!.count = o.folding;
  }
  const plugged = next.brief.trip.mainsNights !== 'never' && next.brief.trip.mainsH > 0;
  const wantA = o.battery.capacityAh * (o.count / (supply.houseV / 12)) * 0.12;
  const mains = catalogue.usual('mains-charger').filter((p) => p.outputV === supply.houseV);
  supply.mains.charger = plugged ? ((mains.find((p) => p.outputA >= wantA) ?? mains.at(-1))?.id ?? null) : null;
  return next;
}

/** Every supply worth trying in this vehicle, in the workshop's school; with so many folding panels beside it. */
export function supplyOptions(design: Design, catalogue: Catalogue, folding = 0): readonly Option[] {
  const { brief, settings } = design;
  const supply = supplyOf(design);
  const chemistry = settings.batterySchool === 'AGM' ? 'agm' : 'lfp';
  const pairs = supply.houseV / 12;
  const batteries = catalogue.usual('battery').filter((p) => p.chemistry === chemistry);
  const charging = supply.isolation !== 'none';
  const dual = settings.sunSchool === 'through the charger';
  const fits = (p: PartOf<'dcdc'>): boolean => p.inputV === brief.vehicleV && p.outputV === supply.houseV && p.coldLock;
  const all = catalogue.usual('dcdc').filter((p) => fits(p) && p.profiles.includes(chemistry));
  const chargers = charging ? all : [];
  const roof = ROOF_PANELS[brief.vehicleKind];
  return batteries.flatMap((battery) =>
    Array.from({ length: MOST_STRINGS }, (_, s) => (s + 1) * pairs).flatMap((count) =>
      Array.from({ length: Math.floor(roof / pairs) + 1 }, (_, strings) => strings * pairs).flatMap((panels) => {
        // A second input is wanted where panels go through the charger, and wasted where there are none.
        const suiting = chargers.filter((c) => (panels > 0 && dual ? c.sunInput !== null || !all.some((x) => x.sunInput) : c.sunInput === null));
        const list: readonly (PartOf<'dcdc'> | null)[] = suiting.length ? suiting : [null];
        return list.flatMap((charger): Option[] => [false, ...(charger?.halfPower ? [true] : [])].map((half) => ({ battery, count, panels, charger, half, folding })));
      }),
    ),
  );
}
