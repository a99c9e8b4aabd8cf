import { AROUND, flatOf } from '../../alterations/index.ts';
import {
  aroundAt,
  edgesWithRole,
  type LevelName,
  type MeasurementKey,
  type Pattern,
  type Piece,
  type Seam,
} from '../../pattern/index.ts';
import type { Body } from '../fit/body.ts';
import { MEASUREMENT_CATALOGUE, type MeasurementDefinition } from '../fit/catalogue.ts';
import type { Ease } from '../fit/ease.ts';
import { chartBody, type EaseAt, type Eases } from '../fit/eases.ts';
import { LIMBS } from '../fit/needed.ts';
import type { Uncertainty } from '../fit/uncertainty.ts';

/** Pieces and the seams between them. */
export interface Sewn {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}

/** Where the pattern's figure comes from. `chart` compares body with body: no ease is added to either. */
export type FlatSource = 'pieces' | 'typed' | 'printed' | 'chart';

/** The share of a difference that one edge, piece or seam takes. */
export interface Share {
  /** The difference is divided by this. */
  readonly parts: number;
  readonly why: 'sides' | 'seams' | 'bust' | 'halves' | 'armholes' | 'whole';
}

/** One line of the worksheet, mm. What is not known is null. */
export interface Row {
  readonly key: MeasurementKey;
  readonly body: number | null;
  readonly ease: number;
  /** Where the ease comes from; `room`: what a loose design leaves over this body, which is enough. */
  readonly easeFrom: EaseAt['from'] | 'room';
  /** The design's own ease, where pieces and chart tell it, and what a body needs to move. */
  readonly design: number | null;
  readonly wearing: number;
  readonly wanted: number | null;
  readonly pattern: number | null;
  readonly from: FlatSource | null;
  /** Wanted less pattern: positive, the pattern must grow. */
  readonly difference: number | null;
  /** A difference no larger than this lies within what a tape can tell. */
  readonly within: number;
  readonly share: Share;
  readonly each: number | null;
  /** The pattern measured again once the plan is carried out, and what is left then. */
  readonly after: number | null;
  readonly left: number | null;
  /** At the bust height: how much lower the bust point lies on the altered paper than the wearer's own, mm; else 0. */
  readonly fallen: number;
  /** At the bust height: how much lower the bust point lies measured from the waist up than from the neck down, mm; else 0. */
  readonly apart: number;
}

/** Whether a row's difference is more than a tape may be wrong by. */
export const isTold = (row: Pick<Row, 'difference' | 'within'>): boolean =>
  row.difference !== null && Math.abs(row.difference) > row.within;

/** Whether the pattern itself leaves a body less than it needs to move, where that is worth telling. */
export const isTight = (row: Pick<Row, 'design' | 'wearing' | 'within' | 'from'>): boolean =>
  row.design !== null && row.from !== 'chart' && row.wearing > 0 && row.wearing - row.design > row.within;

/** What a pattern without pieces is known to measure, and how it is known. */
export type ToldFlat = Readonly<
  Partial<Record<MeasurementKey, { readonly value: number; readonly from: Exclude<FlatSource, 'pieces'> }>>
>;

/** With paper only: flat measurements typed for a size, the printed bust, and for the rest chart and usual ease. */
export function toldFlat(pattern: Pattern, size: string, ease: Ease): ToldFlat {
  const typed = pattern.flat[size] ?? {};
  const chart = chartBody(pattern, size);
  const printed = pattern.finished[size]?.bust;
  const out: Partial<Record<MeasurementKey, { value: number; from: Exclude<FlatSource, 'pieces'> }>> = {};
  for (const { key } of MEASUREMENT_CATALOGUE) {
    const flat = typed[key];
    const row = chart[key];
    if (flat !== undefined) out[key] = { value: flat, from: 'typed' };
    else if (key === 'fullBust' && printed !== undefined) out[key] = { value: printed, from: 'printed' };
    else if (row !== undefined) out[key] = { value: row + (ease[key] ?? 0), from: 'chart' };
  }
  return out;
}

/** Seam edges that can take a width at a level, all around: sides and princess seams, both halves. */
function edgesAround(pieces: readonly Piece[], level: LevelName, below: number): number {
  const around = aroundAt(pieces, level, below);
  if (!around.ok) return 0;
  return around.value.over.reduce((n, { piece: id }) => {
    const piece = pieces.find((p) => p.id === id);
    if (!piece) return n;
    const seams = (['side', 'princess'] as const).filter((role) => edgesWithRole(piece, role).length > 0).length;
    return n + seams * (piece.half ? 2 : 1);
  }, 0);
}

/** How a difference is shared out: by four at the sides, by more where a draft has more seams to spread it over. */
export function shareOf({ key, share }: MeasurementDefinition, pieces: readonly Piece[]): Share {
  if (key === 'fullBust') return { parts: 4, why: 'bust' };
  const at = AROUND[key];
  const edges = at ? edgesAround(pieces, ...at) : 0;
  if (edges > 4) return { parts: edges, why: 'seams' };
  if (share === 1 / 4) return { parts: 4, why: 'sides' };
  if (share === 1 / 2) return { parts: 2, why: key === 'armhole' ? 'armholes' : 'halves' };
  return { parts: 1, why: 'whole' };
}

