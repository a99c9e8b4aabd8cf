import { parseArgs } from 'node:util';
import { isMainThread } from 'node:worker_threads';
import { ENGLISHES, speakEnglish, type English } from '@ample/core/speech';
import type { Result } from '@ample/core/units';
import { isSample, SAMPLE_IDS } from '@ample/core/blocks';
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
import { drape } from './drape.ts';
import { form } from './form.ts';
import { backup, causes, cloth, record, versions } from './keeping.ts';
import { compare, plan, solve } from './planning.ts';
import { tidy, type Written } from './report.ts';
import { take } from './take.ts';

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
  ample cloth <job.json> [--open] [--fold-depth MM[,MM…] [--both-edges]] [--one-way]
  ample form <job.json> [--out DIR [--half-scale]]
  ample drape <job.json> [--cloth calico] [--drafted] [--right] [--sleeves] [--quick] [--out DIR]
  ample record <job.json> --out DIR [--paper a4|letter|a3|tabloid]
  ample backup <file.zip>
  ample bring <file.pdf|svg|dxf> [--out DIR] [--despite-faults]
  ample bring <file.pdf|svg|dxf> --take [--size N] [--allowance MM] [--out DIR] [--despite-faults]
  ample alter <job.json> [--out DIR] [--formats pdf,svg,dxf,csv,json] [--paper a4|letter|a3|tabloid|a0|roll]
        [--patches] [--apart] [--lines cutting,seam,original,added,marks,words,patch] [--despite-faults]
