import { edit, formatLength, type Inlay, type InlayLies, mm, type Result, sentenceIn } from '@fellside/core';
import { Trash2 } from 'lucide-react';
import { editPiece } from '../../store/edits.js';
import { unitsOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { Switch } from '../../ui/Switch.js';
import { OutlineFields } from './OutlineFields.js';
import { WoodChoice } from './WoodChoice.js';

interface InlayFieldsProps {
  readonly inlay: Inlay;
  readonly index: number;
  readonly placed: Result<InlayLies> | undefined;
}

/** A seam is begun as wide as a sheet of veneer is thick. */
const SEAM = mm(1.5);

/** One inlay: what it is, where it lies, how it is cut; under it what that comes to. */
export function InlayFields({ inlay, index, placed }: InlayFieldsProps) {
  const dispatch = useActions();
  const name = `${inlay.patch ? 'Patch' : 'Inlay'} ${index + 1}`;
  const set = (change: Partial<Omit<Inlay, 'id'>>) => dispatch(editPiece(edit.setInlay(index, change)));
  const { seam } = inlay;
  return (
    <li aria-label={name} className="flex flex-col gap-2 border-t border-line pt-2">
      <div className="flex flex-wrap items-end gap-2">
        <span className="flex h-8 w-16 items-center font-semibold">{name}</span>
        <OutlineFields outline={inlay.outline} onChange={(outline) => set({ outline })} />
        <WoodChoice label="Wood" value={inlay.wood} onChange={(wood) => set({ wood })} />
        <Button
          aria-label={`Remove ${name.toLowerCase()}`}
          onClick={() => dispatch(editPiece(edit.removeInlay(index)))}
        >
          <Trash2 aria-hidden size={14} />
        </Button>
      </div>
      <div className="flex flex-wrap items-end gap-2 pl-18">
        <LengthField
          label="Middle, above the bench"
          className="w-36"
          value={inlay.heightMm}
          onChange={(heightMm) => set({ heightMm })}
        />
        <NumberField
          label="From the index mark °"
          className="w-32"
          value={inlay.towardDeg}
          onChange={(towardDeg) => set({ towardDeg })}
        />
        <NumberField
          label="Turned in its face °"
          className="w-28"
          value={inlay.tiltDeg}
          onChange={(tiltDeg) => set({ tiltDeg })}
        />
        <NumberField
          label="Copies round"
          className="w-24"
          value={inlay.copies}
          onChange={(copies) => set({ copies })}
        />
        <Switch
          label={inlay.patch ? 'twin on the far side' : 'every other mirrored'}
          on={inlay.mirrored === true}
          onChange={(on) =>
            set({
              mirrored: on ? true : undefined,
              ...(inlay.patch && { copies: on ? 2 : 1 }),
            } as Partial<Inlay>)
          }
        />
      </div>
      <div className="flex flex-wrap items-end gap-2 pl-18">
        <LengthField
          label="Depth"
          className="w-20"
          value={inlay.depthMm}
          onChange={(depthMm) => set({ depthMm })}
        />
        <LengthField
          label="Cutter"
          className="w-20"
          value={inlay.cutterMm}
          onChange={(cutterMm) => set({ cutterMm })}
        />
        <LengthField
          label="Clearance"
          className="w-20"
          value={inlay.clearanceMm}
          onChange={(clearanceMm) => set({ clearanceMm })}
        />
        <Switch
          label="goes in turned over"
          on={inlay.turnedOver === true}
          onChange={(on) => set({ turnedOver: on ? true : undefined } as Partial<Inlay>)}
        />
        <Switch
          label="seam round it"
          on={seam !== undefined}
          onChange={(on) =>
            set({ seam: on ? { widthMm: SEAM, wood: inlay.wood } : undefined } as Partial<Inlay>)
          }
        />
        {seam && (
          <>
            <LengthField
              label="Seam, wide"
              className="w-20"
              value={seam.widthMm}
              onChange={(widthMm) => set({ seam: { ...seam, widthMm } })}
            />
            <WoodChoice
              label="Seam of"
              value={seam.wood}
              onChange={(wood) => set({ seam: { ...seam, wood } })}
            />
          </>
        )}
      </div>
      <Comes placed={placed} depthMm={inlay.depthMm} />
    </li>
  );
}

/** What it comes to: depth at the sides, wood left behind it, length of the seam; or why it cannot be. */
function Comes({ placed, depthMm }: { placed: Result<InlayLies> | undefined; depthMm: number }) {
  const units = useApp(unitsOf);
  if (!placed) return null;
  if (!placed.ok)
    return (
      <p role="alert" className="pl-18 text-sm text-rust">
        {placed.reasons.map(({ message }) => sentenceIn(message, units)).join(' ')}
      </p>
    );
  const { leastDepthMm, leftMm, seamMm } = placed.value;
  const shown = (length: number) => formatLength(mm(length), units);
  return (
    <p className="pl-18 text-sm text-quiet">
      {leastDepthMm < depthMm - 0.05 && `The wall falls away: ${shown(leastDepthMm)} deep at its sides. `}
      {Number.isFinite(leftMm)
        ? `Behind it ${shown(leftMm)} of the wall are left.`
        : 'The piece is solid behind it.'}
      {seamMm > 0 && ` Seam ${shown(seamMm)} round.`}
    </p>
  );
}
