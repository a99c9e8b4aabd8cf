import { lazy, Suspense } from 'react';

const Terms = lazy(async () => ({ default: (await import('./Terms.tsx')).Terms }));

/** A sentence of a station, its terms to be opened where they stand; plain until they have been fetched. */
export const Said = ({ children: text }: { readonly children: string }) => (
  <Suspense fallback={text}>
    <Terms>{text}</Terms>
  </Suspense>
);
