import { boardsOf, type Mm, mm, type Result, type Spacers } from '@fellside/core';
import { projectOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { BoardRows } from './BoardRows.js';

type Layers = NonNullable<Spacers['layers']>;

interface SpacerLayersProps {
  readonly targets: readonly number[];
  readonly layers: Layers | undefined;
  /** How thick the spacers are. */
  readonly thicknessMm: Mm;
  readonly onChange: (layers: Layers) => Result<unknown>;
}

/** What spacers are glued up from, where they are not of one piece, and which go in turned over. */
export function SpacerLayers({ targets, layers, thicknessMm, onChange }: SpacerLayersProps) {
  // The board of the spacers comes after that of the segments.
  const board = useApp((state) => boardsOf(projectOf(state).rings[targets[0]!]!.making).length - 1);
  if (!layers)
    return (
      <Button onClick={() => onChange({ layersMm: [mm(thicknessMm / 3)], turned: 'none' })}>
        Glue spacers up of layers
      </Button>
    );
  return (
    <>
      <BoardRows targets={targets} board={board} />
      <Choice
        label="Turned over"
        className="w-52"
        value={layers.turned}
        options={TURNED}
        onChange={(turned) => onChange({ ...layers, turned })}
      />
    </>
  );
}

const TURNED: readonly (readonly [Layers['turned'], string])[] = [
  ['none', 'no spacer'],
  ['first', 'first, third, fifth …'],
  ['second', 'second, fourth, sixth …'],
  ['all', 'all of them'],
];
