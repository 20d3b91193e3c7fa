import compress from '@fastify/compress';
import cookie from '@fastify/cookie';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import { fastifySSE } from '@fastify/sse';
import Fastify, { type FastifyInstance, type RouteOptions } from 'fastify';
import { serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { openRoutes, peopleRoutes } from './accounts/people-routes.js';
import { accountRoutes } from './accounts/routes.js';
import type { Database } from './db/client.js';
import { commentRoutes } from './comments/routes.js';
import { reviewRoutes } from './reviews/routes.js';
import { designRoutes } from './designs/routes.js';
import { diagramRoutes } from './diagram/routes.js';
import { enclosureRoutes } from './drill/enclosure-routes.js';
import { drillRoutes } from './drill/routes.js';
import { labelRoutes } from './labels/routes.js';
import { refuseUnkeepable } from './http/characters.js';
import { sayErrors } from './http/errors.js';
import { refuseOtherPages } from './http/origin.js';
import { stayOnTls } from './http/tls.js';
import { serveWeb } from './http/web.js';
import { jobRoutes } from './jobs/routes.js';
import { liveRoutes } from './live/routes.js';
import { packRoutes } from './pack/routes.js';
import { partRoutes } from './parts/routes.js';
import { photoRoutes } from './photos/routes.js';
import { openQuoteRoutes, quoteRoutes } from './quotes/routes.js';
import { readingRoutes } from './readings/routes.js';
import type { Queue } from './queue/queue.js';
import { tickRoutes } from './ticks/routes.js';
import { storesRoutes } from './stores/routes.js';
import { tripRoutes } from './trips/routes.js';
import { vehicleRoutes } from './vehicles/routes.js';
import { weekRoutes } from './week/routes.js';
import { customerRoutes } from './customers/routes.js';
import { workshopRoutes } from './workshop/routes.js';

export interface AppOptions {
  readonly db: Database;
  readonly queue: Queue;
  readonly webRoot: string | null;
  /** False: the demo’s account signs in no more. */
  readonly demo?: boolean;
  /** A reverse proxy that ends TLS stands before it. */
  readonly proxy?: boolean;
  readonly log?: boolean;
  /** How often a stream that stands open is asked whether its person is still signed in, ms. */
  readonly lookMs?: number;
  /** Hears of each route while it is set up. */
  readonly eachRoute?: (route: RouteOptions) => void;
}

const SELF = ["'self'"];

/** The whole server, not yet listening. */
export async function buildApp({ db, queue, webRoot, demo = true, proxy = false, log = false, lookMs = 20_000, eachRoute }: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({ logger: log ? { level: 'warn' } : false, bodyLimit: 2 * 1024 * 1024, trustProxy: proxy });
  if (eachRoute) app.addHook('onRoute', eachRoute);
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  sayErrors(app);
  refuseUnkeepable(app);
  refuseOtherPages(app);
  stayOnTls(app);
  app.decorateRequest('person', null);
  await app.register(helmet, {
    hsts: false,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: SELF,
        scriptSrc: SELF,
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: SELF,
        connectSrc: SELF,
        workerSrc: SELF,
        manifestSrc: SELF,
        objectSrc: ["'none'"],
        baseUri: SELF,
        formAction: SELF,
        frameAncestors: ["'none'"],
      },
    },
  });
  await app.register(compress, { global: true });
  await app.register(cookie);
  await app.register(fastifySSE, { heartbeatInterval: 20_000 });
  await app.register(rateLimit, { global: false });
  app.get('/api/health', { schema: { response: { 200: z.object({ ok: z.boolean() }) } } }, async () => {
    await db.alive();
    return { ok: true };
  });
  for (const routes of [
    peopleRoutes,
    jobRoutes,
    designRoutes,
    tickRoutes,
    readingRoutes,
    packRoutes,
    drillRoutes,
    labelRoutes,
    enclosureRoutes,
    diagramRoutes,
    vehicleRoutes,
    partRoutes,
    storesRoutes,
    customerRoutes,
    workshopRoutes,
    photoRoutes,
    commentRoutes,
    reviewRoutes,
    quoteRoutes,
    weekRoutes,
    openQuoteRoutes,
  ])
    await app.register(routes(db));
  await app.register(accountRoutes(db, demo));
  await app.register(openRoutes(db, demo));
  await app.register(tripRoutes(db, queue));
  await app.register(liveRoutes(db, lookMs));
  if (webRoot) await serveWeb(app, webRoot);
  return app;
}
