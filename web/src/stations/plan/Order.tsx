import { DndContext, KeyboardSensor, PointerSensor, closestCenter, useSensor, useSensors } from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { Draft, DraftStep } from '@ample/core/fitting/plan';
import { stepAmount, stepName } from '@ample/core/words';
import { useJob } from '../../store/job.ts';
import { dropStep } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';

/** The plan as a pile of slips one can slide into another order, by hand or with the keyboard. */
export function Order({ draft }: { readonly draft: Draft }) {
  const ids = useJob((s) => s.job?.steps)?.map((s) => s.id) ?? [];
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const steps = ids.flatMap((id) => draft.steps.find((s) => s.step.id === id) ?? []);
  if (steps.length < 2) return null;
  return (
    <section className="card p-3" aria-label="The order of the plan">
      <h2>The order</h2>
      <p className="mb-2 text-sm text-quiet">Slide a slip, or take it with Space and move it with the arrow keys.</p>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => over && dropStep(String(active.id), String(over.id))}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="space-y-1.5">
            {steps.map((s, i) => (
              <Paper key={s.step.id} step={s} index={i} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  );
}

function Paper({ step, index }: { readonly step: DraftStep; readonly index: number }) {
  const units = useUnits();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: step.step.id,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex min-h-[44px] items-center gap-2 border bg-tissue px-2 py-1 ${isDragging ? 'relative z-10 border-ink shadow-md' : 'border-line'}`}
    >
      <button
        ref={setActivatorNodeRef}
        className="grid size-10 shrink-0 cursor-grab place-items-center"
        aria-label={`Move ${stepName(step)}`}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={20} aria-hidden="true" />
      </button>
      <span className="num">{index + 1}</span>
      <span className="min-w-0 flex-1">
        <span className={`block ${step.step.on ? '' : 'text-quiet line-through'}`}>{stepName(step)}</span>
        <span className="num block text-sm">{stepAmount(step, units)}</span>
      </span>
    </li>
  );
}
