import { bodyFrom, rightFrom } from '@ample/core/fitting/fit';
import { formMesh, formOfBoth, writeStl, type FormRow } from '@ample/core/form';
import { ok, type Result } from '@ample/core/units';
import { MEASUREMENT_WORDS, sayConflict } from '@ample/core/words';
import { UNITS } from './commands.ts';
import { writeOut } from './files.ts';
import { loadJob } from './resolve.ts';

/**
 * `ample form`: a dress form of the wearer's measurements, measured back by tape, and the measurements that contradict each
 * other. With a folder, the form as form.stl, whole or at half scale. Lengths in mm.
 */
export function form(file: string, out: string | undefined, half: boolean): Result<unknown> {
  const job = loadJob(file);
  if (!job.ok) return job;
  const { sets } = job.value.wearer;
  const { figure, rows, conflicts } = formOfBoth(bodyFrom(sets), rightFrom(sets));
  const report = {
    form: rows.map((row) => ({ ...formRow(row), name: MEASUREMENT_WORDS[row.key].name })),
    conflicts: conflicts.map((row) => ({ key: row.key, says: sayConflict(row, UNITS) })),
  };
  if (out === undefined) return ok(report);
  const written = writeOut(out, [['form.stl', writeStl(formMesh(figure, false), half ? 0.5 : 1)]]);
  return written.ok ? ok({ ...report, written: written.value }) : written;
}

/** A measurement beside what the tape reads on the form; `side` where it was taken on the right by itself. */
export const formRow = ({ key, body, form: read, filled, right }: FormRow) => ({
  ...{ key, body, form: read, filled },
  ...(right ? { side: 'right' } : {}),
});
