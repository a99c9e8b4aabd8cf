import { pathLength } from '../../geometry/index.ts';
import { edgesWithRole, type Piece } from '../../pattern/index.ts';

/** Deep enough where a facing does not show its own depth, mm. */
const USUAL = 50;

/** How deep a facing is: its length down the centre. */
export function facingDepth(facing: Piece): number {
  const centre = [...edgesWithRole(facing, 'centreFront'), ...edgesWithRole(facing, 'centreBack')][0];
  return centre ? pathLength(centre.path) : USUAL;
}
