import type { Mm, ParamsOf, Result } from '@fellside/core';
import { Popover } from 'radix-ui';
import { Button } from '../../ui/Button.js';
import { LengthField } from '../../ui/LengthField.js';
import { shared } from '../targets.js';

type Joints = Extract<ParamsOf<'spaced'>['spacers'], { at: 'picked' }>['joints'];

interface PickedJointsProps {
  readonly joints: Joints;
  /** Segments of the ring: it has as many joints. */
  readonly count: number;
  readonly onChange: (joints: Joints) => Result<unknown>;
}

/** So many joints are named on the button. */
const NAMED = 4;

/** Joints that have spacers, pressed one by one, each as thick as it is to be. Joint 1 lies at the index mark. */
export function PickedJoints({ joints, count, onChange }: PickedJointsProps) {
  const inOrder = [...joints].sort((a, b) => a.joint - b.joint);
  const press = (joint: number) => {
    const left = joints.filter((each) => each.joint !== joint);
    if (left.length < joints.length) return left.length > 0 && onChange(left);
    return onChange([...joints, { joint, thicknessMm: joints.at(-1)!.thicknessMm }]);
  };
  const set = (joint: number, thicknessMm: Mm) =>
    onChange(joints.map((each) => (each.joint === joint ? { ...each, thicknessMm } : each)));
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button className="self-end" aria-label={`Joints with spacers, ${joints.length} of ${count}`}>
          Joints{' '}
          {inOrder
            .slice(0, NAMED)
            .map(({ joint }) => joint + 1)
            .join(', ')}
          {inOrder.length > NAMED ? ', …' : ''}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label="Joints with spacers"
          className="z-20 flex max-h-[60vh] w-90 max-w-[94vw] flex-col gap-3 overflow-y-auto rounded border border-line bg-raised p-3 shadow-lg"
        >
          <fieldset className="grid grid-cols-8 gap-1">
            <legend className="mb-1 text-xs text-quiet">
              Joint 1 is at the index mark; press those that have a spacer
            </legend>
            {Array.from({ length: count }, (_, joint) => {
              const on = joints.some((each) => each.joint === joint);
              return (
                <button
                  key={joint}
                  type="button"
                  aria-label={`Joint ${joint + 1}`}
                  aria-pressed={on}
                  className={`h-8 rounded border text-sm ${on ? 'border-teal bg-teal text-on-teal' : 'border-line'}`}
                  onClick={() => press(joint)}
                >
                  {joint + 1}
                </button>
              );
            })}
          </fieldset>
          <div className="flex items-end gap-3">
            <LengthField
              label="All as thick"
              className="w-24"
              value={shared(joints.map(({ thicknessMm }) => thicknessMm))}
              onChange={(thicknessMm) => onChange(joints.map(({ joint }) => ({ joint, thicknessMm })))}
            />
            <Button onClick={() => onChange(inOrder.slice(0, 1))}>All but the first off</Button>
          </div>
          <ol className="grid grid-cols-3 gap-2">
            {inOrder.map(({ joint, thicknessMm }) => (
              <li key={joint}>
                <LengthField
                  label={`Joint ${joint + 1}, thick`}
                  className="w-full"
                  value={thicknessMm}
                  onChange={(next) => set(joint, next)}
                />
              </li>
            ))}
          </ol>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
