import { Link, useParams } from 'react-router';
import { MEASUREMENT_CATALOGUE, neededFor, SIDED } from '@ample/core/fitting/fit';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { NumberedFigure } from '../../shared/figure/Figure.tsx';
import { useJob } from '../../store/job.ts';
import { useLibrary } from '../../store/library.ts';
import { patternOf } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { en } from '@ample/core/speech';

/** A sheet to fill in with a pencil beside the body: numbered figures, how to, two readings, a date. */
export function MeasuringSheet() {
  const { job, wearer } = useJob();
  const patterns = useLibrary((s) => s.patterns);
  const { unit } = useUnits();
  const { job: id } = useParams();
  const needed = neededFor(patternOf(job, patterns), job?.steps ?? []);
  const keys = MEASUREMENT_CATALOGUE.map((d) => d.key);
  const order = [...keys.filter((k) => needed.includes(k)), ...keys.filter((k) => !needed.includes(k))];
  return (
    <main className="h-full overflow-auto bg-white print:overflow-visible">
      <div className="mx-auto max-w-[1000px] p-6 max-[500px]:px-4 print:max-w-none print:p-0">
        <div className="mb-4 flex gap-3 print:hidden">
          <button className="btn btn-main" onClick={() => window.print()}>
            Print
          </button>
          <Link className="btn" to={`/job/${id}/body`}>
            Back to Body
          </Link>
        </div>
        <h1>Measuring sheet{wearer && `, ${wearer.name}`}</h1>
        <p className="mt-1">
          Date ______________ Measured by ______________ In {unit === 'cm' ? en`centimetres` : 'inches'}, over the
          underwear meant for the garment.
        </p>
        <p className="mt-1 text-sm">
          Tie a tape round the natural waist and leave it on. Tape level, snug and never tight; breathe in and out
          before reading. Take each twice; where they differ by more than {unit === 'cm' ? '1 cm' : '3/8 in'}, take a
          third.
        </p>
        <div className="my-3 flex flex-wrap justify-between gap-1 max-[500px]:justify-center print:flex-nowrap">
          {(['front', 'back', 'side', 'seated'] as const).map((view) => (
            <NumberedFigure key={view} view={view} keys={order} />
          ))}
        </div>
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="w-8 py-1 font-normal">No.</th>
              <th className="py-1 font-normal">Measurement, and how</th>
              <th className="w-[28mm] py-1 font-normal">First</th>
              <th className="w-[28mm] py-1 font-normal">Second</th>
            </tr>
          </thead>
          <tbody>
            {order.map((key, i) => (
              <tr key={key} className="break-inside-avoid border-b border-line align-top">
                <td className="num py-1.5">{i + 1}</td>
                <td className="py-1.5 pr-3">
                  <strong>{MEASUREMENT_WORDS[key].name}</strong>
                  {needed.includes(key) && ' (needed)'}. {MEASUREMENT_WORDS[key].how}
                  {SIDED.includes(key) && ' Take it on the left; if the right differs, note that as well.'}
                </td>
                <td className="border-l border-line" />
                <td className="border-l border-line" />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </main>
  );
}
