import {
  alterationById,
  CATALOGUE,
  FAMILIES,
  runAlteration,
  type AlterationDefinition,
  type Context,
  type Example,
  type Param,
  type Run,
  OPERATIONS,
} from '@ample/core/alterations';
import { isSample, sampleName, samplePattern } from '@ample/core/blocks';
import { diagramOf, diagramsSvg, type Diagram } from '@ample/core/out';
import { inView, pinnedSizes, pinYokes } from '@ample/core/pattern';
import { expectOk, formatLength } from '@ample/core/units';
import {
  ALTERATION_WORDS,
  CHOICE_WORDS,
  diagramsOf,
  ERROR_WORDS,
  FAMILY_WORDS,
  GLOSSARY,
  PARAM_WORDS,
  sampleRefusal,
  sayStep,
  stageName,
  type Units,
} from '@ample/core/words';
import { thereAndBack } from './there-and-back.ts';

/** The pages of the docs, one for each alteration, written from its definition: nothing in them is typed twice. */
const SIZE = '4';
/** The size the drawings are in, and those that examples grade to. */
const SIZES = ['4', '5', '6'];
const cm: Units = { unit: 'cm', fraction: 8 };

export interface DocFile {
  readonly name: string;
  readonly text: string;
}

const nameOf = (d: AlterationDefinition, example: Example): string => {
  const words = ALTERATION_WORDS[d.id];
  const amount = d.amount ? example.values[d.amount] : undefined;
  return (typeof amount === 'number' && amount < 0 ? words?.lapName : words?.name) ?? d.id;
};

function contextOf(d: AlterationDefinition, example: Example): Context {
  if (!isSample(example.on)) throw new Error(`${d.id}: expected a sample, got "${example.on}"`);
  const pattern = inView(samplePattern(example.on, SIZES), null);
  const { pieces, seams } = pinYokes(pattern.sizes[SIZE] ?? [], pattern.seams);
  let context: Context = {
    pieces,
    seams,
    original: pieces,
    originalSeams: seams,
    wearer: {},
    nest: pinnedSizes(pattern),
    chart: pattern.chart,
    size: SIZE,
  };
  for (const lead of example.after ?? []) {
    const first = alterationById(lead.alteration);
    if (!first) throw new Error(`${d.id}: expected an alteration, got "${lead.alteration}"`);
    const done = expectOk(runAlteration(first, context, lead.values), `${d.id} after ${lead.alteration}`);
    context = { ...context, pieces: done.pieces, seams: done.seams };
  }
  return context;
}
const runExample = (d: AlterationDefinition, example: Example): Run =>
  expectOk(runAlteration(d, contextOf(d, example), example.values), `${d.id} ${example.name}`);

/** Marked before, finished after, side by side. */
function drawing(run: Run): readonly Diagram[] {
  const touched = new Set(run.changes.map((c) => c.piece));
  const after = run.pieces
    .filter((p) => touched.has(p.id))
    .map((piece) => diagramOf({ piece, ghost: run.changes.find((c) => c.piece === piece.id)?.original }));
  return [...diagramsOf(run, 0, cm), ...after];
}

function values(params: readonly Param[]): string {
  const rows = params.map((p) => {
    const name = PARAM_WORDS[p.key] ?? p.key;
    const range =
      p.kind === 'length'
        ? `${formatLength(p.min, 'cm')} to ${formatLength(p.max, 'cm')}`
        : p.kind === 'share'
          ? `${Math.round(p.min * 100)} to ${Math.round(p.max * 100)} %`
          : p.kind === 'choice'
            ? p.options.map((o) => CHOICE_WORDS[`${p.key}.${o}`] ?? o).join('; ')
            : p.kind === 'size'
              ? 'a size of the pattern'
              : 'a place on the piece, or left to the program';
    const initial =
      p.kind === 'length'
        ? formatLength(p.initial, 'cm')
        : p.kind === 'share'
          ? `${Math.round(p.initial * 100)} %`
          : p.kind === 'choice'
            ? (CHOICE_WORDS[`${p.key}.${p.initial}`] ?? p.initial)
            : '';
    return `| \`${p.key}\` | ${name} | ${range} | ${initial} |`;
  });
  return ['| key | value | range | unless set |', '| --- | --- | --- | --- |', ...rows].join('\n');
}

