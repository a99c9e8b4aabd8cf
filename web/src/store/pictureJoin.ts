import type { Point } from '@ample/core/geometry';
import { cornerNear, findJoint, type Joint, type SharedMark } from '@ample/core/in/photo';
import { askPicture } from '../workers/pictureClient.ts';
import { shown, usePicture } from './picture.ts';
import { nth } from '@ample/core/units';

/** How far around a click a mark on the paper is searched for, mm. */
const AROUND = 6;

/** A mark that two pictures share was clicked: its corner or crossing is found near the click. */
export function shareAt(p: Point): void {
  const { flat, shared, base } = usePicture.getState();
  if (!flat || (base && shared.length >= base.marks.length)) return;
  const pixel = { x: (p.x - flat.origin.x) * flat.perMm, y: (p.y - flat.origin.y) * flat.perMm };
  const found = cornerNear(flat, pixel, Math.max(4, Math.round(AROUND * flat.perMm)));
  const at = { x: found.x / flat.perMm + flat.origin.x, y: found.y / flat.perMm + flat.origin.y };
  usePicture.setState({ shared: [...shared, at], failed: null });
}
export const dropShared = (): void => usePicture.setState((s) => ({ shared: s.shared.slice(0, -1) }));

/** Keeps the picture at hand with its marks, and asks for the one that shows where the piece goes on. */
export function goOn(): void {
  const { flat, flatId, url, shared, clicks } = usePicture.getState();
  if (!flat || !url || shared.length < 2) return;
  usePicture.setState({
    base: { flat, flatId, url, marks: shared, clicks },
    grey: null,
    flat: null,
    url: null,
    marks: [],
    clicks: [],
    shared: [],
    sharing: false,
    residual: null,
    joint: null,
    failed: null,
  });
}

/** Back to the picture that was kept; the one begun after it is left. */
export function stayWithFirst(): void {
  const { base, url } = usePicture.getState();
  if (!base) return;
  if (url && url !== base.url) URL.revokeObjectURL(url);
  const { marks, ...kept } = base;
  // Anything but null says that a picture is open; its own pixels are not needed any more.
  usePicture.setState({ ...kept, grey: base.flat, shared: marks, sharing: true, base: null, marks: [], failed: null });
}

/** Lays the picture at hand on the one kept, by the marks both show, as one picture. */
export async function joinNext(): Promise<void> {
  const { flat, base, shared } = usePicture.getState();
  if (!flat || !base || shared.length < base.marks.length) return;
  const joint = findJoint(base.marks.map((m, i): SharedMark => ({ base: m, next: nth(shared, i) })));
  if (!joint.ok) return usePicture.setState({ failed: joint.error });
  usePicture.setState({ busy: true, failed: null });
  const reply = await askPicture({ kind: 'join', base: base.flat, next: flat, joint: joint.value });
  if (!reply.ok || !reply.value.flat)
    return usePicture.setState({ busy: false, failed: reply.ok ? null : reply.error });
  URL.revokeObjectURL(base.url);
  usePicture.setState({
    busy: false,
    flat: reply.value.flat,
    flatId: base.flatId,
    url: shown(reply.value.jpeg),
    clicks: base.clicks,
    base: null,
    shared: [],
    sharing: false,
    joint: joint.value as Joint,
  });
}
