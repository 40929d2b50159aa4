import { type Between, mm, type Result } from '@fellside/core';
import { LengthField } from '../../ui/LengthField.js';
import { JointPanel } from './JointPanel.js';

type Joints = Extract<Between, { put: 'mixed' }>['joints'];
type Held = Joints[number];

interface MixedJointsProps {
  readonly joints: Joints;
  /** Segments of the ring: it has as many joints. */
  readonly count: number;
  readonly onChange: (joints: Joints) => Result<unknown>;
}

/** What a joint holds next when it is pressed again. */
const NEXT: Record<Held['holds'] | 'nothing', Held['holds'] | null> = {
  nothing: 'spacer',
  spacer: 'gap',
  gap: null,
};

const SHOWN: Record<Held['holds'], string> = {
  spacer: 'border-teal bg-teal text-on-teal',
  gap: 'border-dashed border-teal text-teal',
};

/** What every joint holds, pressed one by one: nothing, a spacer, a gap, and nothing again. Joint 1 lies at the index mark. */
export function MixedJoints({ joints, count, onChange }: MixedJointsProps) {
  const inOrder = [...joints].sort((a, b) => a.joint - b.joint);
  const press = (joint: number) => {
    const now = joints.find((held) => held.joint === joint);
    const left = joints.filter((held) => held.joint !== joint);
    const holds = NEXT[now?.holds ?? 'nothing'];
    const thicknessMm = now?.thicknessMm ?? joints.at(-1)?.thicknessMm ?? mm(3);
    if (holds) return onChange([...left, { joint, holds, thicknessMm }]);
    return left.length > 0 && onChange(left);
  };
  const number = (holds: Held['holds']) => {
    const many = joints.filter((held) => held.holds === holds).length;
    return `${many} ${holds}${many === 1 ? '' : 's'}`;
  };
  return (
    <JointPanel
      shown={`${number('spacer')}, ${number('gap')}…`}
      called="What joints hold"
      says="Joint 1 is at the index mark. Press a joint for a spacer (filled), again for a gap (dashed), again for nothing."
      count={count}
      joint={(joint) => {
        const held = joints.find((each) => each.joint === joint);
        return (
          <button
            key={joint}
            type="button"
            aria-label={`Joint ${joint + 1}: ${held?.holds ?? 'nothing'}`}
            className={`h-8 rounded border text-sm ${held ? SHOWN[held.holds] : 'border-line'}`}
            onClick={() => press(joint)}
          >
            {joint + 1}
          </button>
        );
      }}
    >
      <ol className="grid grid-cols-3 gap-2">
        {inOrder.map((held) => (
          <li key={held.joint}>
            <LengthField
              label={`Joint ${held.joint + 1}, ${held.holds}`}
              className="w-full"
              value={held.thicknessMm}
              onChange={(thicknessMm) =>
                onChange(joints.map((each) => (each === held ? { ...each, thicknessMm } : each)))
              }
            />
          </li>
        ))}
      </ol>
    </JointPanel>
  );
}
