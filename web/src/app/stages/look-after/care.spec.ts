import { onBench } from '../../testing/bench';
import { careFile } from './care-file';
import { CareSheet } from './care';

describe('care to come', () => {
  it('stands from the day that the vehicle left, the joints first; a turn that is done makes way for the next', async () => {
    const { element, bench, settle } = await onBench(CareSheet, 'bees', (d) => void (d.brief.careFrom = '2026-12-01'));
    expect(element.querySelector('.next')!.textContent).toMatch(/next, 1 Jan 2027: Re-tighten the \d+ bolted joints/);
    element.querySelector<HTMLInputElement>('[data-care=care-joints-1] input')!.click();
    await settle();
    expect(bench.ticked().has('care-joints-1')).toBeTrue();
    expect(element.querySelector('.next')!.textContent).not.toContain('Re-tighten');
  });

  it('is counted from today until then, and nothing can be ticked', async () => {
    const { element } = await onBench(CareSheet, 'bees');
    expect(element.textContent).toContain('It has not left yet');
    expect([...element.querySelectorAll<HTMLInputElement>('.tick input')].every((i) => i.disabled)).toBeTrue();
    expect(element.querySelectorAll('tr.over').length).toBe(0);
  });

  it('says what is overdue', async () => {
    const { element } = await onBench(CareSheet, 'bees', (d) => void (d.brief.careFrom = '2020-01-01'));
    expect(element.querySelector('tr.over')!.textContent).toContain('1 Feb 2020');
    // Years later there is still something to come.
    expect([...element.querySelectorAll('tbody tr')].some((r) => !r.classList.contains('over'))).toBeTrue();
  });

  it('goes out as a calendar: a day that comes again for each task, told of a week before', () => {
    const text = careFile([{ id: 'joints', what: 'Re-tighten', why: 'copper settles', by: 'workshop', firstMonths: 1, everyMonths: 12, minutes: 20 }], '2026-12-01', {
      id: 'job-1',
      customer: 'Cinderbush Orchard Bees',
    });
    const lines = text.replace(/\r\n[ \t]/g, '').split('\r\n');
    for (const line of ['UID:job-1-care-joints-1@meridex', 'DTSTART;VALUE=DATE:20270101', 'RRULE:FREQ=MONTHLY;INTERVAL=12', 'DTEND;VALUE=DATE:20270102', 'TRIGGER:-PT168H'])
      expect(lines).toContain(line);
    expect(lines.filter((l) => l === 'BEGIN:VEVENT').length).toBe(1);
  });
});
