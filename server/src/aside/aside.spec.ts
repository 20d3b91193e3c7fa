import { aside, TookTooLong } from './aside.js';

const trial = (mostMs?: number) => aside<{ readonly forMs: number; readonly say: string }, { readonly said: string }>(new URL('./testing/trial.js', import.meta.url), mostMs);

describe('work aside', () => {
  it('gives what came of it', async () => expect(await trial()({ forMs: 0, say: 'round and back' })).toEqual({ said: 'round and back' }));

  it('leaves the server free to answer meanwhile', async () => {
    await trial()({ forMs: 0, say: '' });
    let turns = 0;
    const turning = setInterval(() => turns++, 10);
    await trial()({ forMs: 1500, say: '' });
    clearInterval(turning);
    // On the server's own thread there would be none before its answer.
    expect(turns).toBeGreaterThan(5);
  });

  it('is ended when it takes too long, with words for it, and the next goes on', async () => {
    const never = trial(1500)({ forMs: 60_000, say: '' });
    await expectAsync(never).toBeRejectedWithError(TookTooLong, /longer than 1.5 s and was ended/);
    expect(await trial()({ forMs: 0, say: 'next' })).toEqual({ said: 'next' });
  });

  it('says what broke in it as what broke', async () => {
    await expectAsync(trial()({ forMs: -1, say: 'broke' })).toBeRejectedWithError(/broke/);
  });
});
