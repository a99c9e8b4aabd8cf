import type { Piece } from '../../pattern/index.ts';
import { SYMPTOMS, type Symptom, type Zone } from './symptoms.ts';

/** What is worn: it hangs from the shoulder, from the waist, or has legs. */
export type Worn = 'bodice' | 'skirt' | 'trousers';

const LEG_PARTS: readonly Piece['part'][] = ['trouserFront', 'trouserBack'];
const SKIRT_PARTS: readonly Piece['part'][] = ['skirtFront', 'skirtBack'];
const BODICE_PARTS: readonly Piece['part'][] = ['front', 'sideFront', 'back', 'sideBack'];

/** What these pieces are worn as; where nothing tells, a bodice. */
export function wornAs(pieces: readonly Piece[]): Worn {
  const has = (parts: readonly Piece['part'][]): boolean => pieces.some((p) => parts.includes(p.part));
  if (has(LEG_PARTS)) return 'trousers';
  return has(SKIRT_PARTS) && !has(BODICE_PARTS) ? 'skirt' : 'bodice';
}

const ABOVE: readonly Zone[] = ['neck', 'shoulder', 'upperBack', 'armhole', 'bust', 'sleeve'];
const LEGS: readonly Zone[] = ['crotch', 'leg'];

const shows = ({ id, zone }: Symptom, worn: Worn): boolean => {
  if (LEGS.includes(zone) || id === 'front-waist-stands' || id === 'back-waist-dips') return worn === 'trousers';
  if (ABOVE.includes(zone) || id === 'waist-high' || id === 'waist-low') return worn === 'bodice';
  return worn !== 'trousers' || (zone !== 'hem' && id !== 'cloth-above-seat');
};

/** What a fitting of it may show: trousers tell nothing of a shoulder, a bodice nothing of a leg. */
export const symptomsFor = (worn: Worn): readonly Symptom[] => SYMPTOMS.filter((s) => shows(s, worn));
