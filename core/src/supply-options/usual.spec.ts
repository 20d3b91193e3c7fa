import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { blankDesign, type Design } from '../design/index.js';
import { boxesOf, boxOfBank } from '../places/index.js';
import { plant } from '../plant/index.js';
import { vehicleOf } from '../vehicle/index.js';
import { threeDrafts } from './drafts.js';
import { afterCommands } from './from-answers.js';
import { applyIntake, intakeOf } from './intake.js';
import { takeDraft } from './take.js';

const asked = (vehicleKind: Design['brief']['vehicleKind'], backup: Design['settings']['backup'] = 'look'): Design => {
  const blank = blankDesign('anyone');
  blank.settings.backup = backup;
  return applyIntake(blank, { ...intakeOf(blank), vehicleKind });
};
const drafts = (job: Design) => threeDrafts(job, SHIPPED_CATALOGUE);
const holds = (d: Design): readonly string[] => plant(d, SHIPPED_CATALOGUE).distribution.flatMap((b) => (b.part?.kind === 'fuse-block' ? [b.part.holds] : []));
const rules = (d: Design): readonly string[] => assess(d, SHIPPED_CATALOGUE).open.map((f) => f.rule);

describe('what a draft fits unasked', () => {
  it('is a board that breaks the short, where blades do not; said on its card', () => {
    const job = asked('canopy-ute');
    const [, sound] = drafts(job);
    expect(holds(sound!.design)).toEqual(['cartridge']);
    expect(sound!.why.join()).toContain('cartridges, not blades');
    expect(rules(takeDraft(job, sound!.design))).not.toContain('fuse-cannot-break');
  });

  it('is the blade block where the workshop takes blades behind the main fuse, and no finding', () => {
    const job = asked('canopy-ute', 'note');
    const [, sound] = drafts(job);
    expect(holds(sound!.design)).toEqual(['blade']);
    expect(rules(takeDraft(job, sound!.design))).not.toContain('fuse-cannot-break');
    // It is a way of judging, not another circuit: the same plan is looked at under the usual rule.
    const looked = takeDraft(job, sound!.design);
    looked.settings.backup = 'look';
    expect(rules(looked)).toContain('fuse-cannot-break');
  });

  it('is a sealed box round a battery among people, of the size of the battery that is taken', () => {
    const job = asked('van');
    const [lean, , roomy] = drafts(job);
    const first = takeDraft(job, lean!.design);
    const then = takeDraft(first, roomy!.design);
    for (const d of [first, then]) {
      expect(boxesOf(vehicleOf(d)).length).toBe(1);
      expect(boxOfBank(d, SHIPPED_CATALOGUE)).not.toBeNull();
      expect(rules(d)).not.toContain('battery-among-people');
      expect(rules(d)).not.toContain('box-empty');
    }
    expect(takeDraft(then, lean!.design)).toEqual(first);
  });

  it('is not fitted into a job that stands, by a command', () => {
    const job = asked('canopy-ute', 'note');
    const standing = takeDraft(job, drafts(job)[1]!.design);
    standing.settings.backup = 'look';
    const after = afterCommands(standing, [{ do: 'addArray', with: { part: 'pv-200' } }]);
    expect(after.ok && holds(after.design)).toEqual(['blade']);
  });
});
