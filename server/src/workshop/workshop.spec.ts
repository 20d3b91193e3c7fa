import { blankDesign, type Design } from '@meridex/core';
import pg from 'pg';
import { headLine } from '../paper/head.js';
import { twoWorkshops, type TwoWorkshops } from '../testing/workshops.js';

const { settings } = blankDesign('');
const SHED = {
  name: 'Siding Lane Electrics',
  address: '9 Siding Lane\nWirrabel',
  phone: '0000 555 099',
  licence: 'EL 0042',
  logo: '',
  rules: { ...settings, series: 'gauge' as const, torqueNm: { ...settings.torqueNm, M8: 9 } },
};

describe('a workshop’s own settings', () => {
  let shed: TwoWorkshops;
  const call = (method: 'GET' | 'PUT' | 'POST', url: string, as: string, payload?: object) => shed.call(method, url, payload, as);

  beforeAll(async () => {
    shed = await twoWorkshops();
  }, 60_000);
  afterAll(() => shed?.close());

  it('are those of the usual rules until somebody says otherwise, and are kept for this workshop alone', async () => {
    expect((await call('GET', '/api/workshop', shed.other)).json()).toEqual({ name: 'Other Shed', address: '', phone: '', licence: '', logo: '', rules: null });
    expect((await call('PUT', '/api/workshop', shed.cookie, SHED)).statusCode).toBe(204);
    expect((await call('GET', '/api/workshop', shed.cookie)).json()).toEqual(JSON.parse(JSON.stringify(SHED)));
    expect((await call('GET', '/api/workshop', shed.other)).json<{ name: string }>().name).toBe('Other Shed');
    expect((await call('GET', '/api/session', shed.cookie)).json<{ workshop: string }>().workshop).toBe(SHED.name);
  });

  it('are what a new job begins with; a copy keeps its own', async () => {
    await call('PUT', '/api/workshop', shed.cookie, SHED);
    const opened = async (body: object): Promise<Design> => {
      const { id } = (await call('POST', '/api/jobs', shed.cookie, { customer: 'Magpie Hall', promisedOn: null, ...body })).json<{ id: string }>();
      return (await call('GET', `/api/jobs/${id}/design`, shed.cookie)).json<{ design: Design }>().design;
    };
    expect((await opened({})).settings).toEqual(SHED.rules);
    expect((await opened({ design: blankDesign('Magpie Hall') })).settings).toEqual(settings);
  });

  it('are refused with the field where they make no sense', async () => {
    for (const [wrong, says] of [
      [{ ...SHED, name: ' ' }, /^name: a name is accepted/],
      [{ ...SHED, rules: { ...settings, torqueNm: { ...settings.torqueNm, M8: 900 } } }, /^rules › torqueNm › M8: /],
      [{ ...SHED, rules: { ...settings, meters: { ...settings.meters, volt: { ...settings.meters.volt, share: -1 } } } }, /^rules › meters › volt › share: /],
    ] as const) {
      const r = await call('PUT', '/api/workshop', shed.cookie, wrong);
      expect(r.statusCode).toBe(400);
      expect(r.json<{ message: string }>().message).toMatch(says);
    }
  });

  it('have a logo that can be printed, or none', async () => {
    // One white dot.
    const logo = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAQAAAC1HAwCAAAAC0lEQVR42mP8/x8AAwMCAO+ip1sAAAAASUVORK5CYII=';
    expect((await call('PUT', '/api/workshop', shed.cookie, { ...SHED, logo })).statusCode).toBe(204);
    expect((await call('GET', '/api/workshop', shed.cookie)).json<{ logo: string }>().logo).toBe(logo);
    const { lines } = (await call('GET', '/api/jobs', shed.cookie)).json<{ lines: { id: string }[] }>();
    expect((await call('GET', `/api/jobs/${lines[0]!.id}/pack.pdf`, shed.cookie)).statusCode).toBe(200);
    const refused = await call('PUT', '/api/workshop', shed.cookie, { ...SHED, logo: Buffer.from('no picture at all').toString('base64') });
    expect([refused.statusCode, refused.json<{ message: string }>().message]).toEqual([422, 'logo: this cannot be printed; a PNG is accepted']);
    expect((await call('PUT', '/api/workshop', shed.cookie, { ...SHED, logo: '§' })).json<{ message: string }>().message).toMatch(/^logo: a PNG/);
    expect((await call('PUT', '/api/workshop', shed.cookie, SHED)).statusCode).toBe(204);
  });

  it('stand at the head of the pack', async () => {
    await call('PUT', '/api/workshop', shed.cookie, SHED);
    const { lines } = (await call('GET', '/api/jobs', shed.cookie)).json<{ lines: { id: string }[] }>();
    const pdf = await call('GET', `/api/jobs/${lines[0]!.id}/pack.pdf`, shed.cookie);
    expect(pdf.rawPayload.subarray(0, 5).toString()).toBe('%PDF-');
    expect(headLine(SHED)).toBe('Siding Lane Electrics · 9 Siding Lane, Wirrabel · 0000 555 099 · licence EL 0042');
    expect(headLine({ ...SHED, phone: '', licence: '' })).toBe('Siding Lane Electrics · 9 Siding Lane, Wirrabel');
  }, 30_000);

  it('let no row hang on a job of another workshop, whoever writes it', async () => {
    const client = new pg.Client({ connectionString: shed.database.ownerUrl });
    await client.connect();
    const { rows } = await client.query<{ job: string; elsewhere: string }>("select (select id from jobs limit 1) as job, (select id from workshops where name = 'Other Shed') as elsewhere");
    const { job, elsewhere } = rows[0]!;
    await expectAsync(client.query('insert into ticks (id, workshop_id, job_id, step_id, done, author) values (gen_random_uuid(), $1, $2, $3, true, $3)', [elsewhere, job, 'x'])).toBeRejectedWithError(
      /ticks_job/,
    );
    await client.end();
  });
});
