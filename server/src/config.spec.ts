import { readConfig } from './config.js';

describe('the server’s settings', () => {
  it('need a database, and say so by name', () => expect(() => readConfig({})).toThrowError(/MERIDEX_DATABASE_URL: got nothing/));
  it('refuse a port that is none', () => expect(() => readConfig({ MERIDEX_DATABASE_URL: 'postgresql://x', MERIDEX_PORT: '99999' })).toThrowError(/MERIDEX_PORT/));
  it('have defaults for the rest, and are frozen', () => {
    const config = readConfig({ MERIDEX_DATABASE_URL: 'postgresql://x' });
    expect(config).toEqual({ databaseUrl: 'postgresql://x', host: '127.0.0.1', port: 4200, webRoot: null, demo: true, proxy: false });
    expect(Object.isFrozen(config)).toBeTrue();
  });
});
