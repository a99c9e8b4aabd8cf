import type { Lesson } from '../lesson.ts';
import { fullerBust } from './fullerBust.ts';
import { smallerBust } from './smallerBust.ts';
import { bustWithoutDart } from './bustWithoutDart.ts';
import { raglanBust } from './raglanBust.ts';
import { dartLower } from './dartLower.ts';
import { neckIntoDart } from './neckIntoDart.ts';
import { swayback } from './swayback.ts';
import { roundBack } from './roundBack.ts';
import { broadBack } from './broadBack.ts';
import { narrowShoulder } from './narrowShoulder.ts';
import { broadShoulder } from './broadShoulder.ts';
import { shorterBodice } from './shorterBodice.ts';
import { longerBodice } from './longerBodice.ts';
import { widerHip } from './widerHip.ts';
import { fullSeat } from './fullSeat.ts';
import { fullUpperArm } from './fullUpperArm.ts';
import { longerSleeve } from './longerSleeve.ts';
import { deeperCrotch } from './deeperCrotch.ts';
import { longerCrotch } from './longerCrotch.ts';
import { shorterLeg } from './shorterLeg.ts';

/** Every lesson of cutting, in the order in which they are offered. Adding one is a file and its line here. */
export const LESSONS: readonly Lesson[] = [
  fullerBust,
  smallerBust,
  bustWithoutDart,
  raglanBust,
  dartLower,
  neckIntoDart,
  swayback,
  roundBack,
  broadBack,
  narrowShoulder,
  broadShoulder,
  shorterBodice,
  longerBodice,
  widerHip,
  fullSeat,
  fullUpperArm,
  longerSleeve,
  deeperCrotch,
  longerCrotch,
  shorterLeg,
];