All take --english british|american (toile, centre or muslin, center).`;

/** What a command leaves: its exit code, and what it says on standard output and standard error. */
interface Answer {
  readonly code: 0 | 1 | 2 | 3;
  readonly out: string;
  readonly err: string;
}

/**
 * Exit codes: 0 done, 1 bad input or a piece unfit to be cut (code and sentence on stderr), 2 wrong usage, 3 pieces of
 * a file that something is asked about.
 */
export async function main(argv: readonly string[], today: string): Promise<Answer> {
  const usage = { code: 2 as const, out: '', err: `${USAGE}\n` };
  let parsed;
  try {
    parsed = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        size: { type: 'string' },
        allowance: { type: 'string' },
        take: { type: 'boolean', default: false },
        out: { type: 'string' },
        formats: { type: 'string', default: 'pdf,svg' },
        paper: { type: 'string', default: 'a4' },
        patches: { type: 'boolean', default: false },
        apart: { type: 'boolean', default: false },
        'despite-faults': { type: 'boolean', default: false },
        lines: { type: 'string' },
        open: { type: 'boolean', default: false },
        'one-way': { type: 'boolean', default: false },
        'fold-depth': { type: 'string' },
        'both-edges': { type: 'boolean', default: false },
        cloth: { type: 'string' },
        drafted: { type: 'boolean' },
        quick: { type: 'boolean' },
        right: { type: 'boolean' },
        sleeves: { type: 'boolean' },
        'half-scale': { type: 'boolean', default: false },
        english: { type: 'string', default: 'british' },
      },
    });
  } catch (error) {
    return { ...usage, err: `${error instanceof Error ? error.message : ''}\n${USAGE}\n` };
  }
  const { positionals, values } = parsed;
  if (!Object.hasOwn(ENGLISHES, values.english)) return usage;
  speakEnglish(values.english as English);
  const [command, argument, extra] = positionals;
  if (!command || extra !== undefined || (argument === undefined) !== (command === 'alterations')) return usage;
  if (command === 'alter') return alterCommand(argument ?? '', values, today, usage);
  if (command === 'bring' && values.take === true) return takeCommand(argument ?? '', values, usage);
  if (command === 'bring')
    return answerWritten(await bring(argument ?? '', values.out, values['despite-faults'] === true));
  const result = await run(command, argument ?? '', values, today);
  if (result === null) return usage;
  if (!result.ok) return { code: 1, out: '', err: `${result.error.code}: ${says(result.error)}\n` };
  return { code: 0, out: `${JSON.stringify(tidy(result.value), null, 2)}\n`, err: '' };
}

interface Flags {
  readonly size?: string | undefined;
  readonly allowance?: string | undefined;
  readonly take?: boolean | undefined;
  readonly out?: string | undefined;
  readonly formats?: string | undefined;
  readonly paper?: string | undefined;
  readonly patches?: boolean | undefined;
  readonly apart?: boolean | undefined;
  readonly 'despite-faults'?: boolean | undefined;
  readonly lines?: string | undefined;
  readonly open?: boolean | undefined;
  readonly 'one-way'?: boolean | undefined;
  readonly 'fold-depth'?: string | undefined;
  readonly 'both-edges'?: boolean | undefined;
  readonly 'half-scale'?: boolean | undefined;
  readonly cloth?: string | undefined;
  readonly drafted?: boolean | undefined;
  readonly quick?: boolean | undefined;
  readonly right?: boolean | undefined;
  readonly sleeves?: boolean | undefined;
}

const FORMATS = ['pdf', 'svg', 'dxf', 'csv', 'json'];

/** Carries a plan out and writes its pieces. */
async function alterCommand(argument: string, flags: Flags, date: string, usage: Answer): Promise<Answer> {
  const formats = (flags.formats ?? '').split(',').map((f) => f.trim());
  const lines = flags.lines?.split(',').map((l) => l.trim());
  if (formats.some((f) => !FORMATS.includes(f)) || (lines && !lines.every(isLayer))) return usage;
  const done = await alter(argument, {
    out: flags.out,
    formats,
    paper: flags.paper ?? 'a4',
    date,
    lines,
    patches: flags.patches === true,
    apart: flags.apart === true,
    despiteFaults: flags['despite-faults'] === true,
  });
  return answerWritten(done);
}

/** Plausible seam allowances, mm. */
const WIDEST_ALLOWANCE = 100;

/** All pieces of a file in one size; what is asked about is not a failure, but not done either. */
async function takeCommand(file: string, flags: Flags, usage: Answer): Promise<Answer> {
  const allowance = flags.allowance === undefined ? undefined : Number(flags.allowance);
  if (allowance !== undefined && !(allowance >= 0 && allowance <= WIDEST_ALLOWANCE)) return usage;
  const done = await take(
    file,
    { ...(flags.size === undefined ? {} : { size: flags.size }), ...(allowance === undefined ? {} : { allowance }) },
    flags.out,
    flags['despite-faults'] === true,
  );
  const answer = answerWritten(done);
  return answer.code === 0 && done.ok && done.value.asked ? { ...answer, code: 3 } : answer;
}

/** A piece with a fault is reported, left out of the files, and makes the command fail. */
function answerWritten(done: Result<Written>): Answer {
  if (!done.ok) return { code: 1, out: '', err: `${done.error.code}: ${says(done.error)}\n` };
  const { report, faults, leftOut } = done.value;
  const out = `${JSON.stringify(tidy(report), null, 2)}\n`;
  if (faults.length === 0) return { code: 0, out, err: '' };
  const first = says({ code: 'pieces-not-fit', data: { names: leftOut.join(', ') } });
  return { code: 1, out, err: `pieces-not-fit: ${[first, ...faults].join('\n')}\n` };
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
      return cloth(argument, {
        open: flags.open === true,
        oneWay: flags['one-way'] === true,
        depth: flags['fold-depth'],
        bothEdges: flags['both-edges'] === true,
      });
    case 'form':
      return form(argument, flags.out, flags['half-scale'] === true);
    case 'drape':
      return drape(argument, {
        cloth: flags.cloth ?? null,
        drafted: flags.drafted === true,
        quick: flags.quick === true,
        right: flags.right === true,
        sleeves: flags.sleeves === true,
        out: flags.out,
      });
    case 'record':
      return flags.out === undefined ? null : record(argument, flags.out, flags.paper ?? 'a4', date);
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
    default:
      return null;
  }
}

// Started as a program it goes the way of `bin.mjs`: in a thread that can be ended.
if (isMainThread && /main\.ts$/.test(process.argv[1] ?? '')) await import(new URL('./bin.mjs', import.meta.url).href);
