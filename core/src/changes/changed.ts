import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import { vehicleName } from '../couplings/index.js';
import { type Design, type FurtherVehicle, gearKey, patchBetween, refTo, valueAt } from '../design/index.js';
import { fieldWords, valueWords } from './words.js';

/** One value that is another one than before: of which thing, which field, in words. */
export interface Changed {
  readonly thing: string;
  readonly field: string;
  readonly from: string;
  readonly to: string;
}

/** What the words of a change are looked up in: both documents, and what they come to. */
export interface Look {
  readonly before: Design;
  readonly after: Design;
  readonly a: Assessment;
  readonly b: Assessment;
  readonly catalogue: Catalogue;
}

const THINGS = ['banks', 'arrays', 'inlets', 'converters', 'links', 'distribution', 'switchgear', 'monitors', 'loads', 'groups'] as const;
const SECTIONS: Readonly<Record<string, string>> = {
  brief: 'brief',
  supply: 'supply',
  settings: 'the workshop’s way',
  vehicle: 'own vehicle',
  board: 'the board',
  air: 'fans',
  parts: 'own parts',
  couplings: 'joins of vehicles',
};

type Named = Readonly<Record<string, { readonly name?: string } | undefined>>;
const isThing = (section: string): section is (typeof THINGS)[number] => (THINGS as readonly string[]).includes(section);
const sentence = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** What a path's first two steps name: a load, a run, a piece of gear, or a part of the document. */
function thingOf({ a, b }: Look, of: Design | FurtherVehicle, section: string, key: string): string {
  const ofB = <T>(find: (x: Assessment) => T | undefined): T | undefined => find(b) ?? find(a);
  if (section === 'runs') return ofB((x) => x.runs.find((r) => r.spec.id === key)?.spec.name) ?? key;
  if (section === 'accepted') return 'Checks';
  if (section === 'bought' || section === 'prices') return sentence(of.bought[key]?.what || key);
  if (section === 'multicores') return sentence(of.multicores[key]?.name || 'multi-core');
  const gear = section === 'places' ? key : isThing(section) ? gearKey(refTo(section === 'inlets' ? 'outlets' : section, key)) : null;
  const typed = isThing(section) ? (of as unknown as Record<string, Named>)[section]?.[key]?.name : undefined;
  const drafted = gear === null ? undefined : ofB((x) => x.gear.find((g) => g.id === gear)?.name);
  const name = typed || drafted;
  return sentence(name ?? (isThing(section) ? `${section.replace(/s$/, '')} ${key}` : (SECTIONS[section] ?? section)));
}

/** The unit of a value that stands beside it: a draw in W, A or Ah. */
function unitBeside(design: Design, path: string): string {
  const holder = valueAt(design, path.slice(0, path.lastIndexOf('/')));
  const unit = whole(holder) ? (holder as { readonly unit?: unknown }).unit : undefined;
  return typeof unit === 'string' ? unit : '';
}

const whole = (value: unknown): boolean => typeof value === 'object' && value !== null && !Array.isArray(value);

const DRAFTED = 'as drafted';
type Fields = Readonly<Record<string, unknown>> | undefined;

/** What was set by hand or signed for is told by its own words: before and after it stands what the draft says. */
function setByHand(section: string, was: Fields, is: Fields): readonly Omit<Changed, 'thing'>[] | null {
  if (section === 'places') return [{ field: 'place', from: was ? 'set by hand' : DRAFTED, to: is ? 'set by hand' : DRAFTED }];
  const signed = (x: Fields): string => (x ? `accepted by ${String(x['by'])}: ${String(x['reason'])}` : 'open');
  if (section === 'accepted') return [{ field: 'finding', from: signed(was), to: signed(is) }];
  if (section !== 'runs') return null;
  return [...new Set([...Object.keys(was ?? {}), ...Object.keys(is ?? {})])].map((key) => {
    const { words, unit } = fieldWords(key);
    const said = (x: Fields): string => (x?.[key] === undefined || x[key] === null ? DRAFTED : valueWords(x[key], unit, () => null));
    return { field: words, from: said(was), to: said(is) };
  });
}

function oneChange(look: Look, path: string): readonly Changed[] {
  const { before, after, catalogue } = look;
  const steps = path.split('/').slice(1);
  const inVehicle = steps[0] === 'vehicles' && steps.length > 2;
  const [section = '', key = '', ...rest] = inVehicle ? steps.slice(2) : steps;
  const of = inVehicle ? (after.vehicles[steps[1]!] ?? before.vehicles[steps[1]!] ?? after) : after;
  const keyed =
    isThing(section) || section === 'runs' || section === 'places' || section === 'accepted' || section === 'vehicles' || section === 'multicores' || section === 'bought' || section === 'prices';
  const field = keyed ? rest : [key, ...rest];
  const { words, unit: named } = fieldWords(field.at(-1) ?? '');
  const where = inVehicle ? `${vehicleName(after, steps[1]!)}: ` : '';
  const thing =
    section === 'vehicles' ? vehicleName(key in after.vehicles ? after : before, key) : thingOf(look, key in ((of as unknown as Record<string, Named>)[section] ?? {}) ? of : before, section, key);
  const [was, is] = [valueAt(before, path), valueAt(after, path)];
  const unit = named || unitBeside(after, path);
  const byHand = rest.length ? null : setByHand(section, was as Fields, is as Fields);
  if (byHand) return byHand.map((c) => ({ thing: where + thing, ...c }));
  const name = (id: string): string | null => catalogue.parts.find((p) => p.id === id)?.name ?? null;
  const said = (value: unknown, other: unknown): string => (whole(value) ? (other === undefined ? 'in it' : 'set') : value === undefined ? 'not in it' : valueWords(value, unit, name));
  const told = [...field.slice(0, -1).map((f) => fieldWords(f).words), words].filter(Boolean).join(', ');
  return [{ thing: where + thing, field: told, from: said(was, is), to: said(is, was) }];
}

/** Every value in which two documents of a job differ, in words, in the order of the document. */
export function changedValues(look: Look): Changed[] {
  const paths = [...new Set(patchBetween(look.before, look.after).map((op) => op.path))];
  return paths.flatMap((path) => oneChange(look, path)).filter((c) => c.from !== c.to);
}
