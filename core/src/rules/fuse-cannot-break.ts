import { plant } from '../plant/index.js';
import { FUSE_KINDS } from '../protection/index.js';
import { faultCurrent, rating } from '../quantity/index.js';
import type { RunFuse, RunSpec } from '../routes/index.js';
import { asUsual, press, takeBlock } from './press.js';
import type { Found, Rule, Severity } from './rule.js';

interface Weak {
  readonly spec: RunSpec;
  readonly f: RunFuse;
}

/** Ways that a board keeps for later, where one is to be had that does. */
const SPARE_WAYS = 2;

/** One finding for all fuses of a block that the same fuse before it backs up. */
function backedUp(weak: readonly Weak[], severity: Severity): Found[] {
  const runs = [...new Set(weak.flatMap(({ f }) => f.backedBy?.run ?? []))];
  return runs.map((run): Found => {
    const of = weak.filter(({ f }) => f.backedBy?.run === run);
    const { spec, f } = of[0]!;
    return {
      at: { stage: 'protection', about: run },
      severity,
      values: {
        what: 'backed up',
        many: of.length,
        block: spec.from.name,
        kind: FUSE_KINDS[f.type].name,
        short: faultCurrent(Math.max(...of.map((w) => w.f.maxA))),
        breaks: faultCurrent(f.breakingA),
        backed: f.backedBy!.name,
      },
    };
  });
}

export const fuseCannotBreak: Rule = {
  id: 'fuse-cannot-break',
  severity: 'stop',
  harm: 'fire',
  basis:
    'largest prospective current of the fuse’s own branch with a link in its place (IEC 60050-441-17-01), batteries full and cold, against its breaking capacity; a block’s fuse backed up by one before it that breaks the whole',
  why: 'A fuse that cannot break a short goes on burning as an arc.',
  test: ({ runs, design }) => {
    const weak = runs.flatMap((r) => (r.ok ? r.figures.fuses.filter((f) => f.maxA > f.breakingA).map((f) => ({ spec: r.spec, f })) : []));
    const alone = weak
      .filter(({ f }) => f.backedBy === null)
      .map(({ spec, f }) => ({
        at: { stage: 'protection' as const, about: spec.id },
        values: { run: spec.name, kind: FUSE_KINDS[f.type].name, fuse: rating(f.ratingA), short: faultCurrent(f.maxA), breaks: faultCurrent(f.breakingA), backed: '' },
      }));
    const { backup } = design.settings;
    return backup === 'note' ? alone : [...alone, ...backedUp(weak, backup)];
  },
  presses: ({ at }, { design, catalogue, runs }) => {
    const run = runs.find((r) => r.spec.id === at.about);
    const blocks = plant(design, catalogue).distribution.filter((d) => d.part?.kind === 'fuse-block');
    const block = run?.ok ? blocks.find((b) => b.ref.id === run.spec.from.gear || b.ref.id === run.spec.to.gear) : undefined;
    const now = catalogue.find('fuse-block', block?.part?.id ?? null);
    if (!run || !block || !now || now.holds === 'cartridge') return [];
    const used = runs.filter((r) => r.spec.from.gear === block.ref.id).length;
    const boards = catalogue
      .usual('fuse-block')
      .filter((p) => p.holds === 'cartridge' && p.ways >= used && p.totalA >= run.spec.lastingA)
      .sort((a, b) => a.ways - b.ways);
    const better = boards.find((p) => p.ways >= used + SPARE_WAYS) ?? boards.at(-1);
    return better ? [asUsual(press(design, `Take the ${better.name}`, (d) => takeBlock(d, block.ref.id, better.id)))] : [];
  },
  say: (v) =>
    v['backed']
      ? `${v['many']} ${v['kind']} fuses of the ${v['block']}: a short gives up to ${v['short']}, they break ${v['breaks']}, and are backed up by the ${v['backed']}.`
      : `${v['run']}: a short gives ${v['short']}; the ${v['kind']} fuse of ${v['fuse']} A breaks ${v['breaks']}.`,
  fix: (v) =>
    v['backed']
      ? 'A longer or thinner feed, or a block that breaks more, ends it; behind the fuse that backs it up it may stay, if the workshop takes that.'
      : 'A high-breaking main fuse nearer the battery, a kind that breaks more, or a longer or thinner feed before it.',
};
