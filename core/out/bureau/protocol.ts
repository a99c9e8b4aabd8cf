import { z } from 'zod';

/** Messages between client and print bureau. Sizes in bytes and mm, money in cents, times in ms since 1970. */

/** Faults the stand-in can be set to simulate, once per upload. */
export const FAULTS = ['none', 'drops', 'busy', 'damages', 'down', 'refuses'] as const;
export type Fault = (typeof FAULTS)[number];

/** The largest file a bureau takes, and the pieces it is sent in: small, so that little is lost with a connection. */
export const UPLOAD_MOST = 60 * 1024 * 1024;
export const CHUNK = 128 * 1024;

const count = z.number().int().min(0);
export const uploadAskSchema = z.object({
  name: z.string().min(1).max(200),
  bytes: z.number().int().min(1).max(UPLOAD_MOST),
  /** SHA-256 of the whole file, hexadecimal: identifies uploads the bureau already has, and detects damage. */
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  fault: z.enum(FAULTS).default('none'),
});
export const uploadSchema = z.object({ id: z.string().max(80), bytes: count, received: count });

export const pageSchema = z.object({ width: z.number().positive(), height: z.number().positive() });
export const estimateSchema = z.object({
  upload: z.string().max(80),
  pages: z.array(pageSchema).min(1).max(400),
  /** Roll that runs through, mm. */
  roll: z.number().min(0),
  /** Pages small enough for an ordinary sheet. */
  sheets: count,
  cents: count,
});

export const orderSchema = z.object({
  upload: z.string().max(80),
  copies: z.number().int().min(1).max(20),
  /** Chosen by the client as an idempotency key: the same order sent twice counts once. */
  key: z.string().min(8).max(80),
});
export const TICKET_STATES = ['waiting', 'printing', 'ready', 'refused', 'cancelled'] as const;
export const ticketSchema = z.object({
  number: z.string().max(20),
  name: z.string().max(200),
  copies: count,
  cents: count,
  state: z.enum(TICKET_STATES),
  /** Jobs before this one. */
  ahead: count,
  placed: z.number(),
  reason: z.enum(['roll-ran-out']).nullable(),
});

/** Reasons for a refusal. */
export const BUREAU_ERRORS = [
  'bureau-busy',
  'bureau-down',
  'bureau-full',
  'bureau-not-so',
  'bureau-unknown-upload',
  'bureau-wrong-place',
  'bureau-damaged',
  'bureau-incomplete',
  'bureau-no-pdf',
  'bureau-too-long',
  'bureau-too-wide',
  'bureau-unknown-ticket',
  'bureau-too-late',
] as const;
export type BureauError = (typeof BUREAU_ERRORS)[number];
export const bureauErrorSchema = z.object({
  code: z.enum(BUREAU_ERRORS),
  data: z.record(z.string(), z.union([z.string(), z.number()])).default({}),
});

export type UploadAsk = z.input<typeof uploadAskSchema>;
export type Upload = z.infer<typeof uploadSchema>;
export type Estimate = z.infer<typeof estimateSchema>;
export type Order = z.infer<typeof orderSchema>;
export type Ticket = z.infer<typeof ticketSchema>;