function page(d: AlterationDefinition): readonly DocFile[] {
  const words = ALTERATION_WORDS[d.id];
  const shown = d.examples.map((example) => ({
    example,
    run: runExample(d, example),
    file: `drawings/${d.id}-${example.name.replace(/[ ,]+/g, '-')}.svg`,
  }));
  const steps = shown[0]?.run.frames.flatMap((f) => f.messages.map((m) => `- **${stageName(f)}.** ${sayStep(m, cm)}`));
  const pictures = shown.map(({ example, file }) => {
    const on = isSample(example.on) ? sampleName(example.on) : example.on;
    const set = Object.entries(example.values).map(
      ([k, v]) => `\`${k}\` ${typeof v === 'object' ? JSON.stringify(v) : String(v)}`,
    );
    return `### ${nameOf(d, example)}\n\nOn ${on}, size ${SIZE}${set.length > 0 ? `; ${set.join(', ')}` : ''}${(example.after ?? []).map((a) => `; ${example.name} (\`${a.alteration}\`)`).join('')}.\n\n![Marked, and afterwards with the old seam line dotted](${file})`;
  });
  const refusals = d.refusals.filter((r) => r in ERROR_WORDS).map((r) => `- \`${r}\`: ${sampleRefusal(r, cm)}`);
  const [first] = d.examples;
  const back = first ? thereAndBack(d, contextOf(d, first), first.values, cm) : null;
  const text = [
    `# ${words?.name ?? d.id}`,
    words?.about ?? '',
    `\`${d.id}\`, revision ${d.revision}. ${d.source}`,
    '## Before and after',
    ...pictures,
    '## By hand',
    (steps ?? []).join('\n'),
    ...(d.params.length > 0 ? ['## What may be set', values(d.params)] : []),
    ...(back ? ['## There and back', back] : []),
    '## When it is refused',
    refusals.join('\n'),
    '[All alterations](README.md)',
  ].join('\n\n');
  return [
    { name: `${d.id}.md`, text: `${text}\n` },
    ...shown.map(({ example, run, file }) => ({
      name: file,
      text: diagramsSvg(drawing(run), 420, `${nameOf(d, example)}: marked, and afterwards`),
    })),
  ];
}

/** What programs are made of, read off the registry. */
function operationsPage(): DocFile {
  const rows = Object.values(OPERATIONS).map(({ op, summary }) => `| \`${op}\` | ${summary} |`);
  const head =
    '# Operations\n\nWhat the programs of alterations are made of: one file each in `core/alterations/operations`. Written by `npm run docs` from the registry.';
  return {
    name: 'operations.md',
    text: `${[head, ['| operation | does |', '| --- | --- |', ...rows].join('\n')].join('\n\n')}\n`,
  };
}

/** The glossary of the app, as a page of the docs beside the alterations. */
export function glossaryPage(): DocFile {
  const rows = GLOSSARY.map(({ term, meaning }) => `| ${term} | ${meaning} |`);
  const head =
    '# Glossary\n\nOne word, one meaning, on screen, on paper and in the code. Written by `npm run docs` from what Help shows.';
  return {
    name: 'glossary.md',
    text: `${[head, ['| term | meaning |', '| --- | --- |', ...rows].join('\n')].join('\n\n')}\n`,
  };
}

/** Every page and drawing, and the page that lists them. */
export function alterationDocs(): readonly DocFile[] {
  const list = FAMILIES.map((family) => {
    const rows = CATALOGUE.filter((d) => d.family === family).map(
      (d) => `- [${ALTERATION_WORDS[d.id]?.name ?? d.id}](${d.id}.md): ${ALTERATION_WORDS[d.id]?.about ?? ''}`,
    );
    return `## ${FAMILY_WORDS[family]}\n\n${rows.join('\n')}`;
  });
  const head =
    '# Alterations\n\nWritten from the definitions in `core/alterations` by `npm run docs`; a test keeps them true. Blue is the seam line, dotted the seam line before, red what is drawn and cut, the brass pin a hinge.';
  return [
    operationsPage(),
    { name: 'README.md', text: `${[head, ...list].join('\n\n')}\n` },
    ...CATALOGUE.flatMap(page),
  ];
}
