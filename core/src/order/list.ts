import { copperKgPerM } from '../cable/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { LINK_M, type BoardLink, type Bond } from '../circuit/index.js';
import { asOfNow, type Design } from '../design/index.js';
import type { Enclosure } from '../enclosure/index.js';
import { FUSE_KINDS, fuseWindow, RATED_DC_V } from '../protection/index.js';
import { rating } from '../quantity/index.js';
import { multicoresOf, type Fitted, type LayoutFigures, type RunSpec, type SizedRun } from '../routes/index.js';
import { devicesOf, type SolarArray } from '../supply/index.js';
import { addAir } from './air.js';
import { addBoxes } from './boxes.js';
import type { Cut } from './cut.js';
import { addLeads, leadCuts } from './leads.js';
import type { OrderLine } from './line.js';
import { addMulticores, multicoreCut } from './multicores.js';
import { addShared } from './shared.js';
import { addWays } from './ways.js';
import { CUTTING, PLANNING_PRICES as PRICE } from './prices.js';
import { plant } from '../plant/index.js';

/** A device that waits: not ordered now. */
export interface LaterPart {
  readonly what: string;
  readonly quantity: number;
}

export interface Order {
  readonly lines: readonly OrderLine[];
  /** Devices of what is a provision or for later; apart, and in no sum. */
  readonly later: readonly LaterPart[];
  readonly cuts: readonly Cut[];
  readonly total: number;
  readonly kg: number;
}

interface Filling extends OrderLine {
  quantity: number;
  kg: number;
  readonly uses: string[];
}

class Basket {
  private readonly lines = new Map<string, Filling>();

  add(line: Omit<OrderLine, 'uses'>, use: string): void {
    const there = this.lines.get(line.key);
    if (!there) {
      this.lines.set(line.key, { ...line, uses: [use] });
      return;
    }
    there.quantity += line.quantity;
    there.kg += line.kg;
    if (!there.uses.includes(use)) there.uses.push(use);
  }

  all(): OrderLine[] {
    for (const l of this.lines.values()) {
      // Shares of a cartridge or a roll make whole ones.
      if (l.unit === 'pc') l.quantity = Math.ceil(l.quantity - 1e-9);
      else l.quantity = Math.ceil((l.quantity * (1 + CUTTING.waste)) / CUTTING.stepM) * CUTTING.stepM;
    }
    return [...this.lines.values()];
  }
}

/** Stud at the end of a cable of this area, for choosing its lug. */
export function studOf(areaMm2: number): 'M6' | 'M8' | 'M10' {
  if (areaMm2 < 16) return 'M6';
  return areaMm2 <= 70 ? 'M8' : 'M10';
}

const lugWords = (areaMm2: number, size: string): string => `${areaMm2 >= 10 ? 'lug' : 'crimp terminal'} ${size} ${studOf(areaMm2)}`;

const lugText = (run: Fitted): string => lugWords(run.figures.areaMm2, run.figures.size);

function addDevices(basket: Basket, design: Design, catalogue: Catalogue): void {
  for (const { part, quantity } of devicesOf(asOfNow(design), catalogue))
    basket.add({ key: part.id, group: 'devices', what: part.name, quantity, unit: 'pc', priceEach: part.price, kg: part.kg * quantity }, 'supply');
  const { banks, distribution } = plant(design, catalogue);
  if (!banks.length || distribution.some((d) => d.part?.kind === 'hub')) return;
  basket.add({ key: 'bus-bars', group: 'devices', what: 'bus bar pair with cover', quantity: 1, unit: 'pc', priceEach: PRICE.busBars, kg: PRICE.busBarsKg }, 'distribution');
}

