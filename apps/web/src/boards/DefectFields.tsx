import { DEFECTS, type Defect, type Mm } from '@fellside/core';
import { Trash2 } from 'lucide-react';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';

interface DefectFieldsProps {
  readonly number: number;
  readonly defect: Defect;
  readonly onChange: (more: Partial<Defect>) => void;
  readonly onRemove: () => void;
}

/** One defect of a board: what it is, where it begins and how far it goes. */
export function DefectFields({ number, defect, onChange, onRemove }: DefectFieldsProps) {
  const sizes: readonly (readonly [keyof Omit<Defect, 'kind'>, string])[] = [
    ['xMm', 'From the end'],
    ['yMm', 'From the edge'],
    ['lengthMm', 'Length'],
    ['widthMm', 'Width'],
  ];
  return (
    <fieldset aria-label={`Defect ${number}`} className="mb-2 flex items-end gap-2">
      <Field label="Kind">
        {(control) => (
          <select
            {...control}
            className={`${controlClass} w-24`}
            value={defect.kind}
            onChange={(event) => onChange({ kind: event.target.value as Defect['kind'] })}
          >
            {DEFECTS.map((kind) => (
              <option key={kind} value={kind}>
                {kind}
              </option>
            ))}
          </select>
        )}
      </Field>
      {sizes.map(([key, label]) => (
        <LengthField
          key={key}
          label={label}
          className="w-24"
          value={defect[key]}
          onChange={(value: Mm) => ({ ok: true, value: onChange({ [key]: value }) })}
        />
      ))}
      <Button aria-label={`Remove defect ${number}`} onClick={onRemove}>
        <Trash2 aria-hidden size={14} />
      </Button>
    </fieldset>
  );
}
