export const cut = 'Cut a tracing, never your only original.';
