import { create } from 'zustand';
import type { Practised } from '@ample/core/documents/bundle';
import type { Grade } from '@ample/core/practice';
import { db } from './db.ts';
import { useLibrary } from './library.ts';
import { storageTrouble } from './persistence.ts';

interface Practice {
  /** By what was practised and its grade; null until it has been read. */
  readonly done: Readonly<Record<string, Practised>> | null;
}

/** What has been practised in this browser, how often and how well. */
export const usePractice = create<Practice>()(() => ({ done: null }));

export const practiceKey = (lesson: string, grade: Grade | 'only'): string => `${lesson} ${grade}`;

/** What was kept, read once. */
export const openPractice = async (): Promise<Readonly<Record<string, Practised>>> =>
  usePractice.getState().done ?? (await readPractice());

/** Reads what was kept anew. */
export async function readPractice(): Promise<Readonly<Record<string, Practised>>> {
  let done: Record<string, Practised> = {};
  try {
    done = Object.fromEntries((await db.practice.toArray()).map((r) => [r.id, r]));
  } catch (error) {
    useLibrary.setState({ trouble: storageTrouble(error) });
  }
  usePractice.setState({ done });
  return done;
}

/** Notes that something was practised: its best score, mm, and when. */
export async function notePractice(lesson: string, grade: Grade | 'only', score: number): Promise<void> {
  const id = practiceKey(lesson, grade);
  const was = (await openPractice())[id];
  const row: Practised = {
    ...{ id, best: Math.min(score, was?.best ?? Infinity) },
    ...{ times: (was?.times ?? 0) + 1, at: new Date().toISOString() },
  };
  usePractice.setState((s) => ({ done: { ...s.done, [id]: row } }));
  try {
    await db.practice.put(row);
  } catch (error) {
    useLibrary.setState({ trouble: storageTrouble(error) });
  }
}
