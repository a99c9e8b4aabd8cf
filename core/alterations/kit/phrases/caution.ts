/** Said wherever paper is cut. */
export const CUT_A_TRACING = 'Cut a tracing, never your only original.';
