import { mm, type ParamsOf, type Result } from '@fellside/core';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { BoardRows } from './BoardRows.js';
import { thicknessOf } from './SpacerFields.js';

type Spacers = ParamsOf<'spaced'>['spacers'];
type Turned = NonNullable<Spacers['layers']>['turned'];

interface SpacerLayersProps {
  readonly targets: readonly number[];
  readonly spacers: Spacers;
  readonly onChange: (spacers: Spacers) => Result<unknown>;
}

/** What spacers are glued up from, where they are not of one piece, and which go in turned over. */
export function SpacerLayers({ targets, spacers, onChange }: SpacerLayersProps) {
  const { layers } = spacers;
  if (!layers)
    return (
      <Button
        onClick={() =>
          onChange({ ...spacers, layers: { layersMm: [mm(thicknessOf(spacers) / 3)], turned: 'none' } })
        }
      >
        Glue spacers up of layers
      </Button>
    );
  return (
    <>
      <BoardRows targets={targets} />
      <Choice
        label="Turned over"
        className="w-52"
        value={layers.turned}
        options={TURNED}
        onChange={(turned) => onChange({ ...spacers, layers: { ...layers, turned } })}
      />
    </>
  );
}

const TURNED: readonly (readonly [Turned, string])[] = [
  ['none', 'no spacer'],
  ['first', 'first, third, fifth …'],
  ['second', 'second, fourth, sixth …'],
  ['all', 'all of them'],
];
