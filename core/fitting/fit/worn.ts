import type { Worn } from '../../pattern/index.ts';
import { SYMPTOMS, VIEWS, type Symptom, type View, type Zone } from './symptoms.ts';

const ABOVE: readonly Zone[] = ['neck', 'shoulder', 'upperBack', 'armhole', 'bust', 'sleeve'];
const LEGS: readonly Zone[] = ['crotch', 'leg'];

/** How a garment is looked at: trousers sitting down too. */
export const viewsOf = (worn: Worn): readonly View[] => VIEWS.filter((v) => v !== 'seated' || worn === 'trousers');

const shows = ({ id, zone, view }: Symptom, worn: Worn): boolean => {
  if (!viewsOf(worn).includes(view)) return false;
  if (LEGS.includes(zone) || id === 'front-waist-stands' || id === 'back-waist-dips') return worn === 'trousers';
  if (ABOVE.includes(zone) || id === 'waist-high' || id === 'waist-low') return worn === 'bodice';
  return worn !== 'trousers' || (zone !== 'hem' && id !== 'cloth-above-seat');
};

/** What a fitting of it may show: trousers tell nothing of a shoulder, a bodice nothing of a leg. */
export const symptomsFor = (worn: Worn): readonly Symptom[] => SYMPTOMS.filter((s) => shows(s, worn));
