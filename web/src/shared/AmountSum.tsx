import type { Amount } from '@ample/core/fitting/fit';
import { formatLength, formatShare, shownSum } from '@ample/core/units';
import { TERM_WORDS } from '@ample/core/words';
import { useUnits } from '../store/prefs.ts';

/** The sum behind an amount, written out in pencil, each term with its source. */
export function AmountSum({ amount }: { readonly amount: Amount }) {
  const { unit, fraction } = useUnits();
  const say = (v: number, sign = false) => formatLength(v, unit, { fraction, sign, bare: true });
  const { terms, result } = shownSum(
    amount.terms.map((t) => ({ value: t.sign * t.value, keep: !t.code.startsWith('pattern.') })),
    amount.total / amount.factor,
    unit,
    fraction,
  );
  const share = (parts: number) => formatShare(result, parts, unit, { fraction, sign: true, bare: true });
  return (
    <table className="num w-full max-w-[300px]">
      <tbody>
        {amount.terms.map((t, i) => (
          <tr key={t.code}>
            <td className="w-5 py-0.5 text-quiet">{i === 0 ? '' : (terms[i] ?? 0) >= 0 ? '+' : '−'}</td>
            <td className="pr-3 text-right">{say(i === 0 ? (terms[i] ?? t.value) : Math.abs(terms[i] ?? t.value))}</td>
            <td className="font-sans text-sm">{TERM_WORDS[t.code] ?? t.code}</td>
          </tr>
        ))}
        {amount.factor !== 1 && (
          <tr>
            <td className="text-quiet">×</td>
            <td className="pr-3 text-right">{amount.factor}</td>
            <td className="font-sans text-sm">for stretch</td>
          </tr>
        )}
        <tr className="border-t border-ink">
          <td className="text-quiet">=</td>
          <td className="pr-3 text-right font-medium">{share(1 / amount.factor)}</td>
          <td className="font-sans text-sm">over the whole front</td>
        </tr>
        <tr>
          <td className="text-quiet">÷</td>
          <td className="pr-3 text-right">2</td>
          <td />
        </tr>
        <tr className="border-t border-ink">
          <td className="text-quiet">=</td>
          <td className="pr-3 text-right text-xl font-medium">{share(2 / amount.factor)}</td>
          <td className="font-sans text-sm">{unit} on each half</td>
        </tr>
      </tbody>
    </table>
  );
}
