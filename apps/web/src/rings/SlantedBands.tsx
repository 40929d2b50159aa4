import { edit, formatLength, liftOfBands, MOST_SLANTS, mm, type Slant } from '@fellside/core';
import { Plus, Trash2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { paletteOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Cautions } from '../ui/Cautions.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { OptionalCount } from '../ui/OptionalCount.js';

/** Bands of a contrasting wood that run aslant through the glued stack, in the order in which they are cut. */
export function SlantedBands() {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const { slants = [] } = useApp(projectOf);
  const lift = liftOfBands({ slants });
  const add = () => dispatch(editPiece(edit.addSlant()));
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button>Slanted bands{slants.length > 0 ? ` (${slants.length})` : ''}…</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label="Slanted bands"
          className="z-20 flex max-h-[70vh] w-210 max-w-[94vw] flex-col gap-3 overflow-y-auto rounded border border-line bg-raised p-3 shadow-lg"
        >
          <p className="text-sm text-quiet">
            The glued stack is sawn through aslant, a board is glued in, and the work goes on. Each band is
            cut after those above it in this list and measured on the work as it then stands: all that lies
            above a band moves by its thickness less the kerf.
          </p>
          {slants.length > 0 && (
            <ol className="flex flex-col gap-2">
              {slants.map((slant, index) => (
                <Band key={slant.id} slant={slant} index={index} />
              ))}
            </ol>
          )}
          <div className="flex flex-wrap items-center gap-3">
            <Button kind="main" disabled={slants.length >= MOST_SLANTS} onClick={add}>
              <Plus aria-hidden size={14} />{' '}
              {slants.length === 0 ? 'First band' : 'A further band, turned by 120°'}
            </Button>
            {slants.length > 0 && (
              <span className="text-sm text-quiet">
                The bands add <b className="text-ink">{formatLength(mm(lift), units)}</b> to the height of the
                rings.
              </span>
            )}
          </div>
          {slants.length > 0 && <Cautions ids={['round-work', 'bandsaw']} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Band({ slant, index }: { slant: Slant; index: number }) {
  const dispatch = useActions();
  const palette = useApp(paletteOf);
  const set = (change: Partial<Slant>) => dispatch(editPiece(edit.setSlant(index, change)));
  return (
    <li aria-label={`Slanted band ${index + 1}`} className="flex flex-wrap items-end gap-2">
      <span className="flex h-8 w-5 items-center font-semibold">{index + 1}</span>
      <Field label="Wood">
        {(control) => (
          <select
            {...control}
            className={`${controlClass} w-36`}
            value={slant.wood}
            onChange={(event) => set({ wood: event.target.value })}
          >
            {[...palette].map(([key, { name }]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <LengthField
        label="Cut meets the axis at"
        className="w-28"
        value={slant.heightMm}
        onChange={(heightMm) => set({ heightMm })}
      />
      <NumberField
        label="Slant °"
        className="w-16"
        value={slant.slantDeg}
        onChange={(slantDeg) => set({ slantDeg })}
      />
      <NumberField
        label="Lowest at °"
        className="w-20"
        value={slant.towardDeg}
        onChange={(towardDeg) => set({ towardDeg })}
      />
      <LengthField
        label="Thickness"
        className="w-20"
        value={slant.thicknessMm}
        onChange={(thicknessMm) => set({ thicknessMm })}
      />
      <LengthField
        label="Kerf"
        className="w-20"
        value={slant.kerfMm}
        onChange={(kerfMm) => set({ kerfMm })}
      />
      <OptionalCount
        label="Segments"
        value={slant.count}
        onChange={(count) => set({ count } as Partial<Slant>)}
      />
      <Button
        aria-label={`Remove slanted band ${index + 1}`}
        onClick={() => dispatch(editPiece(edit.removeSlant(index)))}
      >
        <Trash2 aria-hidden size={14} />
      </Button>
    </li>
  );
}
