import {
  type Board,
  type Defect,
  mm,
  type NewBoard,
  newBoardSchema,
  QUARTERS,
  reasonsOf,
  sentenceIn,
} from '@fellside/core';
import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { unitsOf, woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';
import { Sheet } from '../ui/Sheet.js';
import { Switch } from '../ui/Switch.js';
import { WoodPatterns } from '../ui/WoodPatterns.js';
import { BoardPicture } from './BoardPicture.js';
import { DefectFields } from './DefectFields.js';

const FRESH: NewBoard = {
  wood: 'sugar-maple',
  lengthMm: mm(2438.4),
  widthMm: mm(152.4),
  thicknessMm: mm(25.4),
  surfaced: false,
  price: null,
  moisturePercent: null,
  note: '',
  defects: [],
};

const set = <T,>(value: T) => ({ ok: true as const, value });

/** A board entered or changed: its sizes, and what to saw round. Nothing is kept until it can be. */
export function BoardDialog({ board, onClose }: { board?: Board; onClose: () => void }) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const [change] = api.useChangeBoardMutation();
  const [replace] = api.useReplaceBoardsMutation();
  const [draft, setDraft] = useState<NewBoard>(() => {
    const { id: _, ...own } = board ?? { ...FRESH, id: '' };
    return own;
  });
  const [price, setPrice] = useState(draft.price === null ? '' : String(draft.price));
  const [moisture, setMoisture] = useState(
    draft.moisturePercent === null ? '' : String(draft.moisturePercent),
  );
  const [trouble, setTrouble] = useState<string[]>([]);
  const part = (more: Partial<NewBoard>) => setDraft({ ...draft, ...more });
  const species = woods.find(({ id }) => id === draft.wood);
  const figure = (text: string) => (text.trim() === '' ? null : Number(text.replace(',', '.')));
  const keep = () => {
    const parsed = newBoardSchema.safeParse({
      ...draft,
      price: figure(price),
      moisturePercent: figure(moisture),
    });
    if (!parsed.success) {
      setTrouble(reasonsOf(parsed.error).map(({ message }) => sentenceIn(message, units)));
      return;
    }
    const kept = board
      ? change({ id: board.id, board: parsed.data }).unwrap()
      : replace({ remove: [], add: [parsed.data] }).unwrap();
    kept.then(onClose).catch((error) => setTrouble(sentencesOf(error)));
  };
  const defect = (index: number, more: Partial<Defect>) =>
    part({ defects: draft.defects.map((each, i) => (i === index ? { ...each, ...more } : each)) });
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Sheet
        size="wide"
        title={board ? 'Change a board' : 'Enter a board'}
        says="Sizes as the board lies there. Defects are measured from its left end and its lower edge; they are sawn round."
      >
        <div className="grid grid-cols-4 items-end gap-3">
          <Field label="Wood">
            {(control) => (
              <select
                {...control}
                className={`${controlClass} w-full`}
                value={draft.wood}
                onChange={(event) => part({ wood: event.target.value })}
              >
                {woods.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <LengthField
            label="Length"
            value={draft.lengthMm}
            onChange={(lengthMm) => set(part({ lengthMm }))}
          />
          <LengthField label="Width" value={draft.widthMm} onChange={(widthMm) => set(part({ widthMm }))} />
          <LengthField
            label="Thickness"
            value={draft.thicknessMm}
            onChange={(thicknessMm) => set(part({ thicknessMm }))}
          />
          <Field label="Sold as">
            {(control) => (
              <select
                {...control}
                className={`${controlClass} w-full`}
                value={
                  QUARTERS.find(
                    ({ roughMm }) => !draft.surfaced && Math.abs(roughMm - draft.thicknessMm) < 0.8,
                  )?.name ?? ''
                }
                onChange={(event) => {
                  const quarter = QUARTERS.find(({ name }) => name === event.target.value);
                  if (quarter) part({ thicknessMm: quarter.roughMm, surfaced: false });
                }}
              >
                <option value="">other</option>
                {QUARTERS.map(({ name }) => (
                  <option key={name} value={name}>
                    {name} rough
                  </option>
                ))}
              </select>
            )}
          </Field>
          <div className="flex h-8 items-center">
            <Switch
              label="Surfaced already"
              on={draft.surfaced}
              onChange={(surfaced) => part({ surfaced })}
            />
          </div>
          <Plain label="Price of a board foot" value={price} onChange={setPrice} />
          <Plain label="Moisture, %" value={moisture} onChange={setMoisture} />
          <div className="col-span-4">
            <Plain
              label="Where it stands, where it came from"
              value={draft.note}
              onChange={(note) => part({ note })}
            />
          </div>
        </div>
        <h3 className="mt-4 mb-1 font-semibold">Defects</h3>
        {draft.defects.map((each, i) => (
          <DefectFields
            key={i}
            number={i + 1}
            defect={each}
            onChange={(more) => defect(i, more)}
            onRemove={() => part({ defects: draft.defects.filter((_, k) => k !== i) })}
          />
        ))}
        <Button
          onClick={() =>
            part({
              defects: [
                ...draft.defects,
                { kind: 'knot', xMm: mm(100), yMm: mm(20), lengthMm: mm(40), widthMm: mm(30) },
              ],
            })
          }
        >
          <Plus aria-hidden size={14} /> Defect
        </Button>
        <div className="wood-ground mt-4 overflow-hidden rounded p-2">
          {species && (
            <svg width="0" height="0" aria-hidden className="absolute">
              <WoodPatterns woods={[species]} hatched={false} prefix="entered" />
            </svg>
          )}
          <BoardPicture
            board={draft}
            species={species}
            prefix="entered"
            scale={680 / Math.max(1, draft.lengthMm)}
          />
        </div>
        {trouble.length > 0 && (
          <p role="alert" className="mt-3 text-rust">
            {trouble.join(' ')}
          </p>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="main" onClick={keep}>
            Keep the board
          </Button>
        </div>
      </Sheet>
    </Dialog.Root>
  );
}

function Plain({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <Field label={label}>
      {(control) => (
        <input
          {...control}
          className={`${controlClass} w-full`}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}
