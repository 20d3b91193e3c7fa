import type { LiveEvent } from '@meridex/contract';
import pg from 'pg';

/** What servers on one database tell each other by. */
export const CHANNEL = 'meridex_live';
const WAIT_MOST_MS = 15_000;

type Hear = (event: LiveEvent) => void;

/** What happens in jobs, whichever server it was done on: one connection listens for all who look. */
export class LiveHub {
  private readonly listeners = new Map<string, Set<Hear>>();
  private client: pg.Client | null = null;
  private connecting: Promise<void> | null = null;
  private timer: NodeJS.Timeout | null = null;
  private tries = 0;
  private closed = false;

  constructor(private readonly url: string) {}

  /** Hears of one job, from when this resolves until the function that comes back is called. */
  async on(jobId: string, hear: Hear): Promise<() => void> {
    const all = this.listeners.get(jobId) ?? new Set();
    this.listeners.set(jobId, all.add(hear));
    this.connecting ??= this.connect();
    await this.connecting;
    return () => {
      all.delete(hear);
      if (!all.size) this.listeners.delete(jobId);
    };
  }

  async close(): Promise<void> {
    this.closed = true;
    if (this.timer) clearTimeout(this.timer);
    const { client } = this;
    this.client = null;
    await client?.end();
  }

  private async connect(): Promise<void> {
    if (this.closed) return;
    const client = new pg.Client({ connectionString: this.url });
    this.client = client;
    const lost = (): void => this.again(client);
    client.on('error', lost);
    client.on('end', lost);
    client.on('notification', ({ payload = '' }) => {
      const { jobId, event } = JSON.parse(payload) as { jobId: string; event: LiveEvent };
      for (const hear of this.listeners.get(jobId) ?? []) hear(event);
    });
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
    } catch {
      return lost();
    }
    // What happened while nobody listened is not told again.
    if (this.tries > 0) for (const all of this.listeners.values()) for (const hear of all) hear({ what: 'missed' });
    this.tries = 0;
  }

  /** A connection that is lost is made anew, with growing waits. */
  private again(client: pg.Client): void {
    if (this.client !== client || this.closed) return;
    this.client = null;
    client.removeAllListeners();
    // An ended client may still say that its socket broke.
    client.on('error', () => undefined);
    this.timer = setTimeout(() => (this.connecting = this.connect()), Math.min(WAIT_MOST_MS, 200 * 2 ** this.tries++));
    this.timer.unref();
  }
}
