import { create } from 'zustand';
import { history } from './job.ts';

/** What a station keeps to be taken back by itself, beside the job: it goes before the job's own steps. */
interface Station {
  readonly back: boolean;
  readonly forth: boolean;
  readonly undo: () => void;
  readonly redo: () => void;
}
export const useStationHistory = create<{ readonly station: Station | null }>()(() => ({ station: null }));

/** Takes the last step back: the station's, as long as it has any, else the job's. */
export function undoHere(): void {
  const { station } = useStationHistory.getState();
  if (station?.back) station.undo();
  else history().undo();
}
export function redoHere(): void {
  const { station } = useStationHistory.getState();
  if (station?.forth) station.redo();
  else history().redo();
}
