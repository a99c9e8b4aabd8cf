import { en } from '@ample/core/speech';

/** The stations of a job in the order of the work; the numbers are the keys that go there. */
export const STATIONS = [
  { id: 'body', name: 'Body' },
  { id: 'pattern', name: 'Pattern' },
  { id: 'size', name: 'Size' },
  { id: 'compare', name: 'Compare' },
  { id: 'plan', name: 'Plan' },
  { id: 'table', name: 'Table' },
  { id: 'check', name: 'Check' },
  {
    id: 'toile',
    get name() {
      return en`Toile`;
    },
  },
  { id: 'print', name: 'Print' },
] as const;
export type StationId = (typeof STATIONS)[number]['id'];
