import Fastify from 'fastify';
import { stayOnTls } from './tls.js';
import { isKeptForGood } from './web.js';

describe('what a browser is told', () => {
  const strict = async (proto: string): Promise<unknown> => {
    const app = Fastify({ trustProxy: true });
    stayOnTls(app);
    app.get('/', () => 'ok');
    return (await app.inject({ url: '/', headers: { 'x-forwarded-proto': proto } })).headers['strict-transport-security'];
  };

  it('is to stay on TLS, where it came by TLS, and there alone', async () => {
    expect([await strict('https'), await strict('http')]).toEqual(['max-age=31536000', undefined]);
  });
  it('is to keep files whose name changes with what is in them, and to ask again for the others', () => {
    const kept = ['/d/chunk-Bh_oJa3D.js', '/d/chunk--X9pQ2a_.js', '/d/main-NRCGCM24.js', '/d/styles-ZZPZABAF.css', '/d/media/archivo-latin-400-normal-ZHCBTBXV.woff2'];
    const asked = ['/d/index.html', '/d/mark.svg', '/d/ngsw-worker.js', '/d/safety-worker.js', '/d/ngsw.json', '/d/worker-basic.min.js'];
    expect([kept.filter((p) => !isKeptForGood(p)), asked.filter(isKeptForGood)]).toEqual([[], []]);
  });
});
