import type { Customer } from '@meridex/contract';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

const NOTHING = { phone: '', email: '', address: '', note: '' };

describe('the customers of a workshop', () => {
  let shed: TwoWorkshops;
  beforeAll(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterAll(() => shed?.close());

  const all = async (as = shed.cookie): Promise<readonly Customer[]> => (await shed.call('GET', '/api/customers', undefined, as)).json();
  const named = async (name: string): Promise<Customer> => (await all()).find((c) => c.name === name)!;
  const open = async (customer: string): Promise<string> => (await shed.call('POST', '/api/jobs', { customer, promisedOn: null })).json<{ id: string }>().id;

  it('come with their jobs, and are seen by no other workshop', async () => {
    const id = await open('Magpie Hall');
    await open('Magpie Hall');
    const hall = await named('Magpie Hall');
    expect(hall.jobs.length).toBe(2);
    expect(hall.jobs.map((j) => j.id)).toContain(id);
    expect(hall.jobs[0]).toEqual(jasmine.objectContaining({ state: 'planning', promisedOn: null, plate: '' }));
    expect((await all(shed.other)).map((c) => c.name)).not.toContain('Magpie Hall');
  });

  it('are reached as somebody said, on the bay sheet too', async () => {
    await open('Heron Hire');
    const { id } = await named('Heron Hire');
    const said = { phone: ' 0000 555 201 ', email: 'desk@heron.example', address: '3 Reed Lane', note: 'ask for the yard' };
    expect((await shed.call('PUT', `/api/customers/${id}`, said)).statusCode).toBe(204);
    expect(await named('Heron Hire')).toEqual(jasmine.objectContaining({ ...said, phone: '0000 555 201' }));
    const { lines } = (await shed.call('GET', '/api/jobs')).json<{ lines: { customer: string; phone: string }[] }>();
    expect(lines.find((l) => l.customer === 'Heron Hire')!.phone).toBe('0000 555 201');
  });

  it('are reached by those who work here, not by who looks in from outside', async () => {
    const { token } = (await shed.call('POST', '/api/people/invites', { role: 'reviewer' })).json<{ token: string }>();
    const joined = await shed.call('POST', `/api/invites/${token}`, { name: 'Rae', email: 'rae@outside.example', password: 'a long enough one' }, '');
    const rae = String(joined.headers['set-cookie']).split(';')[0]!;
    const asked = await shed.call('GET', '/api/customers', undefined, rae);
    expect([asked.statusCode, asked.json<{ message: string }>().message]).toEqual([403, jasmine.stringMatching(/^A reviewer may not see how customers are reached; an owner/)]);
    const { lines } = (await shed.call('GET', '/api/jobs', undefined, rae)).json<{ lines: { phone: string }[] }>();
    expect(lines.length).toBeGreaterThan(0);
    expect(lines.filter((l) => l.phone)).toEqual([]);
  });

  it('stay while they have no job, if anything was said of them; without a word they are gone', async () => {
    const [kept, gone] = [await open('Egret Kept'), await open('Egret Gone')];
    await shed.call('PUT', `/api/customers/${(await named('Egret Kept')).id}`, { ...NOTHING, note: 'comes back in spring' });
    for (const id of [kept, gone]) await shed.call('PATCH', `/api/jobs/${id}`, { deleted: true });
    expect((await named('Egret Kept')).jobs).toEqual([]);
    expect(await named('Egret Gone')).toBeUndefined();
  });

  it('are refused with the field where what is said makes no sense, and of another workshop altogether', async () => {
    await open('Ibis Works');
    const { id } = await named('Ibis Works');
    const put = async (body: object, as?: string): Promise<readonly [number, string]> => {
      const r = await shed.call('PUT', `/api/customers/${id}`, body, as);
      return [r.statusCode, r.json<{ message: string }>().message];
    };
    expect(await put({ ...NOTHING, email: 'at the desk' })).toEqual([400, jasmine.stringMatching(/^email: .*front\.desk@hall\.example/)]);
    expect(await put({ ...NOTHING, phone: '1'.repeat(61) })).toEqual([400, jasmine.stringMatching(/^phone: .*up to 60 letters/)]);
    expect(await put({ ...NOTHING, note: 'mine now' }, shed.other)).toEqual([404, 'This customer is not in your workshop.']);
    expect((await named('Ibis Works')).note).toBe('');
  });
});
