import { Minus, Plus } from 'lucide-react';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Entry, NameAndWood, useUnitName } from './fields.js';

/** Sizes of ring to begin with: outside and hole across, height, how many; from the bottom up. */
const USUAL = {
  inches: [
    ['5', '0', '3/4', '1'],
    ['6', '3 1/2', '3/4', '3'],
    ['7', '4 1/2', '3/4', '4'],
  ],
  mm: [
    ['127', '0', '19', '1'],
    ['152', '89', '19', '3'],
    ['178', '114', '19', '4'],
  ],
};
const COLUMNS = ['outer', 'inner', 'height', 'rings'] as const;
const MOST_SIZES = 8;

interface FromRingsProps {
  readonly rows: number;
  readonly onRows: (rows: number) => void;
}

/** Rings of a few sizes, bottom first, and the curve that is wanted in them. */
export function FromRings({ rows, onRows }: FromRingsProps) {
  const unit = useUnitName();
  const usual = USUAL[unit as keyof typeof USUAL];
  const heads = [`Outside across, ${unit}`, `Hole across, ${unit}`, `Height, ${unit}`, 'How many'];
  return (
    <>
      <p className="col-span-4 -mb-2 text-sm text-quiet">
        Sizes as the rings are after truing, from the bottom up. A hole of 0 is a solid disc; the piece needs
        one for its floor.
      </p>
      {Array.from({ length: rows }, (_, row) =>
        COLUMNS.map((column, k) => (
          <Entry
            key={`${row} ${column}`}
            name={`${column}${row}`}
            label={row === 0 ? heads[k]! : `${heads[k]}, size ${row + 1}`}
            value={usual[Math.min(row, usual.length - 1)]![k]!}
            numeric={column === 'rings'}
          />
        )),
      )}
      <div className="col-span-4 flex gap-2">
        <Button disabled={rows >= MOST_SIZES} onClick={() => onRows(rows + 1)}>
          <Plus aria-hidden size={14} /> One more size
        </Button>
        <Button disabled={rows <= 1} onClick={() => onRows(rows - 1)}>
          <Minus aria-hidden size={14} /> One fewer
        </Button>
      </div>
      <NameAndWood />
      <Entry name="wallMm" label={`Wall, ${unit}`} value={unit === 'mm' ? '8' : '5/16'} />
      <Entry
        name="truingMm"
        label={`Truing allowance, ${unit}; 0 for rings trued dry`}
        value={unit === 'mm' ? '4' : '5/32'}
      />
      <Entry name="count" label="Segments a ring" value="12" numeric />
      <div className="col-span-2">
        <Field label="Curve">
          {(control) => (
            <select {...control} name="fit" className={controlClass}>
              <option value="smoothest">the smoothest that fits in the rings</option>
              <option value="tightest">the tightest: as wide as the rings allow</option>
            </select>
          )}
        </Field>
      </div>
    </>
  );
}
