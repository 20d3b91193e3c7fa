import { createServer } from 'node:net';

/** Whether a loopback port is free. */
function free(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen({ host: '127.0.0.1', port, exclusive: true }, () => probe.close(() => resolve(true)));
  });
}

/** The wished port, or the next free one above it. */
export async function freePort(wished) {
  for (let port = wished; port < wished + 200; port++) if (await free(port)) return port;
  throw new Error(`no free port from ${wished} to ${wished + 199}`);
}
