import { parseArgs } from 'node:util';
import type { Result } from '@ample/core/units';
import { isSample, SAMPLE_IDS } from '@ample/core/drafting';
import {
  alter,
  alterations,
  amounts,
  isDocumentKind,
  isLayer,
  measure,
  sample,
  says,
  schema,
  size,
  suits,
} from './commands.ts';
import { bring } from './bring.ts';
import { backup, causes, cloth, record, versions } from './keeping.ts';
import { compare, plan, solve } from './planning.ts';
import { tidy } from './report.ts';

const USAGE = `usage:
  ample schema wearer|pattern|job
  ample sample <id> [--size N]        (${SAMPLE_IDS.join(', ')})
  ample alterations
  ample measure <pattern.json> --size N
  ample size <job.json>
  ample amounts <job.json>
  ample suits <job.json>
  ample compare <job.json>
  ample plan <job.json>
  ample solve <job.json>
  ample causes <job.json>
  ample versions <job.json>
  ample cloth <job.json> [--open] [--one-way]
  ample record <job.json> --out DIR [--paper a4|letter|a3|tabloid]
  ample backup <file.zip>
  ample bring <file.pdf|svg|dxf> [--out DIR]
  ample alter <job.json> [--out DIR] [--formats pdf,svg,dxf,csv] [--paper a4|letter|a3|tabloid|a0|roll]
        [--patches] [--lines cutting,seam,original,added,marks,words,patch]`;

/** Exit codes: 0 done, 1 bad input (code and sentence on stderr), 2 wrong usage. */
export async function main(
  argv: readonly string[],
  today: string,
): Promise<{ code: 0 | 1 | 2; out: string; err: string }> {
  const usage = { code: 2 as const, out: '', err: `${USAGE}\n` };
  let parsed;
  try {
    parsed = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        size: { type: 'string' },
        out: { type: 'string' },
        formats: { type: 'string', default: 'pdf,svg' },
        paper: { type: 'string', default: 'a4' },
        patches: { type: 'boolean', default: false },
        lines: { type: 'string' },
        open: { type: 'boolean', default: false },
        'one-way': { type: 'boolean', default: false },
      },
    });
  } catch (error) {
    return { ...usage, err: `${error instanceof Error ? error.message : ''}\n${USAGE}\n` };
  }
  const { positionals, values } = parsed;
  const [command, argument, extra] = positionals;
  if (!command || extra !== undefined || (argument === undefined) !== (command === 'alterations')) return usage;
  const result = await run(command, argument ?? '', values, today);
  if (result === null) return usage;
  if (!result.ok) return { code: 1, out: '', err: `${result.error.code}: ${says(result.error)}\n` };
  return { code: 0, out: `${JSON.stringify(tidy(result.value), null, 2)}\n`, err: '' };
}

interface Flags {
  readonly size?: string | undefined;
  readonly out?: string | undefined;
  readonly formats?: string | undefined;
  readonly paper?: string | undefined;
  readonly patches?: boolean | undefined;
  readonly lines?: string | undefined;
  readonly open?: boolean | undefined;
  readonly 'one-way'?: boolean | undefined;
}

async function run(command: string, argument: string, flags: Flags, date: string): Promise<Result<unknown> | null> {
  switch (command) {
    case 'schema':
      return isDocumentKind(argument) ? schema(argument) : null;
    case 'sample':
      return isSample(argument) ? sample(argument, flags.size) : null;
    case 'alterations':
      return alterations();
    case 'compare':
      return compare(argument);
    case 'plan':
      return plan(argument);
    case 'solve':
      return solve(argument);
    case 'causes':
      return causes(argument);
    case 'versions':
      return versions(argument);
    case 'cloth':
      return cloth(argument, flags.open === true, flags['one-way'] === true);
    case 'record':
      return flags.out === undefined ? null : record(argument, flags.out, flags.paper ?? 'a4', date);
    case 'bring':
      return bring(argument, flags.out);
    case 'backup':
      return backup(argument);
    case 'suits':
      return suits(argument);
    case 'measure':
      return flags.size === undefined ? null : measure(argument, flags.size);
    case 'size':
      return size(argument);
    case 'amounts':
      return amounts(argument);
    case 'alter': {
      const formats = (flags.formats ?? '').split(',').map((f) => f.trim());
      if (formats.some((f) => !['pdf', 'svg', 'dxf', 'csv'].includes(f))) return null;
      const lines = flags.lines?.split(',').map((l) => l.trim());
      if (lines && !lines.every(isLayer)) return null;
      const options = { out: flags.out, formats, paper: flags.paper ?? 'a4', date, lines };
      return alter(argument, { ...options, patches: flags.patches === true });
    }
    default:
      return null;
  }
}

if (process.argv[1] && /main\.ts$|bin\.mjs$/.test(process.argv[1])) {
  const done = await main(process.argv.slice(2), new Date().toISOString().slice(0, 10));
  process.stdout.write(done.out);
  process.stderr.write(done.err);
  process.exitCode = done.code;
}
