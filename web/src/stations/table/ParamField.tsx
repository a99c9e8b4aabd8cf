import type { Param } from '@ample/core/alterations';
import type { Draft, DraftStep } from '@ample/core/fitting/plan';
import { CHOICE_WORDS, PARAM_WORDS } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { setValue } from '../../store/job.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import type { Point } from '@ample/core/geometry';
import { en } from '@ample/core/speech';
import { Select } from '../../ui/Select.tsx';

interface FieldProps {
  readonly param: Param;
  readonly step: DraftStep;
  readonly value: unknown;
  readonly draft: Draft;
}

/** One value of a step, as its definition describes it. */
export function ParamField({ param, step, value, draft }: FieldProps) {
  const pattern = useDraft((s) => s.pattern);
  const id = step.step.id;
  const label = PARAM_WORDS[param.key] ?? param.key;
  if (param.kind === 'length')
    return (
      <LengthField
        label={label}
        value={typeof value === 'number' ? value : param.initial}
        steps
        signed={param.signed === true}
        min={param.min}
        max={param.max}
        width="w-full"
        onCommit={(v) => v !== null && setValue(id, param.key, v)}
      />
    );
  if (param.kind === 'choice')
    return (
      <Select
        label={label}
        value={String(value)}
        set={(chosen) => setValue(id, param.key, chosen)}
        wide
        className="block"
      >
        {param.options.map((o) => (
          <option key={o} value={o}>
            {CHOICE_WORDS[`${param.key}.${o}`] ?? o}
          </option>
        ))}
      </Select>
    );
  if (param.kind === 'size')
    return (
      <Select
        label={label}
        value={typeof value === 'string' ? value : (draft.size ?? '')}
        set={(chosen) => setValue(id, param.key, chosen)}
        wide
        className="block"
      >
        {Object.keys(pattern?.sizes ?? {}).map((size) => (
          <option key={size} value={size}>
            {size}
            {size === draft.size ? ' (as at the bust)' : ''}
          </option>
        ))}
      </Select>
    );
  if (param.kind === 'share') return <ShareField label={label} param={param} id={id} value={value} />;
  const marked = step.outcome.ok ? step.outcome.value.grips.find((g) => g.key === param.key)?.at : undefined;
  const point = value !== null && typeof value === 'object' ? (value as { x: number; y: number }) : (marked ?? null);
  if (!point) return null;
  return <PointFields label={label} point={point} id={id} param={param} value={value} />;
}

function ShareField({
  label,
  param,
  id,
  value,
}: {
  readonly label: string;
  readonly param: Extract<Param, { readonly kind: 'share' }>;
  readonly id: string;
  readonly value: unknown;
}) {
  const share = typeof value === 'number' ? value : param.initial;
  return (
    <label className="block">
      <span className="mb-1 block text-sm">
        {label}: <span className="num">{Math.round(share * 100)} %</span>
      </span>
      <input
        type="range"
        className="h-10 w-full accent-carbon"
        min={param.min}
        max={param.max}
        step={0.01}
        value={share}
        onChange={(e) => setValue(id, param.key, Number(e.target.value))}
      />
    </label>
  );
}

function PointFields({
  label,
  point,
  id,
  param,
  value,
}: {
  readonly label: string;
  readonly point: Point;
  readonly id: string;
  readonly param: { readonly kind: 'point'; readonly key: string; readonly initial: null };
  readonly value: unknown;
}) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm">
        {label}
        {en`, from the centre front and the neck`}
      </legend>
      <div className="flex gap-2">
        <LengthField
          label={`${label} across`}
          bare
          steps
          value={point.x}
          width="w-1/2"
          onCommit={(x) => x !== null && setValue(id, param.key, { ...point, x })}
        />
        <LengthField
          label={`${label} down`}
          bare
          steps
          value={point.y}
          width="w-1/2"
          onCommit={(y) => y !== null && setValue(id, param.key, { ...point, y })}
        />
      </div>
      {value !== null && (
        <button className="btn mt-2" onClick={() => setValue(id, param.key, null)}>
          {param.key === 'bustPoint' ? 'Back to the measured one' : 'Back to the seam and share'}
        </button>
      )}
    </fieldset>
  );
}
