import type { Speaker } from '../../../speech/index.ts';

export const armhole = (s: Speaker): string => (s.text('pinned') === 'underarm' ? 'underarm' : 'armhole');
