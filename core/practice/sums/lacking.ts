import type { Drawn } from './sum.ts';

/** What a pattern lacks for a body with ease, shared by so many edges; and what comes out where the ease or the sharing is forgotten. */
export function lackingOf(
  { body, ease, lacks }: { readonly body: number; readonly ease: number; readonly lacks: number },
  parts: number,
  slips: Drawn['slips'],
): Drawn {
  const pattern = body + ease - lacks;
  const answer = lacks / parts;
  return {
    told: { body, ease, pattern, wanted: body + ease, lacks, answer },
    answer,
    slips: { whole: lacks, noEase: (body - pattern) / parts, ...slips },
  };
}
