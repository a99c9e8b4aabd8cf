import 'fake-indexeddb/auto';
import { beforeEach, expect, it, vi } from 'vitest';
import { db } from './db.ts';
import { useLibrary } from './library.ts';
import { notePractice, openPractice, practiceKey, usePractice } from './practice.ts';

const free = practiceKey('swayback', 'free');
beforeEach(async () => {
  await db.practice.clear();
  usePractice.setState({ done: null });
  useLibrary.setState({ trouble: null });
});

it('keeps the best score, how often and when, also where it was never opened before', async () => {
  await notePractice('swayback', 'free', 4.2);
  // As another page of the app finds it.
  usePractice.setState({ done: null });
  await notePractice('swayback', 'free', 6);
  await notePractice('swayback', 'guided', 1);
  expect(await db.practice.get(free)).toMatchObject({ id: free, best: 4.2, times: 2 });
  expect(Object.keys(await openPractice())).toHaveLength(2);
});

it('goes on where the browser keeps nothing, and says so', async () => {
  const put = vi.spyOn(db.practice, 'put').mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'));
  await notePractice('swayback', 'free', 2);
  expect(usePractice.getState().done?.[free]?.best).toBe(2);
  expect(useLibrary.getState().trouble?.code).toBe('storage-full');
  put.mockRestore();
});
