import { Download } from 'lucide-react';
import { useEffect, useState } from 'react';
import { formMesh, writeStl, type Body, type Form } from '@ample/core/form';
import { MEASUREMENT_WORDS, sayConflict } from '@ample/core/words';
import { Length, Notice } from '../../shared/basics.tsx';
import { download } from '../../store/export.ts';
import { useUnits } from '../../store/prefs.ts';
import { startForm } from '../../workers/client.ts';
import { FormDrawing } from './FormDrawing.tsx';

/** A body, and how its right side differs. */
interface Measured {
  readonly body: Body;
  readonly right: Body | null;
}
type Found = { readonly form: Form } | { readonly trouble: string };

/** The form of a body, worked out beside the page; the last one stays until the next is there. */
function useForm(body: Body, right: Body | null): Found | null {
  const [found, setFound] = useState<Found | null>(null);
  const key = JSON.stringify({ body, right });
  useEffect(() => {
    const work = startForm(JSON.parse(key) as Measured);
    let gone = false;
    work.done.then(
      (form) => !gone && setFound({ form }),
      (error: unknown) => !gone && setFound({ trouble: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      gone = true;
      work.cancel();
    };
  }, [key]);
  return found;
}

/** So much must be known of a body for a form of it to say anything. */
const enough = (body: Body): boolean =>
  body.waist !== undefined && (body.fullBust ?? body.highBust ?? body.hip) !== undefined;

/** A dress form made to the measurements, measured back: what goes together, and what does not. */
export function OnForm(of: Measured & { readonly name: string }) {
  if (!enough(of.body)) return <p>Take the waist and the bust or the hip first: a form is made from them.</p>;
  return <Solved {...of} />;
}

function Solved({ body, right, name }: Measured & { readonly name: string }) {
  const units = useUnits();
  const found = useForm(body, right);
  if (!found) return <p role="status">Working out the form …</p>;
  if ('trouble' in found)
    return (
      <Notice grade="fault">
        The form could not be worked out: {found.trouble}. Change a measurement, or load the page again.
      </Notice>
    );
  const { form } = found;
  const save = (scale: number): void =>
    download(
      `${name}-form${scale === 1 ? '' : '-half'}.stl`,
      writeStl(formMesh(form.figure, false), scale) as BlobPart,
      'model/stl',
    );
  return (
    <div className="grid gap-6 min-[900px]:grid-cols-2">
      <div>
        <FormDrawing figure={form.figure} />
        <p className="mt-2 text-sm text-quiet">
          Computed from the tape alone: it differs from the body wherever no tape was laid. Arms and legs are left off.
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          <button className="btn" onClick={() => save(1)}>
            <Download size={18} aria-hidden /> STL
          </button>
          <button className="btn" onClick={() => save(0.5)}>
            <Download size={18} aria-hidden /> STL, half scale
          </button>
        </div>
      </div>
      <div>
        {form.conflicts.length === 0 ? (
          <Notice grade="note">The measurements go together: a tape on the form reads each of them within 1 cm.</Notice>
        ) : (
          form.conflicts.map((row) => (
            <div className="mb-2" key={`${row.key}${row.right ? ' right' : ''}`}>
              <Notice grade="look">{sayConflict(row, units)}</Notice>
            </div>
          ))
        )}
        <MeasuredBack form={form} />
      </div>
    </div>
  );
}

/** Each measurement beside what a tape reads on the form. */
function MeasuredBack({ form }: { readonly form: Form }) {
  return (
    <table className="mt-3 w-full" aria-label="Measured back">
      <thead>
        <tr className="border-b border-ink text-left text-sm">
          <th className="py-1 font-normal">Measured back</th>
          <th className="py-1 text-right font-normal">Body</th>
          <th className="py-1 text-right font-normal">Form</th>
        </tr>
      </thead>
      <tbody>
        {form.rows.map((row) => (
          <tr key={`${row.key}${row.right ? ' right' : ''}`} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {MEASUREMENT_WORDS[row.key].name}
              {row.right && ', right'}
            </th>
            <td className="py-1 text-right">
              {row.body === null ? <span className="text-quiet">filled in</span> : <Length value={row.body} />}
            </td>
            <td className="py-1 text-right">
              <Length value={row.form} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
