import { bodyFrom } from '@ample/core/fitting/fit';
import { formOf, meshOf, shapeOf, writeStl } from '@ample/core/form';
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
  const { figure, rows, conflicts } = formOf(bodyFrom(job.value.wearer.sets));
  const report = {
    form: rows.map(({ key, body, form: read, filled }) => ({
      key,
      name: MEASUREMENT_WORDS[key].name,
      body,
      form: read,
      filled,
    })),
    conflicts: conflicts.map((row) => ({ key: row.key, says: sayConflict(row, UNITS) })),
  };
  if (out === undefined) return ok(report);
  const written = writeOut(out, [['form.stl', writeStl(meshOf(shapeOf(figure)), half ? 0.5 : 1)]]);
  return written.ok ? ok({ ...report, written: written.value }) : written;
}
