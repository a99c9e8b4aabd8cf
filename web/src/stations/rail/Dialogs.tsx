import { zodResolver } from '@hookform/resolvers/zod';
import { Dialog } from 'radix-ui';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { z } from 'zod';
import { today } from '../../lib/time.ts';
import { startOwn } from '../../store/library.ts';
import { paperPattern } from '../../store/patterns.ts';
import { Ask } from '../../ui/Ask.tsx';
import { PatternOptions } from '../../shared/PatternOptions.tsx';
import type { FieldErrors } from 'react-hook-form';
import type { UseFormRegister } from 'react-hook-form';
import { Modal } from '../../ui/Modal.tsx';

const startSchema = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Type the name of the wearer; a first name or a number will do.')
    .max(120, 'Shorten the name to 120 letters.'),
  title: z.string().trim().max(160, 'Shorten this to 160 letters.'),
  pattern: z.string().min(1, 'Choose a pattern.'),
});

export function StartOwn({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const navigate = useNavigate();
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: zodResolver(startSchema),
    defaultValues: { name: '', title: '', pattern: 'causeway' },
  });
  const { errors } = formState;
  return (
    <Modal
      title="Start my own"
      about="Who is it for, what will it be, and from which pattern? The pattern can be changed later under Pattern."
      open={open}
      onOpenChange={(o) => !o && onClose()}
    >
      <form
        className="mt-4 space-y-4"
        noValidate
        onSubmit={(e) =>
          void handleSubmit(async ({ name, title, pattern }) => {
            const id = await startOwn(name, title, today(), pattern === 'paper' ? paperPattern('My pattern') : pattern);
            reset();
            onClose();
            await navigate(`/job/${id}/${pattern === 'paper' ? 'pattern' : 'body'}`);
          })(e)
        }
      >
        <WearerField errors={errors} register={register} />
        <div>
          <label htmlFor="own-title" className="mb-1 block text-sm">
            What it will be (may stay empty)
          </label>
          <input id="own-title" className="field w-full" autoComplete="off" {...register('title')} />
          <p className="mt-1 text-sm text-pencil">{errors.title?.message}</p>
        </div>
        <div>
          <label htmlFor="own-pattern" className="mb-1 block text-sm">
            Pattern
          </label>
          <select id="own-pattern" className="field w-full" {...register('pattern')}>
            <PatternOptions />
            <option value="paper">A pattern of my own, on paper only</option>
          </select>
        </div>
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
  readonly errors: FieldErrors<{ name: string; title: string; pattern: string }>;
  readonly register: UseFormRegister<{ name: string; title: string; pattern: string }>;
}) {
  return (
    <div>
      <label htmlFor="own-name" className="mb-1 block text-sm">
        Wearer
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
