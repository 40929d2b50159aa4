import { edit, type SawnFrom } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { OptionalLength } from '../../ui/OptionalLength.js';
import { Switch } from '../../ui/Switch.js';
import { Backing } from './Backing.js';
import { BoardRows } from './BoardRows.js';
import { More } from './More.js';
import { type ControlsProps, useSource } from './params.js';

type Laminated = Extract<SawnFrom, { is: 'laminated' }>;

const FIGURES: readonly (readonly [Laminated['figure'], string])[] = [
  ['stripes', 'level stripes'],
  ['ramp', 'ramp'],
  ['zigzag', 'zigzag'],
  ['chevron', 'chevrons'],
  ['diamond', 'diamonds'],
  ['chequer', 'chequer'],
];

const TURNS: readonly (readonly [Laminated['turn'], string])[] = [
  ['upright', 'about its upright axis'],
  ['lengthwise', 'about its length'],
  ['face', 'half round in its face'],
];

/** A laminated board: its layers, how it is sliced, how slices are turned, and the boards it may come from. */
export function LaminatedControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, common, set } = useSource('laminated', targets);
  const { figure } = all[0]!;
  const slanted = !['stripes', 'chequer'].includes(figure);
  const sliced = figure !== 'stripes';
  return (
    <>
      <BoardRows targets={targets} />
      <Choice
        label="Figure"
        className="w-28"
        value={common((p) => p.figure)}
        options={FIGURES}
        onChange={(next) => dispatch(editPiece(edit.setFigure(targets, next)))}
      />
      {slanted && (
        <NumberField
          label="Slice angle"
          className="w-20"
          unit="°"
          value={common((p) => p.angleDeg)}
          onChange={(angleDeg) => set({ angleDeg })}
        />
      )}
      {slanted && figure !== 'ramp' && (
        <Choice
          label="Every other slice turned"
          className="w-52"
          value={common((p) => p.turn)}
          options={TURNS}
          onChange={(turn) => set({ turn })}
        />
      )}
      {figure === 'chequer' && (
        <NumberField
          label="Slices a segment"
          className="w-20"
          value={common((p) => p.across)}
          onChange={(across) => set({ across })}
        />
      )}
      {sliced && (
        <LengthField
          label="Trim"
          className="w-20"
          value={common((p) => p.trimMm)}
          onChange={(trimMm) => set({ trimMm })}
        />
      )}
      <LengthField
        label="Taken above middle"
        className="w-24"
        value={common((p) => p.upMm)}
        onChange={(upMm) => set({ upMm })}
      />
      <Backing is="laminated" targets={targets} />
      {sliced && (
        <Switch
          label="turned slice first"
          on={all.every((p) => p.turnedFirst)}
          onChange={(turnedFirst) => set({ turnedFirst })}
        />
      )}
      <Switch
        label="show glue lines"
        on={all.every((p) => p.glueLines)}
        onChange={(glueLines) => set({ glueLines })}
      />
      <More called="Kerf, ends, boards">
        <LengthField
          label="Kerf"
          className="w-20"
          value={common((p) => p.kerfMm)}
          onChange={(kerfMm) => set({ kerfMm })}
        />
        <Choice
          label="End cuts"
          className="w-48"
          value={common((p) => p.ends)}
          options={[
            ['whole', 'a whole kerf each'],
            ['none', 'on the board’s ends'],
          ]}
          onChange={(ends) => set({ ends })}
        />
        <LengthField
          label="End waste"
          className="w-20"
          value={common((p) => p.endWasteMm)}
          onChange={(endWasteMm) => set({ endWasteMm })}
        />
        {slanted && (
          <Choice
            label="The two ends"
            className="w-40"
            value={common((p) => (p.endsGlued ? 'glued' : 'waste'))}
            options={[
              ['waste', 'are waste'],
              ['glued', 'are glued into slices'],
            ]}
            onChange={(ends) => set({ endsGlued: ends === 'glued' ? true : undefined })}
          />
        )}
        <NumberField
          label="Spare slices"
          className="w-16"
          value={common((p) => p.spares)}
          onChange={(spares) => set({ spares })}
        />
        <LengthField
          label="Longest board"
          className="w-24"
          value={common((p) => p.longestMm)}
          onChange={(longestMm) => set({ longestMm })}
        />
        <div className="w-24">
          <OptionalLength
            label="Board on hand"
            value={all[0]!.onHandMm}
            onChange={(onHandMm) => set({ onHandMm })}
          />
        </div>
      </More>
    </>
  );
}
