import type { Pattern, Piece } from '../pattern/index.ts';
import { SAMPLE_SIZES } from './names.ts';
import { draftSample, samplePattern } from './samples.ts';

export const CAUSEWAY_SIZES = SAMPLE_SIZES;
/** Front and back of "Causeway" in one size. */
export const draftCauseway = (size: string): readonly Piece[] => draftSample('causeway', size);
/** No. 31 "Causeway" as a pattern document, in the sizes asked for. */
export const causewayPattern = (sizes: readonly string[] = SAMPLE_SIZES): Pattern => samplePattern('causeway', sizes);
