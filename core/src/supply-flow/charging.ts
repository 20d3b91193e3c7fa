import type { Assessment } from '../assess/index.js';
import type { Catalogue } from '../catalogue/index.js';
import type { Design } from '../design/index.js';
import { controllersOf, type Plant } from '../plant/index.js';
import { byEngine } from './by-engine.js';
import { byLead } from './by-lead.js';
import { byMains } from './by-mains.js';
import { bySun, lostWords } from './by-sun.js';
import { sunGiven } from './given.js';
import { lookAt, nameOf, regulates, type Look, type Part } from './look.js';
import { figure, sentence } from '../quantity/index.js';

/** Boxes of the same id once, with what each way says of it; ribbons between the same two of one sort once. */
function merged(parts: readonly Part[]): Part {
  const things = new Map<string, Part['things'][number]>();
  for (const t of parts.flatMap((x) => x.things)) {
    const known = things.get(t.id);
    things.set(t.id, known ? { ...known, says: [...known.says.slice(0, 1), ...t.says].slice(0, 3), looks: [...known.looks, ...t.looks] } : t);
  }
  return { things: [...things.values()], flows: parts.flatMap((x) => x.flows) };
}

/** Controllers that nothing feeds: they stand in the job and are drawn, so that panels can be hung on them or they are taken out. */
function idleControllers({ design, catalogue, p }: Look): Part['things'] {
  const known = new Set(p.converters.map((c) => c.ref.id));
  return controllersOf(design, catalogue)
    .filter(({ id }) => !known.has(id))
    .map(({ id, sunIn }) => ({
      id,
      column: 'converts' as const,
      title: sentence(design.converters[id]!.name || 'solar controller'),
      says: [regulates(sunIn)],
      looks: ['no panel feeds it'],
    }));
}

/** Chargers that neither an engine nor a lead nor the mains feeds: of the sun alone, or of nothing yet. */
function otherChargers(l: Look, drawn: Part['things']): Part['things'] {
  const known = new Set(drawn.map((t) => t.id));
  return l.p.converters
    .filter((c) => c.charges && !known.has(c.ref.id) && (c.ports.dcIn ?? c.ports.mainsIn) !== null && !c.ports.mainsOut)
    .map((c) => ({
      id: c.ref.id,
      column: 'converts' as const,
      title: nameOf(l, c.ref.id, c.part.name),
      says: [`${figure((c.ports.dcIn?.outputA ?? c.ports.mainsIn!.outputA) * c.share, 0)} A`],
      looks: c.inputs.length ? [] : ['nothing feeds it'],
    }));
}

/** Everything that charges: sources and what stands between them and the bank. */
export function charging(design: Design, catalogue: Catalogue, a: Assessment, p: Plant): Part {
  const l = lookAt(design, catalogue, a, p);
  const sun = sunGiven(design, catalogue, a);
  const fed = merged([byEngine(l), byLead(l), bySun(l, sun), byMains(l)]);
  const part: Part = { ...fed, things: [...fed.things, ...otherChargers(l, fed.things)] };
  // What the sun cannot use through a charger is told at the charger.
  const tells = new Map(sun.flatMap((g) => (g.array.regulator && g.array.throughCharger ? [[g.array.regulator.id, lostWords(g)] as const] : [])));
  return { ...part, things: [...part.things.map((t) => ({ ...t, looks: [...t.looks, ...(tells.get(t.id) ?? [])] })), ...idleControllers(l)] };
}