/** A run's fuse as it is asked for over the counter: a breaker by how it closes again and for which directions, and its volts where the usual will not do. */
function fuseWords({ spec, figures: f }: Fitted): Pick<OrderLine, 'key' | 'what'> {
  const { name } = FUSE_KINDS[f.fuseType];
  const noun = spec.reset === 'self' ? name.replace('manual reset', 'self-resetting') : spec.reset ? name : `${name} fuse`;
  const more = [...(spec.reset && !spec.edit.poled ? ['for both directions'] : []), ...(spec.highestV > RATED_DC_V ? [`for ${Math.ceil(spec.highestV)} V DC or more`] : [])];
  return { key: ['fuse', f.fuseType, f.fuseA, spec.reset === 'self' ? 'self' : null, ...more].filter((x) => x !== null).join('-'), what: [`${noun} ${rating(f.fuseA)} A`, ...more].join(', ') };
}

/** What a run starts at has a place for its fuse: a block, a switch bank, a tapped wire, a way of a hub board. */
const holdsFuses = ({ from, limitingParts }: RunSpec): boolean =>
  from.ref.in === 'groups' || from.ref.in === 'traces' || (from.ref.in === 'distribution' && from.gear !== 'bus') || limitingParts.some((w) => w.kind === 'hub way');

/** A run's own cables, red and black. */
function addCable(basket: Basket, { spec, figures: f }: Fitted, use: string): void {
  const perM = PRICE.cableBase + PRICE.cablePerMm2 * f.areaMm2;
  for (const [colour, lengthM] of [
    ['red', spec.outM * (f.perPole + (spec.edit.spares ?? 0))],
    ['black', spec.backM * f.perPole],
  ] as const)
    basket.add(
      { key: `cable-${f.size}-${colour}`, group: 'cable', what: `cable ${f.size} ${colour}`, quantity: lengthM, unit: 'm', priceEach: perM, kg: lengthM * copperKgPerM(f.areaMm2) * 1.25 },
      use,
    );
}

/** Ends of a run's conductors, each with its terminal; a return that is in common ends once for all, at its bar. */
const endsOf = ({ spec, figures }: Fitted): number => (spec.multicore?.common ? 3 : 4) * figures.perPole;

function addRun(basket: Basket, run: Fitted): void {
  const { spec, figures: f } = run;
  const use = `run ${spec.number}`;
  for (const end of spec.ends) {
    const kind = FUSE_KINDS[f.fuseType];
    const { key, what } = fuseWords(run);
    basket.add({ key, what, group: 'protection', quantity: f.perPole, unit: 'pc', priceEach: PRICE.fuse[f.fuseType], kg: 0.02 }, use);
    const held = f.fuseType === 'breaker' || (end.at === 'from' && holdsFuses(spec));
    if (!held)
      basket.add(
        { key: `holder-${f.fuseType}`, group: 'protection', what: `holder for ${kind.name} fuse, with cover`, quantity: f.perPole, unit: 'pc', priceEach: PRICE.holder[f.fuseType], kg: 0.1 },
        use,
      );
  }
  if (!spec.multicore) addCable(basket, run, use);
  const ends = endsOf(run);
  const large = f.areaMm2 >= 10;
  basket.add(
    {
      key: lugText(run),
      group: 'joints',
      ...(large ? { is: 'lug' as const } : {}),
      what: lugText(run),
      quantity: ends,
      unit: 'pc',
      priceEach: large ? PRICE.lugLarge : PRICE.lugSmall,
      kg: 0.02,
    },
    use,
  );
  basket.add({ key: `shrink-${f.size}`, group: 'joints', what: `heat-shrink for ${f.size}, with glue`, quantity: ends, unit: 'pc', priceEach: PRICE.heatShrink, kg: 0 }, use);
  for (const plug of spec.limitingParts.filter((w) => w.kind === 'plug')) {
    basket.add(
      {
        key: `plug-${plug.ratingA}`,
        group: 'joints',
        is: 'plug',
        what: `Anderson plug pair ${plug.ratingA} A, with cover`,
        quantity: 1,
        unit: 'pc',
        priceEach: plug.ratingA > 50 ? PRICE.plugPair[175] : PRICE.plugPair[50],
        kg: 0.2,
      },
      use,
    );
  }
  basket.add({ key: 'label', group: 'sundries', what: 'cable label, printed', quantity: ends, unit: 'pc', priceEach: PRICE.label, kg: 0 }, use);
}

