import { edit, mm, type SawnFrom } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { BoardRows } from './BoardRows.js';
import { type ControlsProps, useSource } from './params.js';

type Board = Extract<SawnFrom, { is: 'layers' }>;
type Turned = Extract<Board, { laid: 'bottom-up' }>['turned'];

/** The board of layers, how they lie, which segments stand upside down. */
export function LayeredControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, common, set } = useSource('layers', targets);
  const sawn = (sawnFrom: Board) => dispatch(editPiece(edit.setParams(targets, 'segmented', { sawnFrom })));
  const board = all[0]!;
  const heightMm = useApp((state) => projectOf(state).rings[targets[0]!]!.heightMm);
  const lay = (laid: Board['laid']): Board =>
    laid === 'outside-in'
      ? { is: 'layers', laid, layersMm: [mm(8)] }
      : {
          is: 'layers',
          laid,
          layersMm: board.layersMm.map(() => mm(heightMm / (board.layersMm.length + 1))),
          turned: 'second',
        };
  return (
    <>
      <BoardRows targets={targets} />
      <Choice
        label="Layers lie"
        className="w-52"
        value={common((p) => p.laid)}
        options={[
          ['outside-in', 'from outside to inside'],
          ['bottom-up', 'one above the other'],
        ]}
        onChange={(laid) => sawn(lay(laid))}
      />
      {board.laid === 'bottom-up' && (
        <Choice
          label="Upside down"
          className="w-52"
          value={common((p) => (p.laid === 'bottom-up' ? p.turned : null))}
          options={TURNED}
          onChange={(turned) => set({ turned })}
        />
      )}
    </>
  );
}

const TURNED: readonly (readonly [Turned, string])[] = [
  ['none', 'no segment'],
  ['first', 'first, third, fifth …'],
  ['second', 'second, fourth, sixth …'],
];
