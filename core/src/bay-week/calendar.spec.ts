import { halfDaysOf, planCalendar, savings, shopWeekSchema, type ShopJob, type ShopWeek, USUAL_JOB, usualShop, workdays } from './index.js';

// A Monday.
const MONDAY = '2026-12-07';
const day = (n: number): string => new Date(Date.parse(MONDAY) + n * 86_400_000).toISOString().slice(0, 10);
const job = (id: string, hours: number, promisedOn: string | null, licensed = false): ShopJob => ({ id, name: id, minutes: 60 * hours, licensed, promisedOn, partsBy: null });
const shop = (change: Partial<ShopWeek> = {}): ShopWeek => ({ ...usualShop('Kit'), ...change });
const two = shop({
  bays: ['A', 'B'],
  people: [
    { id: 'kit', name: 'Kit', skill: 'senior', away: [] },
    { id: 'wren', name: 'Wren', skill: 'any', away: [] },
  ],
});
const SIX = [job('vet', 16, day(1)), job('bus', 12, day(2)), job('survey', 20, day(4)), job('bees', 6, day(4)), job('tower', 24, day(8)), job('play', 4, null)];

describe('the bay’s week by the calendar', () => {
  it('works Monday to Friday, and the Saturdays that are said', () => {
    expect(workdays('2026-12-05', []).slice(0, 2)).toEqual([day(0), day(1)]);
    expect(workdays(day(4), [day(5)]).slice(0, 3)).toEqual([day(4), day(5), day(7)]);
    expect(workdays(MONDAY, []).length).toBe(10);
  });

  it('takes work by the half-day that was begun', () => expect([0, 60, 240, 241, 960].map((m) => halfDaysOf(m, 8))).toEqual([1, 1, 1, 2, 4]));

  it('gives six jobs their bays and people so that no promise is broken that can be kept', () => {
    const { blocks, left, clash, proved } = planCalendar(two, SIX, MONDAY);
    expect([left, clash, proved, blocks.filter((b) => b.late).map((b) => b.job)]).toEqual([[], null, true, []]);
    for (const hold of ['bay', 'person'] as const) {
      const taken = blocks.flatMap((b) => Array.from({ length: b.halfDays }, (_, i) => `${b[hold]} ${b.start + i}`));
      expect(new Set(taken).size).toBe(taken.length);
    }
  });

  it('waits for what is ordered, unless somebody says another day, and says that the parts today would save it', () => {
    const waiting = { ...job('vet', 8, day(1)), partsBy: day(3) };
    const start = (week: ShopWeek): string => {
      const { blocks } = planCalendar(week, [waiting], MONDAY);
      return workdays(MONDAY, week.saturdays)[Math.floor(blocks[0]!.start / 2)]!;
    };
    expect(start(shop())).toBe(day(3));
    expect(start(shop({ jobs: { vet: { ...USUAL_JOB, partsOn: day(1) } } }))).toBe(day(1));
    const plan = planCalendar(shop(), [waiting], MONDAY);
    expect(savings(shop(), [waiting], MONDAY, plan)[0]!.what).toBe('parts today');
  });

  it('plans anew when parts slip, and moves nothing that is fixed', () => {
    const fixed: ShopWeek = { ...two, jobs: { bus: { ...USUAL_JOB, fixed: { bay: 'B', on: day(0), half: 1 } } } };
    const before = planCalendar(fixed, SIX, MONDAY);
    expect(before.blocks.find((b) => b.job === 'bus')).toEqual(jasmine.objectContaining({ bay: 'B', start: 1, fixed: true }));
    const slipped: ShopWeek = { ...fixed, jobs: { ...fixed.jobs, vet: { ...USUAL_JOB, partsOn: day(2) } } };
    const after = planCalendar(slipped, SIX, MONDAY);
    expect(after.blocks.find((b) => b.job === 'bus')).toEqual(before.blocks.find((b) => b.job === 'bus'));
    expect(after.blocks.find((b) => b.job === 'vet')!.start).toBeGreaterThanOrEqual(4);
    expect(after.blocks.find((b) => b.job === 'vet')!.late).toBeGreaterThan(0);
    // What would save it: the parts today, and it says what then is left.
    const [first] = savings(slipped, SIX, MONDAY, after);
    expect([first!.what, first!.on, first!.lateness]).toEqual(['parts today', 'vet', 0]);
  });

  it('says what a Saturday or another person would save', () => {
    const jobs = [job('a', 40, day(6)), job('b', 8, day(6))];
    const plan = planCalendar(shop(), jobs, MONDAY);
    expect(plan.lateness).toBeGreaterThan(0);
    expect(savings(shop(), jobs, MONDAY, plan).map((s) => s.what)).toContain('a Saturday');
    expect(savings(two, SIX, MONDAY, planCalendar(two, SIX, MONDAY))).toEqual([]);
  });

  it('ends a job of the licensed electrician’s on one of his days, and knows when none is said', () => {
    const jobs = [job('a', 4, null, true)];
    expect(planCalendar(shop({ licensedOn: [day(2)] }), jobs, MONDAY).blocks[0]!.start).toBe(4);
    expect(planCalendar(shop(), jobs, MONDAY).blocks[0]!.start).toBe(0);
  });

  it('leaves out what no days here can hold, and tells promises that cannot all be kept', () => {
    const long = planCalendar(shop(), [job('house', 400, null), job('a', 4, null)], MONDAY);
    expect([long.left, long.clash!.error, long.blocks.map((b) => b.job)]).toEqual([['house'], 'no-place', ['a']]);
    const fix = { ...USUAL_JOB, fixed: { bay: 'Bay 1', on: MONDAY, half: 0 as const } };
    const clash = planCalendar(shop({ jobs: { a: fix, b: fix } }), [job('a', 4, null), job('b', 4, null)], MONDAY);
    expect([clash.clash!.error, clash.blocks]).toEqual(['fixed-clash', []]);
  });

  it('lets a job that has begun go on where it stands', () => {
    const begun = shop({ jobs: { a: { ...USUAL_JOB, fixed: { bay: 'Bay 1', on: '2026-12-03', half: 0 } } } });
    expect(planCalendar(begun, [job('b', 4, MONDAY), job('a', 12, null)], MONDAY).blocks.find((b) => b.job === 'a')!.start).toBe(0);
  });

  it('is refused with no bay, with nobody, with two bays of one name', () => {
    const says = (change: Partial<ShopWeek>): string | undefined => shopWeekSchema.safeParse(shop(change)).error?.issues[0]?.message;
    expect([says({ bays: [] }), says({ people: [] }), says({ bays: ['A', 'A'] })]).toEqual([
      'one bay or more is accepted',
      'one person or more is accepted',
      'a name that no other bay has is accepted',
    ]);
  });
});
