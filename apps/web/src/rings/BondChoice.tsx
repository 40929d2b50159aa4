import { type Bond, bondOf, edit, type Result, type Ring, refuse, trimZeros } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { controlClass, Field } from '../ui/Field.js';
import { NumberField } from '../ui/NumberField.js';

const NAMES = { brick: 'Brick bond', grid: 'Aligned', spiral: 'Spiral' } as const;
const USUAL_STEP = 0.25;

interface BondChoiceProps {
  readonly targets: readonly number[];
  readonly rings: readonly Ring[];
}

/** How the rings are turned against each other: shows the bond they are in, and sets another for all in one go. */
export function BondChoice({ targets, rings }: BondChoiceProps) {
  const dispatch = useActions();
  const order = [...targets].sort((a, b) => a - b);
  const now = bondOf(order.map((index) => rings[index]!.turn));
  const [wanted, setWanted] = useState(USUAL_STEP);
  const step = now?.kind === 'spiral' ? now.step : wanted;
  const set = (bond: Bond): Result<unknown> => dispatch(editPiece(edit.setBond(targets, bond)));
  return (
    <>
      <Field label="Bond">
        {(control) => (
          <select
            {...control}
            className={`${controlClass} w-30`}
            value={now?.kind ?? ''}
            onChange={(event) => {
              const kind = event.target.value as Bond['kind'];
              set(kind === 'spiral' ? { kind, step } : { kind });
            }}
          >
            <option value="" disabled>
              {targets.length < 2 ? 'one ring' : 'none'}
            </option>
            {Object.entries(NAMES).map(([kind, name]) => (
              <option key={kind} value={kind}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      {now?.kind === 'spiral' && (
        <NumberField
          label="Step, segments"
          className="w-18"
          value={Number(trimZeros(now.step.toFixed(4)))}
          onChange={(next) => {
            if (next % 1 === 0)
              return refuse(
                'web:no-spiral',
                '',
                'A whole step lines all joints up; give a part of a segment.',
              );
            setWanted(next);
            return set({ kind: 'spiral', step: next });
          }}
        />
      )}
    </>
  );
}
