import { acceptedSchema, acceptQuoteSchema, askOfQuoteSchema, newQuoteSchema, type OpenQuote, QUOTE_STATES, sentQuoteSchema, workshopSchema } from '@meridex/contract';
import { addsUp, type Quote, quoteSchema } from '@meridex/core';
import type { FastifyReply } from 'fastify';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { aside } from '../aside/aside.js';
import { keepComment } from '../comments/store.js';
import type { Database } from '../db/client.js';
import { allowed, personOf, signedIn } from '../http/guard.js';
import { jobExists } from '../jobs/store.js';
import { tell } from '../live/tell.js';
import { accept, asOpen, newLink, quoteBehind, quoteOfOwn, quotesOf, sendQuote, withdraw } from './store.js';

const quoteFile = aside<OpenQuote<Quote>, Uint8Array>(new URL('./work.js', import.meta.url));

const message = z.object({ message: z.string() });
const ofJob = z.object({ jobId: z.uuid() });
const ofQuote = z.object({ id: z.uuid() });
const byToken = z.object({ token: z.string().min(20).max(100) });
const link = z.object({ token: z.string() });
const LIMIT = { rateLimit: { max: 30, timeWindow: '1 minute' } };
const NONE = { message: 'This job is not in your workshop.' };
const NO_QUOTE = { message: 'There is no such quote, or another link was made for it: ask the workshop.' };
const NOT_ONES_OWN = { message: 'This quote is not in your workshop, or no longer open.' };

const onPaper = async (reply: FastifyReply, open: OpenQuote<Quote>): Promise<FastifyReply> =>
  reply
    .header('content-disposition', `inline; filename="quote-${open.at.slice(0, 10)}.pdf"`)
    .type('application/pdf')
    .send(await quoteFile(open));

/** Quotes of a job: sent, found by a new link, taken back. */
export const quoteRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    app.addHook('preHandler', signedIn(db));
    app.get('/api/jobs/:jobId/quotes', { schema: { params: ofJob, response: { 200: z.array(sentQuoteSchema) } } }, (request) =>
      db.inWorkshop(personOf(request).workshopId, (tx) => quotesOf(tx, request.params.jobId)),
    );
    app.post(
      '/api/jobs/:jobId/quotes',
      { preHandler: allowed('quote'), schema: { params: ofJob, body: newQuoteSchema.extend({ quote: quoteSchema }), response: { 201: link, 403: message, 404: message, 422: message } } },
      async (request, reply) => {
        const { workshopId, name: author } = personOf(request);
        const { jobId } = request.params;
        if (!addsUp(request.body.quote)) return reply.code(422).send({ message: 'quote: its lines do not add up to its sums' });
        const token = await db.inWorkshop(workshopId, async (tx) => ((await jobExists(tx, jobId)) ? sendQuote(tx, { workshopId, jobId, author, ...request.body }) : null));
        return token === null ? reply.code(404).send(NONE) : reply.code(201).send({ token });
      },
    );
    app.get('/api/quotes/:id/quote.pdf', { schema: { params: ofQuote } }, async (request, reply) => {
      const row = await db.inWorkshop(personOf(request).workshopId, (tx) => quoteOfOwn(tx, request.params.id));
      return row ? onPaper(reply, await asOpen(db, row)) : reply.code(404).send(NO_QUOTE);
    });
    app.post('/api/quotes/:id/link', { preHandler: allowed('quote'), schema: { params: ofQuote, response: { 201: link, 403: message, 404: message } } }, async (request, reply) => {
      const token = await db.inWorkshop(personOf(request).workshopId, (tx) => newLink(tx, request.params.id));
      return token === null ? reply.code(404).send(NOT_ONES_OWN) : reply.code(201).send({ token });
    });
    app.post('/api/quotes/:id/withdraw', { preHandler: allowed('quote'), schema: { params: ofQuote, response: { 204: z.null(), 403: message, 404: message } } }, async (request, reply) => {
      const done = await db.inWorkshop(personOf(request).workshopId, (tx) => withdraw(tx, request.params.id));
      return done ? reply.code(204).send(null) : reply.code(404).send(NOT_ONES_OWN);
    });
  };

/** A quote as its customer has it, by the link alone. */
export const openQuoteRoutes =
  (db: Database): FastifyPluginAsyncZod =>
  async (app) => {
    const open = z.object({ workshop: workshopSchema, quote: quoteSchema, at: z.string(), until: z.string(), state: z.enum(QUOTE_STATES), accepted: acceptedSchema.nullable() });
    app.get('/api/sent-quotes/:token/quote.pdf', { config: LIMIT, schema: { params: byToken } }, async (request, reply) => {
      const row = await quoteBehind(db, request.params.token);
      return row ? onPaper(reply, await asOpen(db, row)) : reply.code(404).send(NO_QUOTE);
    });
    app.get('/api/sent-quotes/:token', { config: LIMIT, schema: { params: byToken, response: { 200: open, 404: message } } }, async (request, reply) => {
      const row = await quoteBehind(db, request.params.token);
      return row ? asOpen(db, row) : reply.code(404).send(NO_QUOTE);
    });
    app.post(
      '/api/sent-quotes/:token/accept',
      { config: LIMIT, schema: { params: byToken, body: acceptQuoteSchema, response: { 204: z.null(), 404: message, 409: message } } },
      async (request, reply) => {
        const row = await quoteBehind(db, request.params.token);
        if (!row) return reply.code(404).send(NO_QUOTE);
        const why = await accept(db, row, request.body);
        return why === null ? reply.code(204).send(null) : reply.code(409).send({ message: why });
      },
    );
    app.post('/api/sent-quotes/:token/ask', { config: LIMIT, schema: { params: byToken, body: askOfQuoteSchema, response: { 204: z.null(), 404: message } } }, async (request, reply) => {
      const row = await quoteBehind(db, request.params.token);
      if (!row) return reply.code(404).send(NO_QUOTE);
      const { workshopId, jobId } = row;
      const { id, name, text } = request.body;
      await db.inWorkshop(workshopId, async (tx) => {
        await keepComment(tx, { workshopId, jobId, author: `${name}, by the quote’s link` }, { id, about: 'quote', text });
        tell(tx, jobId, { what: 'comment' });
      });
      return reply.code(204).send(null);
    });
  };