export interface Compared {
  readonly body: Body;
  readonly eases: Eases;
  readonly uncertainty: Uncertainty;
  readonly pattern: Pattern;
  readonly size: string;
  /** The pieces as drafted and as the plan leaves them. */
  readonly before: Sewn;
  readonly after: Sewn;
  /** Set with paper only: the pieces are then a draft like it, on which changes are measured but not sizes. */
  readonly told: ToldFlat | null;
  /** With paper only: by how much the steps were asked to change each measurement, mm; what none asks for stays. */
  readonly asked?: Readonly<Partial<Record<MeasurementKey, number>>>;
  /** Measurements a step has set to the body's own: the paper is longer there for the fullness, not for the place. */
  readonly placed: readonly MeasurementKey[];
  /** How far a bust step has carried the bust point down the paper, mm. */
  readonly fallen?: number;
  /** How much lower the wearer's bust point lies from the waist up than from the neck down, mm. */
  readonly apart?: number;
}

const valueOf = (on: Sewn, key: MeasurementKey): number | null => flatOf(on, key)?.value ?? null;

/**
 * The ease a loose design leaves this body, when that is enough; null when it is not, or when the design is not loose
 * there.
 */
const roomLeft = (ease: EaseAt, body: number, pattern: number): number | null =>
  ease.loose && body + ease.wearing <= pattern ? pattern - body : null;

/** How closely a change on the stand-in draft must match the typed amount to count as the same, as a share. */
const NEAR = 0.15;
/**
 * With paper only, what a step changes is what was typed for it; the draft like it tells the way it goes, and the amount
 * only where it goes another way about. What no step was asked for is not known to have changed.
 */
function onPaperOnly(onDraft: number, asked: number | undefined): number {
  if (asked === undefined) return 0;
  const near = Math.abs(Math.abs(onDraft) - Math.abs(asked)) <= Math.max(NEAR * Math.abs(asked), 1.5);
  return near ? Math.sign(onDraft) * Math.abs(asked) : onDraft;
}

/**
 * Body, ease, wanted, pattern, difference and each piece's share, measurement by measurement, and what is left on
 * the altered pieces; `only` some of them where the rest is not wanted. Rows of which neither body nor pattern is known are left out.
 */
export function worksheet(
  { body, eases, uncertainty, pattern, size, before, after, told, asked, placed, fallen = 0, apart = 0 }: Compared,
  only?: readonly MeasurementKey[],
): readonly Row[] {
  const chart = chartBody(pattern, size);
  return MEASUREMENT_CATALOGUE.flatMap((d): readonly Row[] => {
    const { key } = d;
    if (only && !only.includes(key)) return [];
    const measured = body[key] ?? null;
    const drafted = valueOf(before, key);
    const from = told ? told[key] : undefined;
    const onlyOnPieces = !told && LIMBS.includes(key);
    const isBelow = !told && pattern.garment === 'bottom';
    // What hangs from the waist tells nothing of a bodice.
    const byChart = key === 'height' ? pattern.draftedHeight : onlyOnPieces || isBelow ? null : (chart[key] ?? null);
    let flat: number | null = null;
    let source: FlatSource | null = null;
    const ease = eases[key];
    let given = ease.value;
    if (told && from) [flat, source] = [from.value, from.from];
    else if (!told && drafted !== null) [flat, source] = [drafted, 'pieces'];
    else if (byChart !== null) [flat, source, given] = [byChart, 'chart', 0];
    if (flat === null && (measured === null || isBelow)) return [];
    const now = valueOf(after, key);
    const onDraft = drafted !== null && now !== null ? now - drafted : 0;
    const onPaper = told && asked ? onPaperOnly(onDraft, asked[key]) : onDraft;
    const leaves = (has: number): number | null => (measured === null ? null : roomLeft(ease, measured, has));
    /** What is wanted of a pattern that measures so much: what it has, where that is enough. */
    const wantedOf = (has: number): number | null =>
      measured === null ? null : leaves(has) === null ? measured + given : has;
    const room = flat === null ? null : leaves(flat);
    const wanted = wantedOf(flat ?? -Infinity);
    const compared = ease.from !== 'untold' || source !== 'pieces';
    const difference = wanted === null || flat === null || !compared ? null : wanted - flat;
    const byBody = placed.includes(key) && difference !== null;
    const altered = flat === null ? null : flat + (byBody ? difference : onPaper);
    const then = altered === null ? null : wantedOf(altered);
    const share = shareOf(d, before.pieces);
    return [
      {
        key,
        body: measured,
        ease: room ?? given,
        easeFrom: room === null ? ease.from : 'room',
        design: ease.design,
        wearing: ease.wearing,
        wanted: compared ? wanted : null,
        pattern: flat,
        from: source,
        difference,
        within: uncertainty[key],
        share,
        each: difference === null ? null : difference / share.parts,
        after: altered,
        left: then === null || altered === null || !compared ? null : then - altered,
        fallen: key === 'neckPointToBustPoint' && byBody ? fallen : 0,
        apart: key === 'neckPointToBustPoint' ? apart : 0,
      },
    ];
  });
}

/** By how much a step changed what the pattern measures, where that is worth telling. */
export function effectsOf(
  before: Sewn,
  after: Sewn,
  keys: readonly MeasurementKey[],
  least: number,
): readonly { readonly key: MeasurementKey; readonly by: number }[] {
  return keys.flatMap((key) => {
    const [a, b] = [valueOf(before, key), valueOf(after, key)];
    return a === null || b === null || Math.abs(b - a) < least ? [] : [{ key, by: b - a }];
  });
}
