import type { Garment, Hanging } from '@ample/core/fitting/fit';
import type { MeasurementKey } from '@ample/core/pattern';
import { useJob } from './job.ts';
import { editPattern } from './patterns.ts';

/** The wearer's own ease for a kind of garment; null goes back to the usual. */
export function setEase(garment: Garment, key: MeasurementKey, value: number | null): void {
  useJob.setState((s) => {
    if (!s.wearer) return s;
    const { [key]: _gone, ...rest } = s.wearer.eases[garment] ?? {};
    const mine = value === null ? rest : { ...rest, [key]: value };
    return { wearer: { ...s.wearer, eases: { ...s.wearer.eases, [garment]: mine } } };
  });
}

/** What hangs from a bodice that stretches; null where nothing does. */
export const setHanging = (hanging: Hanging | null): void =>
  useJob.setState((s) => (s.job ? { job: { ...s.job, hanging } } : s));

/** What the paper of a size measures flat; null leaves it to the chart. */
export function setFlat(size: string, key: MeasurementKey, value: number | null): void {
  editPattern((p) => {
    const { [key]: _gone, ...rest } = p.flat[size] ?? {};
    return { ...p, flat: { ...p.flat, [size]: value === null ? rest : { ...rest, [key]: value } } };
  });
}
