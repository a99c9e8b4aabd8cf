import { wholeSample } from '@ample/core/blocks';
import { draft } from '@ample/core/fitting/plan';
import { fittingSchema, type Job, type Wearer } from '@ample/core/documents';
import { readBundle, writeBundle } from '@ample/core/documents/bundle';
import { symptomOf, type SymptomId } from '@ample/core/fitting/fit';
import { CLOTH_WIDTHS, layOutAll } from '@ample/core/out/layout';
import { rankCauses } from '@ample/core/fitting/toile';
import { DEMO_JOBS, DEMO_WEARERS } from '@ample/samples';

const SEEN: readonly SymptomId[] = [
  'cloth-above-seat',
  'shoulder-hangs',
  'tight-bust',
  'hem-rises-front',
  'armhole-gapes',
  'sleeve-binds',
  'loose-waist',
  'neck-gapes',
];

/** Causes of eight things seen, the dress laid on three cloths, and a backup of two hundred jobs packed and read. */
export function fittingBench(): {
  readonly causes: () => unknown;
  readonly cloth: () => unknown;
  readonly backup: () => unknown;
} {
  const job = DEMO_JOBS.find((j) => j.id === 'marit-causeway');
  const wearer = DEMO_WEARERS.find((w) => w.id === 'marit');
  if (!job || !wearer) throw new Error('bench: expected the demo scenario');
  const made = draft({ job, wearer, pattern: wholeSample('causeway') });
  const observations = SEEN.map((sign, i) => ({
    id: `o${i}`,
    sign,
    view: symptomOf(sign).view,
    at: symptomOf(sign).at,
    pinned: 8,
  }));
  const fitting = fittingSchema.parse({ id: 'f', date: '2026-11-24', observations });
  const wishes = CLOTH_WIDTHS.map((width) => ({ width, fold: true, oneWay: false }));
  const jobs: readonly Job[] = Array.from({ length: 200 }, (_, i) => ({ ...job, id: `j${i}`, fittings: [fitting] }));
  const wearers: readonly Wearer[] = DEMO_WEARERS;
  return {
    causes: () => rankCauses(fitting.observations, made, job),
    cloth: () => {
      const laid = layOutAll(made.pieces, wishes);
      if (laid.some((l) => !l.ok)) throw new Error('bench: expected the dress to lie on every cloth');
      return laid;
    },
    backup: () => {
      const read = readBundle(writeBundle({ wearers, patterns: [], jobs, photos: [] }, 'all', '2026-11-24T10:00:00Z'));
      if (!read.ok) throw new Error(`bench: expected a bundle that reads, got ${read.error.code}`);
      return read.value;
    },
  };
}
