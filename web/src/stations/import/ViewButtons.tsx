import type { Viewport } from '../../lib/viewport.ts';

/** Zoom in, zoom out and show all, for people without a wheel. */
export function ViewButtons({ fit, nearer, farther }: Pick<Viewport, 'fit' | 'nearer' | 'farther'>) {
  return (
    <div className="absolute top-2 right-2 flex flex-col gap-1" role="group" aria-label="View">
      <button className="btn !px-3" onClick={nearer}>
        +<span className="sr-only"> nearer</span>
      </button>
      <button className="btn !px-3" onClick={farther}>
        −<span className="sr-only"> farther</span>
      </button>
      <button className="btn !px-2 text-sm" onClick={() => fit()}>
        All
      </button>
    </div>
  );
}
