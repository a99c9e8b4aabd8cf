import type { Speaker } from '../../../speech/index.ts';

export const seam = (s: Speaker): string => (s.text('role') === 'centreFront' ? 'centre front' : s.text('role'));
