import { zodResolver } from '@hookform/resolvers/zod';
import { Dialog } from 'radix-ui';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { z } from 'zod';
import { today } from '../../lib/time.ts';
import { startOwn } from '../../store/library.ts';
import { paperPattern } from '../../store/patterns.ts';
import { Ask } from '../../ui/Ask.tsx';
import { PatternOptions } from '../../shared/PatternOptions.tsx';
import type { FieldErrors, UseFormRegister } from 'react-hook-form';
import { Modal } from '../../ui/Modal.tsx';

const startSchema = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Type whose it is; a first name or a number will do.')
    .max(120, 'Shorten the name to 120 letters.'),
  title: z.string().trim().max(160, 'Shorten this to 160 letters.'),
  from: z.enum(['file', 'paper', 'drawer']),
  pattern: z.string().min(1, 'Choose a pattern.'),
});
type Start = z.infer<typeof startSchema>;

/** Where the work begins: with the file of a pattern, or with what the size needs. */
const BEGINS: Readonly<Record<Start['from'], string>> = { file: 'bring', paper: 'size', drawer: 'size' };

const FROM: Readonly<Record<Start['from'], string>> = {
  file: 'a file: PDF, SVG, DXF or photos',
  paper: 'on paper, or still in its envelope',
  drawer: 'a sample of this app, or one I brought in before',
};

/** Asked in the order people know: whose, what, and which pattern they have. */
export function StartOwn({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const navigate = useNavigate();
  const { register, handleSubmit, formState, reset, control } = useForm<Start>({
    resolver: zodResolver(startSchema),
    defaultValues: { name: '', title: '', from: 'drawer', pattern: 'causeway' },
  });
  const { errors } = formState;
  const from = useWatch({ control, name: 'from' });
  return (
    <Modal
      title="Start my own"
      about="Three questions. All of it can be changed later."
      open={open}
      onOpenChange={(o) => !o && onClose()}
    >
      <form
        className="mt-4 space-y-4"
        noValidate
        onSubmit={(e) =>
          void handleSubmit(async ({ name, title, from, pattern }) => {
            const id = await startOwn(name, title, today(), from === 'drawer' ? pattern : paperPattern('My pattern'));
            reset();
            onClose();
            await navigate(`/job/${id}/${BEGINS[from]}`);
          })(e)
        }
      >
        <WearerField errors={errors} register={register} />
        <div>
          <label htmlFor="own-title" className="mb-1 block">
            What will it be? <span className="text-quiet">(may stay empty)</span>
          </label>
          <input id="own-title" className="field w-full" autoComplete="off" {...register('title')} />
          <p className="mt-1 text-sm text-pencil">{errors.title?.message}</p>
        </div>
        <fieldset>
          <legend className="mb-1">Which pattern do you have?</legend>
          {(Object.keys(FROM) as Start['from'][]).map((f) => (
            <label key={f} className="flex min-h-[40px] items-center gap-2">
              <input type="radio" value={f} className="size-5 shrink-0 accent-carbon" {...register('from')} />
              {FROM[f]}
            </label>
          ))}
          {from === 'drawer' && (
            <select aria-label="Pattern" className="field mt-1 w-full" {...register('pattern')}>
              <PatternOptions />
            </select>
          )}
        </fieldset>
        <div className="flex gap-3">
          <button className="btn btn-main" type="submit">
            Hang it on the rail
          </button>
          <Dialog.Close className="btn" type="button">
            Cancel
          </Dialog.Close>
        </div>
      </form>
    </Modal>
  );
}

function WearerField({
  errors,
  register,
}: {
  readonly errors: FieldErrors<Start>;
  readonly register: UseFormRegister<Start>;
}) {
  return (
    <div>
      <label htmlFor="own-name" className="mb-1 block">
        Whose is it?
      </label>
      <input
        id="own-name"
        className="field w-full"
        autoComplete="off"
        aria-invalid={errors.name !== undefined}
        aria-describedby="own-name-error"
        {...register('name')}
      />
      <p id="own-name-error" role={errors.name ? 'alert' : undefined} className="mt-1 text-sm text-pencil">
        {errors.name?.message}
      </p>
    </div>
  );
}

export function ClearDemo({ onClose, onClear }: { readonly onClose: () => void; readonly onClear: () => void }) {
  return (
    <Ask
      title="Clear the demo"
      action="Clear the demo"
      onClose={onClose}
      onAction={() => {
        onClose();
        onClear();
      }}
    >
      The choir’s jobs and singers are taken off the rail, with anything changed in them. The pattern and everything of
      your own stay.
    </Ask>
  );
}
