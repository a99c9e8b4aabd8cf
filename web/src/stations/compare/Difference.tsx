import { roundToUnit } from '@ample/core/units';
import { useUnits } from '../../store/prefs.ts';
import { Length } from '../../shared/basics.tsx';

/** A difference as it is shown; what the unit cannot show is nothing. */
export function Difference({ value }: { readonly value: number }) {
  const { unit, fraction } = useUnits();
  return roundToUnit(value, unit, fraction) === 0 ? 'nothing' : <Length bare value={value} sign />;
}
