import { type Step, sentenceIn } from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';

/** What is done, in order. */
export function StepList({ steps }: { steps: readonly Step[] }) {
  const units = useApp(unitsOf);
  return (
    <ol className="ml-5 list-decimal text-sm">
      {steps.map(({ id, says }) => (
        <li key={id}>{sentenceIn(says, units)}</li>
      ))}
    </ol>
  );
}
