// @vitest-environment jsdom
import { afterEach, describe, expect, it } from 'vitest';
import { aimTape, connectTape, endTape, isStuck, useTape } from './session.ts';
import { StandInTape } from './standIn.ts';

const SOUND = { noise: 0, drop: false, stuck: false };
/** A tape without delay, its noise always at the upper end. */
const tape = () => new StandInTape(() => 1, 0);
const got: [string, number][] = [];
const aim = (name: string) => aimTape({ name, take: (mm) => got.push([name, mm]) });

afterEach(() => {
  endTape();
  aimTape(null);
  got.length = 0;
});

describe('a tape that sends', () => {
  it('fills the field one is in', async () => {
    const device = tape();
    await connectTape(device);
    expect(useTape.getState().state).toBe('on');
    aim('waist');
    await device.send(752, SOUND);
    aim('hip');
    await device.send(1020, { ...SOUND, noise: 4 });
    expect(got).toEqual([
      ['waist', 752],
      ['hip', 1024],
    ]);
  });

  it('keeps what was read when the connection breaks, and can be connected again', async () => {
    const device = tape();
    await connectTape(device);
    aim('waist');
    await device.send(752, SOUND);
    await device.send(760, { ...SOUND, drop: true });
    await device.send(761, SOUND);
    expect(useTape.getState().state).toBe('lost');
    expect(got).toEqual([['waist', 752]]);
    const again = tape();
    await connectTape(again);
    await again.send(761, SOUND);
    expect(got).toHaveLength(2);
  });

  it('is suspected of being stuck when different measurements come out alike', async () => {
    const device = tape();
    await connectTape(device);
    for (const [name, mm] of [
      ['waist', 752],
      ['hip', 1020],
      ['neck', 360],
    ] as const) {
      aim(name);
      await device.send(mm, { ...SOUND, stuck: name !== 'waist' });
    }
    expect(got.map(([, mm]) => mm)).toEqual([752, 752, 752]);
    expect(useTape.getState().stuck).toBe(true);
    // Three equal readings of one and the same measurement are only good measuring.
    expect(isStuck([1, 2, 3].map(() => ({ mm: 752, to: 'waist' })))).toBe(false);
  });

  it('leaves out a reading that cannot be one', async () => {
    const device = tape();
    await connectTape(device);
    aim('waist');
    await device.send(9000, SOUND);
    await device.send(0, SOUND);
    expect(got).toEqual([]);
    expect(useTape.getState().odd).toBe(0);
  });
});