function addPanelFuses(basket: Basket, array: SolarArray): void {
  if (!array.panelFuseFromA) return;
  const fits = fuseWindow('blade', array.panelFuseFromA * 0.8, [{ what: 'panel', ratingA: array.panel.maxFuseA }]).fitsA[0];
  if (fits)
    basket.add(
      { key: `panel-fuse-${fits}`, group: 'protection', what: `in-line panel fuse ${rating(fits)} A, weatherproof`, quantity: array.count, unit: 'pc', priceEach: PRICE.panelFuse, kg: 0.05 },
      'panels',
    );
}

/** The bond of the house negative: a short black cable with two lugs. */
function addBond(basket: Basket, bond: Bond): void {
  const use = BOND;
  const perM = PRICE.cableBase + PRICE.cablePerMm2 * bond.areaMm2;
  basket.add(
    { key: `cable-${bond.size}-black`, group: 'cable', what: `cable ${bond.size} black`, quantity: bond.lengthM, unit: 'm', priceEach: perM, kg: bond.lengthM * copperKgPerM(bond.areaMm2) * 1.25 },
    use,
  );
  const lug = `lug ${bond.size} ${studOf(bond.areaMm2)}`;
  basket.add({ key: lug, group: 'joints', is: 'lug', what: lug, quantity: 2, unit: 'pc', priceEach: PRICE.lugLarge, kg: 0.02 }, use);
}

/** Short cables on the board, with two lugs each. */
function addLink(basket: Basket, { size, colour, areaMm2, count, name }: BoardLink): void {
  const perM = PRICE.cableBase + PRICE.cablePerMm2 * areaMm2;
  const lengthM = count * LINK_M;
  basket.add({ key: `cable-${size}-${colour}`, group: 'cable', what: `cable ${size} ${colour}`, quantity: lengthM, unit: 'm', priceEach: perM, kg: lengthM * copperKgPerM(areaMm2) * 1.25 }, name);
  const what = lugWords(areaMm2, size);
  const large = areaMm2 >= 10;
  basket.add({ key: what, group: 'joints', ...(large ? { is: 'lug' as const } : {}), what, quantity: 2 * count, unit: 'pc', priceEach: large ? PRICE.lugLarge : PRICE.lugSmall, kg: 0.02 }, name);
  basket.add({ key: `shrink-${size}`, group: 'joints', what: `heat-shrink for ${size}, with glue`, quantity: 2 * count, unit: 'pc', priceEach: PRICE.heatShrink, kg: 0 }, name);
}

const linkCuts = ({ name, size, areaMm2, colour, count }: BoardLink): Cut[] =>
  Array.from({ length: count }, () => ({
    run: null,
    name,
    size,
    areaMm2,
    cores: 1,
    lugs: `2 × ${lugWords(areaMm2, size)}`,
    lead: colour === 'red' ? 'feed' : 'return',
    colour,
    lengthM: LINK_M,
    label: 'link',
  }));

const BOND = 'house negative to body';

const bondCut = (bond: Bond): Cut => ({
  run: null,
  name: BOND,
  size: bond.size,
  areaMm2: bond.areaMm2,
  cores: 1,
  lugs: `2 × lug ${bond.size} ${studOf(bond.areaMm2)}`,
  lead: 'return',
  colour: 'black',
  lengthM: bond.lengthM,
  label: 'bond',
});

function cutsOf(run: Fitted): Cut[] {
  const { spec, figures } = run;
  if (spec.multicore) return [];
  const { number, name } = spec;
  const { size, areaMm2 } = figures;
  const copper = { size, areaMm2, cores: 1 };
  const lugs = `2 × ${lugText(run)}`;
  const letters = figures.perPole > 1 ? ['a', 'b', 'c'].slice(0, figures.perPole) : [''];
  return letters.flatMap((letter): Cut[] => [
    { run: number, name, ...copper, lugs, lead: 'feed', colour: 'red', lengthM: spec.outM, label: `${number}${letter}+` },
    { run: number, name, ...copper, lugs, lead: 'return', colour: 'black', lengthM: spec.backM, label: `${number}${letter}−` },
  ]);
}

