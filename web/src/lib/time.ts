import { spokenLocale } from '@ample/core/speech';

export const format = (at: Date): string =>
  at.toLocaleTimeString(spokenLocale(), { hour: '2-digit', minute: '2-digit' });
/** "12 December 2026", or "December 12, 2026", from 2026-12-12. */
export const longDate = (iso: string): string =>
  new Date(`${iso}T12:00:00`).toLocaleDateString(spokenLocale(), { day: 'numeric', month: 'long', year: 'numeric' });
/** "Dec 26" from a time in milliseconds, for the foot of a chart. */
export const shortMonth = (at: number): string =>
  new Date(at).toLocaleDateString(spokenLocale(), { month: 'short', year: '2-digit', timeZone: 'UTC' });
export const today = (): string => {
  const d = new Date();
  return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
};
