import { create } from 'zustand';
import type { Grade } from '@ample/core/practice';
import type { Practised } from '@ample/core/documents/bundle';
import { db } from './db.ts';

interface Practice {
  /** By what was practised and its grade. */
  readonly done: Readonly<Record<string, Practised>>;
}

/** What has been practised in this browser, how often and how well. */
export const usePractice = create<Practice>()(() => ({ done: {} }));

export const practiceKey = (lesson: string, grade: Grade | 'only'): string => `${lesson} ${grade}`;

/** Reads what was kept; nothing where the browser keeps nothing. */
export async function openPractice(): Promise<void> {
  try {
    const rows = await db.practice.toArray();
    usePractice.setState({ done: Object.fromEntries(rows.map((r) => [r.id, r])) });
  } catch {
    // Practice goes on without being remembered.
  }
}

/** Notes that something was practised: its best score, mm, and when. */
export async function notePractice(lesson: string, grade: Grade | 'only', score: number): Promise<void> {
  const id = practiceKey(lesson, grade);
  const was = usePractice.getState().done[id];
  const row: Practised = {
    id,
    best: Math.min(score, was?.best ?? Infinity),
    times: (was?.times ?? 0) + 1,
    at: new Date().toISOString(),
  };
  usePractice.setState((s) => ({ done: { ...s.done, [id]: row } }));
  try {
    await db.practice.put(row);
  } catch {
    // As above.
  }
}
