import type { Mm, Result, Spacers } from '@fellside/core';
import { Button } from '../../ui/Button.js';
import { LengthField } from '../../ui/LengthField.js';
import { shared } from '../targets.js';
import { JointPanel } from './JointPanel.js';

type Joints = Extract<Spacers, { at: 'picked' }>['joints'];

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
  const names = inOrder.slice(0, NAMED).map(({ joint }) => joint + 1);
  return (
    <JointPanel
      shown={`Joints ${names.join(', ')}${inOrder.length > NAMED ? ', …' : ''}`}
      name={`Joints with spacers, ${joints.length} of ${count}`}
      called="Joints with spacers"
      says="Joint 1 is at the index mark; press those that have a spacer"
      count={count}
      joint={(joint) => {
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
      }}
    >
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
    </JointPanel>
  );
}
