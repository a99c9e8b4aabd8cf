import type { z } from 'zod';

/** What a value should be, in words. */
const KINDS: Readonly<Record<string, string>> = {
  string: 'a text is needed',
  number: 'a number is needed',
  int: 'a whole number is needed',
  boolean: 'true or false is needed',
  array: 'a list is needed',
  object: 'an object is needed',
  record: 'an object is needed',
  nonoptional: 'a value is needed',
};
const UNITS: Readonly<Record<string, string>> = {
  string: 'characters',
  array: 'entries',
  set: 'entries',
  file: 'bytes',
};

/** What is wrong with one value of a document, as the end of a sentence. */
export function sayIssue(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `${KINDS[issue.expected] ?? 'something else is needed'}${issue.input === undefined ? ', and nothing is there' : ''}`;
    case 'too_big':
      return `no more than ${String(issue.maximum)}${unit(issue.origin)} may stand there`;
    case 'too_small':
      return `at least ${String(issue.minimum)}${unit(issue.origin)} must stand there`;
    case 'invalid_value':
      return `one of these is needed: ${issue.values.map(String).join(', ')}`;
    case 'unrecognized_keys':
      return `nothing is known by the name ${issue.keys.map((k) => `“${k.slice(0, 40)}”`).join(', ')}`;
    case 'invalid_union':
      return 'it has none of the forms it may have';
    case 'invalid_key':
    case 'invalid_element':
      return issue.issues[0] ? sayIssue(issue.issues[0]) : 'it cannot stand there';
    default:
      return issue.message;
  }
}
const unit = (origin: string): string => (UNITS[origin] ? ` ${UNITS[origin]}` : '');

/**
 * Limits on the entries of one object, the items of one list and the values of one document; ours stay far below them.
 */
const MOST_ENTRIES = 4_000;
const MOST_VALUES = 5_000_000;

/** Whether a value exceeds those limits, checked before it is parsed. */
export function isTooLarge(value: unknown): boolean {
  const left: unknown[] = [value];
  for (let count = 0; left.length > 0; count++) {
    if (count > MOST_VALUES) return true;
    const at = left.pop();
    if (at === null || typeof at !== 'object') continue;
    const inside: readonly unknown[] = Array.isArray(at) ? at : Object.values(at);
    if (inside.length > MOST_ENTRIES) return true;
    for (const x of inside) left.push(x);
  }
  return false;
}
