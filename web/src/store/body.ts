import { newestFirst } from '@ample/core/fitting/fit';
import type { Wearer } from '@ample/core/documents';
import type { HeightLies, MeasurementKey } from '@ample/core/pattern';
import { useJob } from './job.ts';
import { freshId } from '../lib/ids.ts';

type Set = Wearer['sets'][number];

const editWearer = (change: (w: Wearer) => Wearer): void =>
  useJob.setState((s) => (s.wearer ? { wearer: change(s.wearer) } : s));
const editSet = (id: string, change: (set: Set) => Set): void =>
  editWearer((w) => ({ ...w, sets: w.sets.map((x) => (x.id === id ? change(x) : x)) }));

/** Readings with one put in or, null, taken away. */
function withReading(was: readonly number[], index: 0 | 1, value: number | null): readonly number[] {
  const now = [...was];
  if (value === null) now.splice(index, 1);
  else now[Math.min(index, now.length)] = value;
  return now;
}

/** One reading of a set; null takes it away. A value taken again is no longer carried over. */
export const setReading = (set: string, key: MeasurementKey, index: 0 | 1, value: number | null): void =>
  editSet(set, (s) => {
    // The first reading of a carried value replaces all of it: the old one was another day's.
    const was = value !== null && s.carried.includes(key) ? [] : (s.readings[key] ?? []);
    const now = withReading(was, index, value);
    const { [key]: _old, ...rest } = s.readings;
    const { [key]: right, ...others } = s.right;
    return {
      ...s,
      readings: now.length > 0 ? { ...rest, [key]: [...now] } : rest,
      // What differs on the right differs from something.
      right: now.length > 0 && right ? { ...others, [key]: right } : others,
      carried: s.carried.filter((k) => k !== key),
    };
  });

/** One reading of what differs on the right; null takes it away, and with the last one the difference. */
export const setRight = (set: string, key: MeasurementKey, index: 0 | 1, value: number | null): void =>
  editSet(set, (s) => {
    const now = withReading(s.right[key] ?? [], index, value);
    const { [key]: _old, ...rest } = s.right;
    return { ...s, right: now.length > 0 ? { ...rest, [key]: [...now] } : rest };
  });

/** Where the difference in height lies. */
export const setHeightLies = (heightLies: HeightLies): void => editWearer((w) => ({ ...w, heightLies }));

export const setRemark = (set: string, key: MeasurementKey, text: string): void =>
  editSet(set, (s) => {
    const { [key]: _old, ...rest } = s.remarks;
    return { ...s, remarks: text.trim() === '' ? rest : { ...rest, [key]: text.trim() } };
  });

export const setDate = (set: string, date: string): void => editSet(set, (s) => ({ ...s, date }));

/** A new dated set: empty, or with the last values to be taken again one by one. Returns its id. */
export function addSet(date: string, copy: boolean): string {
  const id = freshId('s');
  editWearer((w) => {
    const last = newestFirst(w.sets)[0];
    const { readings = {}, right = {} } = copy && last ? last : {};
    const set: Set = {
      id,
      date,
      readings: readings as Set['readings'],
      right: right as Set['right'],
      remarks: {},
      carried: Object.keys(readings) as MeasurementKey[],
      notes: '',
    };
    return { ...w, sets: [...w.sets, set] };
  });
  return id;
}

export const removeSet = (id: string): void =>
  editWearer((w) => (w.sets.length > 1 ? { ...w, sets: w.sets.filter((s) => s.id !== id) } : w));
