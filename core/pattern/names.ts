import { z } from 'zod';

/** Names that every object has of its own: as keys they would find what nobody put there. */
const EVERY_OBJECTS: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));
export const isUsable = (name: string): boolean => !EVERY_OBJECTS.has(name);
/** Something of it shows: not only spaces and marks without width. */
const isVisible = (text: string): boolean => /[^\s\p{Cf}\p{Cc}]/u.test(text);

/** What tells one thing from another: a piece, an edge, a size, a step. */
export const idSchema = z
  .string()
  .min(1)
  .max(80)
  .refine(isVisible, 'a name that can be seen is needed')
  .refine(isUsable, 'this name cannot be used, take another');

/** A key of something kept by name. */
export const keySchema = z.string().max(80).refine(isUsable, 'this name cannot be used, take another');

/** A name as it is read and printed. */
export const nameSchema = (most: number) =>
  z.string().min(1).max(most).refine(isVisible, 'a name that can be seen is needed');

/** Whether a text is a day of the calendar, like 2026-11-23. */
function isDay(text: string): boolean {
  const [year = 0, month = 0, day = 0] = text.split('-').map(Number);
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCFullYear() === year && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
}
export const daySchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'a date like 2026-11-23 is needed')
  .refine(isDay, 'there is no such day, a date like 2026-11-23 is needed');

/** Checks that the ids of a list are unique; reports the message given where one is repeated. */
export const onceEach = [
  (all: readonly { readonly id: string }[]): boolean => new Set(all.map((x) => x.id)).size === all.length,
  'two of them have the same id, each needs its own',
] as const;
