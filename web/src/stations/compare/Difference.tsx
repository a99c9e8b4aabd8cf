import { TOL } from '@ample/core/units';
import { Length } from '../../shared/basics.tsx';

export function Difference({ value }: { readonly value: number }) {
  return Math.abs(value) < TOL.seam ? 'nothing' : <Length bare value={value} sign />;
}
