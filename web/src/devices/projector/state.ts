import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { SQUARE_STEPS, squareOn, type Calibration, type ProjectorView } from '@ample/core/out/projector';
import type { Units } from '@ample/core/words';

/** Which screen a calibration was made on: another zoom or another screen makes other pixels. */
export interface Screen {
  readonly ratio: number;
  readonly width: number;
  readonly height: number;
}
/** Everything the projected picture is made of; also sent to the stand-in table. */
export interface Picture {
  readonly piece: string | null;
  readonly view: ProjectorView;
  readonly calibration: Calibration | null;
  readonly calibrating: boolean;
  /** Dark lines on light instead of light lines on dark. */
  readonly inverted: boolean;
  /** Width of lines, pixels. */
  readonly weight: number;
  /** Sizes are written in. */
  readonly unit: Units['unit'];
  /** Size of the picture, pixels. */
  readonly size: { readonly width: number; readonly height: number };
}
interface Projector extends Picture {
  readonly madeOn: Screen | null;
}

export const UPRIGHT: ProjectorView = { turned: 0, flipped: false, slid: { x: 0, y: 0 } };
export const WEIGHTS = { min: 1, max: 8 } as const;

/** What the projector shows. Its scale, colours and line width are kept in the browser, not in a job. */
export const useProjector = create<Projector>()(
  persist(
    (): Projector => ({
      piece: null,
      view: UPRIGHT,
      calibration: null,
      calibrating: false,
      inverted: false,
      weight: 2,
      unit: 'cm',
      size: { width: 1280, height: 720 },
      madeOn: null,
    }),
    {
      name: 'ample-draft.projector',
      partialize: ({ calibration, inverted, weight, madeOn }) => ({ calibration, inverted, weight, madeOn }),
    },
  ),
);

export const thisScreen = (): Screen => ({
  ratio: window.devicePixelRatio,
  width: window.screen.width,
  height: window.screen.height,
});
export const sameScreen = (a: Screen | null, b: Screen): boolean =>
  a !== null && a.ratio === b.ratio && a.width === b.width && a.height === b.height;

export function changeView(change: Partial<ProjectorView>): void {
  useProjector.setState((s) => ({ view: { ...s.view, ...change } }));
}
/** Slides the picture on the table, mm. */
export function slide(x: number, y: number): void {
  changeView({ slid: { x: useProjector.getState().view.slid.x + x, y: useProjector.getState().view.slid.y + y } });
}

/** What is sent to the stand-in table: everything but the screen the scale was set on. */
export const pictureOf = ({ madeOn: _madeOn, ...picture }: Projector): Picture => picture;

/** The square that is thrown now. */
export const squareNow = ({ size, calibration, unit }: Pick<Picture, 'size' | 'calibration' | 'unit'>) =>
  squareOn(size, calibration, SQUARE_STEPS[unit]);
