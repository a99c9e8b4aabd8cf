import { isSample, SAMPLE_IDS, sampleName } from '@ample/core/blocks';
import { useLibrary } from '../store/library.ts';

/** Every pattern at hand as options of a list: one's own, then the house's samples. */
export function PatternOptions() {
  const patterns = useLibrary((s) => s.patterns);
  const own = patterns.filter((p) => !isSample(p.id));
  return (
    <>
      {own.map((p) => (
        <option key={p.id} value={p.id}>
          {p.name}
        </option>
      ))}
      {SAMPLE_IDS.map((id) => (
        <option key={id} value={id}>
          {sampleName(id)}
        </option>
      ))}
    </>
  );
}
