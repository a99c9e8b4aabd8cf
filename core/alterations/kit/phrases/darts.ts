import type { Speaker } from '../../../speech/index.ts';
import { en } from '../../../speech/index.ts';

export const seam = (s: Speaker): string => (s.text('role') === 'centreFront' ? en`centre front` : s.text('role'));
