import { bodyOf, edit } from '@fellside/core';
import type { ReactNode } from 'react';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { shared } from '../targets.js';
import { type ControlsProps, useParams } from './params.js';

interface AfterProps extends ControlsProps {
  /** What else is set then. */
  readonly children?: ReactNode;
}

/** What is done with the ring once it is glued: nothing, slices of it, leaves of a book. */
export function AfterControls({ targets, children }: AfterProps) {
  const rings = useApp((state) => projectOf(state).rings);
  const dispatch = useActions();
  const segmented = useParams('segmented', targets).all;
  const all = [...segmented, ...useParams('disc', targets).all];
  const done = shared(all.map(({ after }) => after?.done ?? 'whole'));
  const lost = (key: 'kerfMm' | 'cleanUpMm') => shared(all.map(({ after }) => after?.[key] ?? null));
  const lose = (change: Parameters<typeof edit.setLost>[1]) =>
    dispatch(editPiece(edit.setLost(targets, change)));
  const from = shared(all.map(bodyOf));
  const slices = rings.flatMap(({ making }, i) => (from !== null && bodyOf(making) === from ? [i + 1] : []));
  return (
    <>
      <Choice
        label="Once it is glued"
        className="w-58"
        value={done}
        options={[
          ['whole', 'it stays whole'],
          ['sliced', 'sliced from thicker stock'],
          ...(segmented.length > 0 ? ([['opened', 'opened like a book']] as const) : []),
        ]}
        onChange={(next) => dispatch(editPiece(edit.setAfter(targets, next)))}
      />
      {(done === 'sliced' || done === 'opened') && (
        <>
          <LengthField
            label="Resaw kerf"
            className="w-24"
            value={lost('kerfMm')}
            onChange={(kerfMm) => lose({ kerfMm })}
          />
          <LengthField
            label="Clean-up in all"
            className="w-24"
            value={lost('cleanUpMm')}
            onChange={(cleanUpMm) => lose({ cleanUpMm })}
          />
        </>
      )}
      {children}
      {done === 'sliced' && (
        <p className="max-w-72 self-center text-xs text-quiet">
          {from === null
            ? 'Slices of several glue-ups.'
            : `Slices of one thick ${segmented.length > 0 ? 'ring' : 'disc'}: ${slices.join(', ')}. What is changed in one, woods too, changes in all; each has its own turn.`}
        </p>
      )}
      {done === 'opened' && (
        <p className="max-w-60 self-center text-xs text-quiet">
          Two leaves of one half-ring: both ends meet their like.
        </p>
      )}
    </>
  );
}
