import { SAMPLE_CHART } from './chart.ts';

/** The sample patterns of the invented house: number and name. Apart from what drafts them, so that a list is light. */
const NAMES = {
  causeway: { number: '31', name: 'Causeway' },
  'causeway-side': { number: '31', name: 'Causeway, view B: side dart' },
  'causeway-waist': { number: '31', name: 'Causeway, view C: waist dart' },
  'causeway-french': { number: '31', name: 'Causeway, view D: French dart' },
  'causeway-shoulder': { number: '31', name: 'Causeway, view E: shoulder dart' },
  'causeway-neck': { number: '31', name: 'Causeway, view F: neck dart' },
  'causeway-armhole': { number: '31', name: 'Causeway, view G: armhole dart' },
  'causeway-shirt': { number: '31', name: 'Causeway, view H: shirt without darts' },
  'causeway-cut-on': { number: '31', name: 'Causeway, view J: cut-on sleeve' },
  'causeway-wide-neck': { number: '31', name: 'Causeway, view K: wide, low neck' },
  'causeway-buttons': { number: '31', name: 'Causeway, view L: buttoned front, facing cut on' },
  'causeway-low-armhole': { number: '31', name: 'Causeway, view M: low underarm' },
  'causeway-long-sleeve': { number: '31', name: 'Causeway, view N: long fitted sleeve' },
  'causeway-cuff': { number: '31', name: 'Causeway, view P: long sleeve with a cuff' },
  ebb: { number: '44', name: 'Ebb' },
  jetty: { number: '63', name: 'Jetty' },
  landing: { number: '57', name: 'Landing' },
  quay: { number: '70', name: 'Quay' },
  skiff: { number: '8', name: 'Skiff' },
  'skerry-armhole': { number: '12', name: 'Skerry, princess from the armhole' },
  'skerry-shoulder': { number: '12', name: 'Skerry, princess from the shoulder' },
} as const;

export type SampleId = keyof typeof NAMES;
export const SAMPLE_IDS = Object.keys(NAMES) as readonly SampleId[];
export const SAMPLE_SIZES: readonly string[] = SAMPLE_CHART.map((r) => r.size);
export const nameOfSample = (id: SampleId): { readonly number: string; readonly name: string } => NAMES[id];
export const sampleName = (id: SampleId): string => `No. ${NAMES[id].number} ${NAMES[id].name}`;
export const isSample = (id: string): id is SampleId => Object.hasOwn(NAMES, id);
