import { PAPERS, type PaperId } from '@ample/core/out';
import { usePrefs } from '../../store/prefs.ts';
import { Check } from '../../ui/Check.tsx';
import { Radio } from '../../ui/Radio.tsx';

/** Which paper the pages are for. */
export function PaperChoice() {
  const paper = usePrefs((s) => s.paper);
  const turn = usePrefs((s) => s.turn);
  const apart = usePrefs((s) => s.apart);
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Paper</legend>
      {(Object.keys(PAPERS) as PaperId[]).map((id) => (
        <Radio key={id} name="paper" on={paper === id} set={() => usePrefs.setState({ paper: id })}>
          {PAPERS[id].name}
          <span className="num text-sm text-quiet">
            {id === 'roll' ? 'as long as needed' : `${PAPERS[id].width} × ${PAPERS[id].height} mm`}
          </span>
        </Radio>
      ))}
      <div className="border-t border-line pt-1">
        <Check on={turn} set={(on) => usePrefs.setState({ turn: on })}>
          turn pieces a quarter to save paper
        </Check>
        {paper !== 'roll' && (
          <Check on={apart} set={(on) => usePrefs.setState({ apart: on })}>
            every piece on pages of its own
          </Check>
        )}
      </div>
    </fieldset>
  );
}
