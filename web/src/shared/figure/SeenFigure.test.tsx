// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { isProfile, SYMPTOMS } from '@ample/core/fitting/fit';
import { observationSchema, type Observation } from '@ample/core/documents';
import { placesOf, SeenFigure, sideAt } from './SeenFigure.tsx';

afterEach(cleanup);
const seen = (fields: Partial<Observation>): Observation =>
  observationSchema.parse({ id: 'o', sign: 'shoulder-hangs', view: 'front', at: { x: 146, y: 92 }, ...fields });

describe('where a mark is drawn', () => {
  it('on both sides, mirrored over the middle; what sits on the middle once', () => {
    expect(placesOf(seen({}))).toEqual([
      { x: 146, y: 92 },
      { x: 54, y: 92 },
    ]);
    expect(placesOf(seen({ at: { x: 103, y: 140 } }))).toEqual([{ x: 103, y: 140 }]);
    expect(placesOf(seen({ view: 'side', at: { x: 98, y: 74 } }))).toHaveLength(1);
  });
  it('on the side it was seen, as one looks at it: the wearer’s left is on the right from the front', () => {
    expect(placesOf(seen({ side: 'left' }))).toEqual([{ x: 146, y: 92 }]);
    expect(placesOf(seen({ side: 'right' }))).toEqual([{ x: 54, y: 92 }]);
    expect(placesOf(seen({ view: 'back', side: 'left' }))).toEqual([{ x: 54, y: 92 }]);
    expect(placesOf(seen({ view: 'back', side: 'right' }))).toEqual([{ x: 146, y: 92 }]);
    expect([sideAt('front', 150), sideAt('front', 50), sideAt('back', 150), sideAt('back', 50)]).toEqual([
      'left',
      'right',
      'right',
      'left',
    ]);
  });
  it('for every sign within the figure, on the wearer’s left or the middle', () => {
    for (const { id, view, at } of SYMPTOMS) {
      expect(at.x >= 20 && at.x <= 180 && at.y >= 60 && at.y <= 398, id).toBe(true);
      if (!isProfile(view) && Math.abs(at.x - 100) >= 8) expect(sideAt(view, at.x), id).toBe('left');
    }
  });
});

describe('the figure', () => {
  const marks = [
    { ...seen({ id: 'a' }), number: 1 },
    { ...seen({ id: 'b', sign: 'cloth-above-seat', view: 'back', at: { x: 100, y: 204 } }), number: 2 },
  ];
  it('says what is on it, view by view', () => {
    const { rerender } = render(
      <SeenFigure view="front" observations={marks} chosen={null} onChoose={() => undefined} />,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      'Front: 1 The shoulder seam hangs off the shoulder',
    );
    rerender(<SeenFigure view="back" observations={marks} chosen={null} onChoose={() => undefined} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Back: 2 Cloth pools above the seat');
    rerender(<SeenFigure view="side" observations={marks} chosen={null} onChoose={() => undefined} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Side: nothing noted');
  });
  it('takes a mark in hand without taking it for a new place', () => {
    const [choose, point] = [vi.fn(), vi.fn()];
    const { container } = render(
      <SeenFigure view="front" observations={marks} chosen={null} onChoose={choose} onPoint={point} />,
    );
    fireEvent.pointerUp(container.querySelector('g.cursor-pointer')!);
    expect(choose).toHaveBeenCalledWith('a');
    expect(point).not.toHaveBeenCalled();
  });
  it('tells a place in its own measure, however large it is drawn', () => {
    const point = vi.fn();
    render(<SeenFigure view="front" observations={[]} chosen={null} onChoose={() => undefined} onPoint={point} />);
    const svg = screen.getByRole('img');
    // Twice as large, and in the middle of a wider box.
    svg.getBoundingClientRect = () => ({ left: 10, top: 20, width: 500, height: 840 }) as DOMRect;
    fireEvent.pointerUp(svg, { clientX: 10 + 50 + 240, clientY: 20 + 280 });
    expect(point).toHaveBeenCalledWith({ x: 120, y: 140 });
    fireEvent.pointerUp(svg, { clientX: 20, clientY: 300 });
    expect(point).toHaveBeenCalledTimes(1);
  });
});
