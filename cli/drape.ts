import { CLOTH_IDS, usualCloth, type ClothId } from '@ample/core/cloth';
import { figureUnder, shows, wholeMesh, type Reading } from '@ample/core/drape';
import { allOnForm, moreOf, signsOf, toSee, type Seen } from '@ample/core/fitting/onForm';
import { formMesh, writeStl, type Mesh } from '@ample/core/form';
import { writeGlb, writeObj, type Part } from '@ample/core/out/model';
import { leftOut } from '@ample/core/sew';
import { ok, refuse, toEnd, type Result } from '@ample/core/units';
import { onFormIs, READING_WORDS, sayConflict, sayReading } from '@ample/core/words';
import { UNITS } from './commands.ts';
import { formRow } from './form.ts';
import { writeOut } from './files.ts';
import { loadJob } from './resolve.ts';

export interface DrapeOptions {
  readonly cloth: string | null;
  /** The pieces as drafted instead of as planned. */
  readonly drafted: boolean;
  /** Only the coarse mesh, without what the readings depend on: seconds instead of half a minute. */
  readonly quick: boolean;
  /** Where the sides differ, read on the wearer’s right instead of the left. */
  readonly right: boolean;
  /** Set-in sleeves too, on a form with its arms on. */
  readonly sleeves: boolean;
  readonly out: string | undefined;
}

/** `ample drape`: the pieces sewn by computation and hung on a form of the wearer, read as a toile is read. */
export async function drape(file: string, options: DrapeOptions): Promise<Result<unknown>> {
  const job = loadJob(file);
  if (!job.ok) return job;
  const named = options.cloth ?? usualCloth(job.value.pattern.fabric);
  const cloth = CLOTH_IDS.find((id) => id === named);
  if (!cloth) return refuse('form-cloth-unknown', { cloth: named, cloths: CLOTH_IDS.join(', ') });
  const wanted = toSee(job.value, options.right ? 'right' : 'left', options.sleeves);
  if (!wanted.ok) return wanted;
  const began = Date.now();
  const found = allOnForm(
    options.drafted ? { ...wanted.value, planned: null } : wanted.value,
    cloth,
    options.quick ? 'coarse' : 'fine',
  );
  if (!found.ok) return found;
  const { seen, kept } = found.value;
  const { form, size, planned, differ, side } = seen;
  const plan = options.drafted ? { ...job.value, job: { ...job.value.job, steps: [] } } : job.value;
  const more = options.quick ? null : toEnd(moreOf(plan, kept));
  const notOn = leftOut(planned.garment, planned.worn.toile);
  const report = {
    ...{
      size,
      cloth,
      as: options.drafted ? 'drafted' : 'planned',
      says: onFormIs(notOn.map((p) => p.name)),
      leftOut: notOn.map(({ id, name }) => ({ id, name })),
      ...(differ ? { side } : {}),
    },
    form: form.rows.map(formRow),
    conflicts: form.conflicts.map((row) => ({ key: row.key, says: sayConflict(row, UNITS) })),
    settled: planned.worn.settled,
    seconds: (Date.now() - began) / 1000,
    points: planned.worn.sheet.points,
    readings: planned.readings.map((r) => told(r, more?.plusMinus[r.id] ?? null)),
    signs: signsOf(planned.readings).map(({ sign, amount, from }) => ({ sign, amount, from: from.map((r) => r.id) })),
    ...(more && {
      steps: more.without.map(({ step, alteration, readings }) => ({
        ...{ step, alteration },
        without: Object.fromEntries(readings.map((r) => [r.id, r.value])),
      })),
    }),
  };
  if (options.out === undefined) return ok(report);
  const written = writeOut(options.out, await filesOf(planned, cloth));
  return written.ok ? ok({ ...report, written: written.value }) : written;
}

const told = (r: Reading, plusMinus: number | null) => ({
  id: r.id,
  place: READING_WORDS[r.id].place,
  ...{ value: r.value, unit: r.unit, control: r.control, off: r.off, threshold: r.threshold },
  ...(plusMinus === null ? {} : { plusMinus }),
  shows: shows(r),
  says: sayReading(r),
});

async function filesOf({ halves }: Seen, cloth: ClothId): Promise<readonly (readonly [string, Uint8Array | string])[]> {
  const figure = figureUnder(halves);
  const form = formMesh(figure, halves.left.arms);
  const metres: Mesh = { ...form, positions: form.positions.map((v) => v / 1000) };
  const parts: readonly Part[] = [
    { name: 'form', mesh: metres, colour: [0.55, 0.53, 0.5], thin: false },
    { name: cloth, mesh: wholeMesh(halves), colour: [0.95, 0.93, 0.87], thin: true },
  ];
  return [
    ['toile.glb', await writeGlb(parts)],
    ['toile.obj', writeObj(parts)],
    ['form.stl', writeStl(formMesh(figure, false))],
  ];
}
