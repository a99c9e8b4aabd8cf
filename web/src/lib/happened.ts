import type { Job } from '@ample/core/documents';

/** Numbers with a fraction, or of three digits and more, may be somebody's measurements. */
const MEASURES = /\d+[.,]\d+|\d{3,}/g;

/**
 * A report of what went wrong, for whoever fixes it: the version, where it was, which steps the plan has, and the error.
 * No name, no measurement, no amount.
 */
export function whatHappened(error: unknown, where: string, job: Job | null): string {
  const pattern = job?.pattern;
  const about =
    pattern === undefined
      ? 'none'
      : 'chart' in pattern
        ? 'one’s own'
        : 'id' in pattern
          ? pattern.id.slice(0, 40)
          : 'a file’s';
  const known = error instanceof Error ? error : new Error(String(error));
  const trace = (known.stack ?? '')
    .split('\n')
    .filter((line) => /^\s*at |@/.test(line))
    .slice(0, 8)
    .map((line) => withoutPlaces(line.trim()));
  return [
    `Ample Draft ${__VERSION__}`,
    `At: ${where}`,
    `Pattern: ${about}`,
    `Steps: ${job?.steps.map((s) => `${s.alteration}${s.on ? '' : ' (off)'}`).join(', ') || 'none'}`,
    `Browser: ${navigator.userAgent}`,
    `${known.name}: ${withoutPlaces(known.message).replace(MEASURES, '#')}`,
    ...trace,
  ].join('\n');
}

/** The names of the program's own files, without the address they come from. */
const withoutPlaces = (text: string): string => text.replace(/\(?(?:https?|file|blob):\/\/\S*\/([^/\s)]+)\)?/g, '$1');
