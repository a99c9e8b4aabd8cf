import type { Speaker } from '../../../speech/index.ts';

export const cut = 'Cut a tracing, never your only original.';

export const armhole = (s: Speaker): string => (s.text('pinned') === 'underarm' ? 'underarm' : 'armhole');
