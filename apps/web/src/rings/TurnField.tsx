import {
  edit,
  parseTurn,
  type Result,
  type Said,
  segmentsSaid,
  sentenceIn,
  trimZeros,
  turnOf,
  turnSaid,
} from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Field } from '../ui/Field.js';
import { TextEntry } from '../ui/TextEntry.js';
import { shared } from './targets.js';

/** How far rings are turned: shown in segments and, where it is one angle for all, in degrees; typed in either. */
export function TurnField({ targets }: { targets: readonly number[] }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const [problem, setProblem] = useState<Said>();
  const rings = useApp((state) => projectOf(state).rings);
  const turns = targets.map((index) => turnOf(rings[index]!));
  const segments = shared(turns.map((turn) => turn.segments));
  const angle = shared(turns.map((turn) => turn.angle));
  const read = (text: string): Result<unknown> => {
    const given = parseTurn(text);
    return given.ok ? dispatch(editPiece(edit.setTurn(targets, given.value))) : given;
  };
  const shown =
    segments === null ? 'various' : angle === null ? segmentsSaid(segments) : turnSaid({ segments, angle });
  return (
    <Field label="Turn" problem={problem && sentenceIn(problem, units)}>
      {(control) => (
        <TextEntry
          {...control}
          className="w-24"
          title="In segments, like 1/2, or in degrees, like 7.5°"
          shown={shown}
          editable={segments === null ? '' : trimZeros(segments.toFixed(4))}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}
