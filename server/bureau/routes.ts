import express, { Router, type NextFunction, type Request, type Response } from 'express';
import { CHUNK, orderSchema, priceOf, uploadAskSchema, type BureauError, type Estimate } from '@ample/core/out/bureau';
import { pageSizes } from './pageSizes.ts';
import { Tickets } from './tickets.ts';
import { tellUpload, Uploads, type Stored } from './uploads.ts';

export interface BureauOptions {
  readonly now?: () => number;
  /** How long one job takes in the stand-in's queue, ms. */
  readonly pace?: number;
}

/** Where a piece belongs; what is not a whole number belongs nowhere. */
const fromOf = (text: unknown): number => (typeof text === 'string' && /^\d{1,12}$/.test(text) ? Number(text) : -1);

/** A busy bureau says so this often before it has time. */
const BUSY = 2;
const STATUS: Readonly<Record<BureauError, number>> = {
  'bureau-busy': 503,
  'bureau-down': 503,
  'bureau-full': 507,
  'bureau-not-so': 400,
  'bureau-unknown-upload': 404,
  'bureau-wrong-place': 409,
  'bureau-damaged': 422,
  'bureau-incomplete': 409,
  'bureau-no-pdf': 422,
  'bureau-too-long': 422,
  'bureau-too-wide': 422,
  'bureau-unknown-ticket': 404,
  'bureau-too-late': 409,
};

/** Answers with what is wrong, in the bureau's own words. */
function no(response: Response, code: BureauError, data: Readonly<Record<string, string | number>> = {}): void {
  if (code === 'bureau-busy') response.set('Retry-After', '1');
  response.status(STATUS[code]).json({ code, data });
}

/** Gives a request the upload it is about, unless that is not there or its fault answers first. */
const withUpload =
  (uploads: Uploads, handle: (stored: Stored, request: Request, response: Response) => unknown) =>
  (request: Request, response: Response): unknown => {
    const stored = uploads.find(String(request.params['id']));
    if (!stored) return no(response, 'bureau-unknown-upload');
    if (stored.fault === 'down') return no(response, 'bureau-down');
    return handle(stored, request, response);
  };

/** The faults that strike before a piece of a file is read: the connection is lost in the middle, once, or it is busy. */
const faultsOfPut =
  (uploads: Uploads) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const stored = uploads.find(String(request.params['id']));
    if (stored?.fault === 'drops' && stored.struck === 0 && stored.received * 2 >= stored.bytes) {
      stored.struck = 1;
      request.socket.destroy();
      return;
    }
    if (stored?.fault === 'busy' && stored.struck < BUSY) {
      stored.struck++;
      return no(response, 'bureau-busy');
    }
    next();
  };

/** Takes files in pieces. */
function routeUploads(router: Router, uploads: Uploads): void {
  router.post('/uploads', (request, response) => {
    const ask = uploadAskSchema.safeParse(request.body);
    if (!ask.success) return no(response, 'bureau-not-so', { what: ask.error.issues[0]?.path.join('.') ?? '' });
    const stored = uploads.begin(ask.data);
    if (!stored) return no(response, 'bureau-full');
    response.status(201).json(tellUpload(stored));
  });

  router.get(
    '/uploads/:id',
    withUpload(uploads, (stored, _request, response) => response.json(tellUpload(stored))),
  );

  router.put(
    '/uploads/:id',
    faultsOfPut(uploads),
    express.raw({ type: () => true, limit: CHUNK }),
    withUpload(uploads, (stored, request, response) => {
      const piece = request.body instanceof Uint8Array ? Uint8Array.from(request.body) : new Uint8Array();
      if (stored.fault === 'damages' && stored.struck === 0 && piece.length > 0) {
        stored.struck = 1;
        piece[0] = (piece[0] ?? 0) ^ 0xff;
      }
      if (!uploads.put(stored, fromOf(request.query['from']), piece))
        return no(response, 'bureau-wrong-place', { received: stored.received });
      return response.json(tellUpload(stored));
    }),
  );
}

/** Says what a file would cost, once it is there whole. */
function routeEstimates(router: Router, uploads: Uploads): void {
  router.post(
    '/uploads/:id/estimate',
    withUpload(uploads, async (stored, _request, response) => {
      if (stored.estimate) return response.json(stored.estimate);
      if (stored.received < stored.bytes) return no(response, 'bureau-incomplete', { received: stored.received });
      if (!uploads.sound(stored)) return no(response, 'bureau-damaged');
      const pages = await pageSizes(stored.data.slice());
      if (!pages.ok) return no(response, pages.error.code);
      const price = priceOf(pages.value);
      if (!price.ok) return no(response, price.error.code, price.error.data);
      stored.estimate = { upload: stored.id, pages: [...pages.value], ...price.value } satisfies Estimate;
      // A real bureau would print from it; the stand-in lets it go.
      stored.data = new Uint8Array();
      return response.json(stored.estimate);
    }),
  );
}

/** Orders, each with a ticket that goes through the queue. */
function routeTickets(router: Router, uploads: Uploads, tickets: Tickets): void {
  router.post('/tickets', (request, response) => {
    const order = orderSchema.safeParse(request.body);
    if (!order.success) return no(response, 'bureau-not-so', { what: order.error.issues[0]?.path.join('.') ?? '' });
    const stored = uploads.find(order.data.upload);
    if (!stored?.estimate) return no(response, 'bureau-unknown-upload');
    const price = priceOf(stored.estimate.pages, order.data.copies);
    if (!price.ok) return no(response, price.error.code, price.error.data);
    const { name, fault } = stored;
    const ticket = tickets.place(order.data, { name, fault, cents: price.value.cents });
    if (!ticket) return no(response, 'bureau-full');
    response.status(201).json(ticket);
  });

  router.get('/tickets/:number', (request, response) => {
    const ticket = tickets.at(request.params.number);
    if (!ticket) return no(response, 'bureau-unknown-ticket');
    response.json(ticket);
  });

  router.delete('/tickets/:number', (request, response) => {
    const ticket = tickets.cancel(request.params.number);
    if (ticket === null) return no(response, 'bureau-unknown-ticket');
    if (ticket === 'too-late') return no(response, 'bureau-too-late');
    response.json(ticket);
  });
}

/**
 * A stand-in for a print bureau: takes a PDF in pieces, says what it would cost, gives a ticket and moves it through a
 * queue. Nothing is printed and nothing leaves this machine. Each upload may ask for one thing to go wrong.
 */
export function bureau({ now = Date.now, pace = 5000 }: BureauOptions = {}): Router {
  const uploads = new Uploads(now);
  const router = Router();
  router.use(express.json({ limit: '16kb' }));
  routeUploads(router, uploads);
  routeEstimates(router, uploads);
  routeTickets(router, uploads, new Tickets(now, pace));
  // What the body parsers refuse is refused in the bureau's own words.
  router.use((_error: unknown, _request: Request, response: Response, _next: unknown) => {
    no(response, 'bureau-not-so', { what: 'body' });
  });
  return router;
}