/** Devices of the whole design less those of what is for now. */
function laterOf(design: Design, catalogue: Catalogue): LaterPart[] {
  const now = asOfNow(design);
  if (now === design) return [];
  const have = new Map(devicesOf(now, catalogue).map((d) => [d.part.id, d.quantity]));
  return devicesOf(design, catalogue).flatMap(({ part, quantity }) => {
    const left = quantity - (have.get(part.id) ?? 0);
    return left > 0 ? [{ what: part.name, quantity: left }] : [];
  });
}

/** How it lies in the vehicle, as far as that is bought. */
export interface AsLaid {
  readonly layout: LayoutFigures;
  readonly enclosures: readonly Enclosure[];
  readonly bond: Bond | null;
  readonly links: readonly BoardLink[];
}

/** Lines at what a supplier asks for them, as far as somebody took that over. */
const priced = (lines: readonly OrderLine[], prices: Design['prices']): OrderLine[] =>
  lines.map((l) => {
    const asked = prices[l.key];
    return asked ? { ...l, priceEach: asked.each, priced: { from: asked.from, on: asked.on, planned: l.priceEach } } : l;
  });

/** The complete list of parts and cuts for the runs that have a size. */
export function orderOf(design: Design, catalogue: Catalogue, runs: readonly SizedRun[], arrays: readonly SolarArray[], { layout, enclosures, bond, links }: AsLaid): Order {
  const fitted = runs.filter((r): r is Fitted => r.ok && !r.spec.existing);
  const basket = new Basket();
  addDevices(basket, design, catalogue);
  for (const run of fitted) addRun(basket, run);
  const multicores = multicoresOf(fitted);
  addMulticores((line, use) => basket.add(line, use), multicores);
  addShared((line, use) => basket.add(line, use), design);
  for (const array of arrays) addPanelFuses(basket, array);
  if (bond) addBond(basket, bond);
  for (const link of links) addLink(basket, link);
  addLeads((line, use) => basket.add(line, use), design, fitted);
  addWays((line, use) => basket.add(line, use), design, layout);
  addAir((line, use) => basket.add(line, use), layout);
  addBoxes((line, use) => basket.add(line, use), layout, enclosures);
  const lines = priced(basket.all(), design.prices);
  return {
    lines,
    later: laterOf(design, catalogue),
    cuts: [...fitted.flatMap((run) => [...cutsOf(run), ...leadCuts(design, run)]), ...multicores.map(multicoreCut), ...(bond ? [bondCut(bond)] : []), ...links.flatMap(linkCuts)],
    total: lines.reduce((sum, l) => sum + l.quantity * l.priceEach, 0),
    kg: lines.reduce((sum, l) => sum + l.kg, 0),
  };
}

/** Parts and cuts of some runs alone. */
export function orderOfRuns(runs: readonly Fitted[]): Pick<Order, 'lines' | 'cuts'> {
  const basket = new Basket();
  for (const run of runs) addRun(basket, run);
  return { lines: basket.all(), cuts: runs.flatMap(cutsOf) };
}

/** An order with more lines and cuts, alike ones together; each use and cut says whose they are. */
export function withMore(order: Order, more: Pick<Order, 'lines' | 'cuts'>, whose: string): Order {
  const lines = new Map(order.lines.map((l) => [l.key, l]));
  for (const l of more.lines) {
    const there = lines.get(l.key);
    lines.set(l.key, {
      ...l,
      ...(there?.priced ? { priceEach: there.priceEach, priced: there.priced } : {}),
      quantity: l.quantity + (there?.quantity ?? 0),
      kg: l.kg + (there?.kg ?? 0),
      uses: [...(there?.uses ?? []), ...l.uses.map((use) => `${whose}: ${use}`)],
    });
  }
  const all = [...lines.values()];
  return {
    ...order,
    lines: all,
    cuts: [...order.cuts, ...more.cuts.map((c) => ({ ...c, name: `${whose}: ${c.name}` }))],
    total: all.reduce((sum, l) => sum + l.quantity * l.priceEach, 0),
    kg: all.reduce((sum, l) => sum + l.kg, 0),
  };
}
