import { assess, type Assessment } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { circuitPlan, NAMED_STATES, stateFigures } from '../circuit/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { blankDesign, USES, VEHICLE_KINDS, type Design, supplyOf } from '../design/index.js';
import { buildDiagram } from '../diagram/index.js';
import { inWords } from '../rules/index.js';
import { threeDrafts } from './drafts.js';
import { applyIntake, intakeOf, type Intake } from './intake.js';
import { takeDraft } from './take.js';

/** What the fans of a box may draw of a bank that the draft before does without, as a share of it. */
const FANS_SHARE = 0.005;

/** A new job after ten answers, with the sound draft's supply: what one click gives. */
function afterIntake(intake: Intake): Design {
  const job = applyIntake(blankDesign('a new customer'), intake);
  const sound = threeDrafts(job, SHIPPED_CATALOGUE).find((d) => d.tier === 'sound')!;
  return takeDraft(job, sound.design);
}

/** Drafts that a rule fires on, by rule, over all vehicles and uses. */
const firesOn = new Map<string, number>();
let drafted = 0;

describe('a whole job from ten answers', () => {
  afterAll(() => {
    for (const [rule, n] of firesOn)
      expect(n)
        .withContext(`drafts of ${drafted} that ${rule} fires on`)
        .toBeLessThanOrEqual(Math.max(3, drafted / 3));
  });
  for (const { key, design } of DEMO_JOBS) {
    describe(`as ${design.brief.customer} would give them`, () => {
      const job = afterIntake(intakeOf(design));
      const a: Assessment = assess(job, SHIPPED_CATALOGUE);

      it('give a circuit in which every run has its size and every fuse does its work, with nothing to stop it', () => {
        expect(a.runs.length).withContext(key).toBeGreaterThan(5);
        expect(a.runs.filter((r) => !r.ok).map((r) => r.spec.name)).toEqual([]);
        expect(a.open.filter((f) => f.severity === 'stop').map((f) => f.key)).toEqual([]);
        for (const r of a.runs)
          for (const f of r.ok ? r.figures.fuses : [])
            expect((f.maxA <= f.breakingA || f.backedBy !== null) && (!f.fault || (f.fault.cableSurvives && f.fault.clearsIn5s)))
              .withContext(r.spec.name)
              .toBeTrue();
      });

      it('give every load a run or the inverter, and every run a reason', () => {
        for (const [id, load] of Object.entries(job.loads))
          expect(load.supply === 'mains' ? supplyOf(job).inverter !== null : a.runs.some((r) => r.spec.id === `load-${id}`))
            .withContext(load.name)
            .toBeTrue();
        expect(a.runs.every((r) => r.spec.reason.length > 10)).toBeTrue();
        expect(a.inline.map((p) => p.id)).toEqual(['switch', 'shunt', 'disconnect']);
      });

      it('give a circuit that can be drawn and that stands in every named state', () => {
        const diagram = buildDiagram({ design: job, gear: a.gear, runs: a.runs, inline: a.inline, leads: a.layout.leads, bond: a.bond });
        const ids = new Set(diagram.nodes.map((n) => n.id));
        expect(diagram.lines.every((l) => ids.has(l.from.node) && ids.has(l.to.node))).toBeTrue();
        const plan = circuitPlan(job, SHIPPED_CATALOGUE, a)!;
        for (const [name, state] of Object.entries(NAMED_STATES)) {
          const r = stateFigures(plan, state);
          expect(r.ok || name === 'main switch open')
            .withContext(`${name}: ${r.ok ? '' : r.say}`)
            .toBeTrue();
        }
      });

      it('give the same circuit again', () => expect(assess(afterIntake(intakeOf(design)), SHIPPED_CATALOGUE).runs).toEqual(a.runs));
    });
  }

  for (const vehicleKind of VEHICLE_KINDS)
    it(`give three drafts for every use of a ${vehicleKind}, each without a stop but for a trip that it says it does not stand, and no size above what its terminals take`, () => {
      for (const use of USES)
        for (const houseV of vehicleKind === 'light-truck' ? ([24, 12] as const) : ([12] as const)) {
          const blank = blankDesign('anyone');
          blank.brief.use = use;
          const job = applyIntake(blank, { ...intakeOf(blank), vehicleKind });
          job.supply.houseV = houseV;
          const drafts = threeDrafts(job, SHIPPED_CATALOGUE);
          drafts.slice(1).forEach((d, i) =>
            expect(d.lowDull)
              .withContext(`${vehicleKind} ${use} ${d.tier} is not behind ${drafts[i]!.tier} on dull days`)
              .toBeGreaterThanOrEqual(drafts[i]!.lowDull - FANS_SHARE),
          );
          for (const draft of drafts) {
            const a = assess(takeDraft(job, draft.design), SHIPPED_CATALOGUE);
            drafted++;
            for (const rule of new Set(a.open.map((f) => f.rule))) firesOn.set(rule, (firesOn.get(rule) ?? 0) + 1);
            const stops = a.open.filter((f) => f.severity === 'stop').map((f) => f.rule);
            const what = `${vehicleKind} ${use} ${houseV} V ${draft.tier}`;
            expect(draft.stands ? stops : stops.filter((r) => r !== 'trip-runs-low'))
              .withContext(what)
              .toEqual([]);
            const places = a.open.filter((f) => ['bend-too-tight', 'out-of-hand', 'place-too-wet', 'place-clash', 'place-in-the-way'].includes(f.rule));
            expect(places.map((f) => inWords(f).say))
              .withContext(what)
              .toEqual([]);
            for (const r of a.runs)
              expect(r.ok && r.figures.areaMm2 <= (r.spec.maxAreaMm2 ?? Infinity))
                .withContext(`${what} ${r.spec.name}`)
                .toBeTrue();
          }
        }
    });
});
