import { assess } from '../assess/index.js';
import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { DEMO_JOBS } from '../demo/index.js';
import { copyDesign, type Design } from '../design/index.js';
import { boxBank } from '../places/index.js';
import { careCalendar, careTasks, careTick, dayOfTurn, monthsSince, nextCare, storageOf, type CareTask } from './index.js';

const demo = (key: string): Design => copyDesign(DEMO_JOBS.find((j) => j.key === key)!.design);
const tasks = (d: Design): readonly CareTask[] => careTasks(d, SHIPPED_CATALOGUE, assess(d, SHIPPED_CATALOGUE));
const ids = (d: Design): readonly string[] => tasks(d).map((t) => t.id);

describe('care of a rig', () => {
  it('is of what is in it: every lug that was ordered is a joint to re-tighten', () => {
    const a = assess(demo('vet'), SHIPPED_CATALOGUE);
    const lugs = a.order.lines.filter((l) => l.key.startsWith('lug ')).reduce((sum, l) => sum + l.quantity, 0);
    const [joints] = careTasks(demo('vet'), SHIPPED_CATALOGUE, a);
    expect([joints!.id, joints!.what]).toEqual(['joints', jasmine.stringContaining(`the ${lugs} bolted joints`)]);
    expect(joints!.minutes).toBe(Math.ceil(lugs / 2));
  });
  it('has nothing of what is not there', () => {
    expect(ids(demo('bees'))).not.toContain('rcd');
    expect(ids(demo('bookmobile'))).toContain('rcd');
    expect(ids(demo('bees'))).toContain('set-points');
    expect(ids(demo('vet'))).not.toContain('bank-water');
    expect(ids(demo('vet'))).not.toContain('bank-strings');
    expect(ids(demo('bookmobile'))).toContain('bank-strings');
  });
  it('comes with what is added: a fan’s filter, a box’s seal', () => {
    const d = demo('bees');
    d.air['box'] = { outM3h: 60, inM3h: 60, fromC: 40 };
    expect(tasks(d).find((t) => t.id === 'fans')!.everyMonths).toBe(3);
    const boxed = boxBank({ ...demo('bookmobile'), places: {}, board: null }, SHIPPED_CATALOGUE)!;
    expect(ids(boxed)).toContain('boxes');
  });
  it('says how each chemistry is left standing', () => {
    expect(storageOf(demo('vet'), SHIPPED_CATALOGUE)).toContain('half full');
    expect(storageOf(demo('bees'), SHIPPED_CATALOGUE)).toContain('full, on a maintainer; AGM');
  });
  it('leaves the 230 V side to whom it belongs', () => expect(tasks(demo('bookmobile')).find((t) => t.id === 'mains')!.by).toBe('licensed electrician'));
});

describe('the calendar of care', () => {
  const turns = careCalendar(tasks(demo('vet')), '2026-12-01', 24);
  it('stands in order of days, each turn once, within its months', () => {
    expect(turns.map((t) => t.on)).toEqual([...turns.map((t) => t.on)].sort());
    expect(new Set(turns.map((t) => careTick(t.task.id, t.turn))).size).toBe(turns.length);
    expect(turns.every((t) => t.on > '2026-12-01' && t.on <= '2028-12-01')).toBeTrue();
  });
  it('has the joints after a month, then every year', () => {
    expect(turns.filter((t) => t.task.id === 'joints').map((t) => t.on)).toEqual(['2027-01-01', '2028-01-01']);
  });
  it('keeps to the end of a short month, and comes back to the day after it', () => {
    const monthly = { firstMonths: 1, everyMonths: 1 };
    expect([1, 2, 3].map((n) => dayOfTurn(monthly, '2027-01-31', n))).toEqual(['2027-02-28', '2027-03-31', '2027-04-30']);
  });
  it('goes on after years: months are counted to the day that it is looked at', () => {
    expect([monthsSince('2020-01-31', '2026-12-01'), monthsSince('2026-12-01', '2026-11-01')]).toEqual([82, 0]);
  });
  it('is empty where nothing falls due', () => expect(careCalendar(tasks(demo('vet')), '2026-12-01', 0)).toEqual([]));
});

describe('what is next to be looked after', () => {
  const task = (id: string, firstMonths: number, everyMonths: number): CareTask => ({ id, what: id, why: '', by: 'workshop', firstMonths, everyMonths, minutes: 10 });
  const tasks = [task('joints', 1, 12), task('test', 6, 6)];
  it('is the earliest turn that nobody ticked, whether its day has passed or not', () => {
    const next = (today: string, ...ticked: string[]) => {
      const t = nextCare(tasks, '2026-01-10', today, new Set(ticked));
      return t && [t.task.id, t.turn, t.on];
    };
    expect(next('2026-01-11')).toEqual(['joints', 1, '2026-02-10']);
    expect(next('2030-01-11')).toEqual(['joints', 1, '2026-02-10']);
    expect(next('2026-03-01', 'care-joints-1')).toEqual(['test', 1, '2026-07-10']);
    expect(next('2026-03-01', 'care-joints-1', 'care-test-1', 'care-test-2')).toEqual(['joints', 2, '2027-02-10']);
    expect(nextCare([], '2026-01-10', '2026-01-11', new Set())).toBeNull();
  });
});
