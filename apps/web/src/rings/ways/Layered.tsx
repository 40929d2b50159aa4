import { mm, type ParamsOf } from '@fellside/core';
import { projectOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { BoardRows } from './BoardRows.js';
import { type ControlsProps, useParams } from './params.js';
import { SpacersOrNone } from './SpacerFields.js';

type Board = ParamsOf<'layered'>['board'];
type Turned = Extract<Board, { laid: 'bottom-up' }>['turned'];

/** The board of layers, how they lie, which segments stand upside down, what lies between segments. */
export function LayeredControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('layered', targets);
  const { board } = all[0]!;
  const heightMm = useApp((state) => projectOf(state).rings[targets[0]!]!.heightMm);
  const lay = (laid: Board['laid']): Board =>
    laid === 'outside-in'
      ? { laid, layersMm: [mm(8)] }
      : {
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
        value={common((p) => p.board.laid)}
        options={[
          ['outside-in', 'from outside to inside'],
          ['bottom-up', 'one above the other'],
        ]}
        onChange={(laid) => set({ board: lay(laid) })}
      />
      {board.laid === 'bottom-up' && (
        <Choice
          label="Upside down"
          className="w-52"
          value={common((p) => (p.board.laid === 'bottom-up' ? p.board.turned : null))}
          options={TURNED}
          onChange={(turned) => set({ board: { ...board, turned } })}
        />
      )}
      <SpacersOrNone all={all} onChange={(spacers) => set({ spacers })} />
    </>
  );
}

const TURNED: readonly (readonly [Turned, string])[] = [
  ['none', 'no segment'],
  ['first', 'first, third, fifth …'],
  ['second', 'second, fourth, sixth …'],
];
