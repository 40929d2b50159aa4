import { unitsOf, woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { controlClass, Field } from '../ui/Field.js';

/** A text field of a form that is read when it is sent. */
export function Entry({ name, label, value, numeric = false }: EntryProps) {
  return (
    <Field label={label}>
      {(control) => (
        <input
          {...control}
          name={name}
          defaultValue={value}
          autoComplete="off"
          inputMode={numeric ? 'numeric' : undefined}
          className={controlClass}
        />
      )}
    </Field>
  );
}

interface EntryProps {
  readonly name: string;
  readonly label: string;
  readonly value: string;
  readonly numeric?: boolean;
}

/** What lengths are typed in, in words. */
export const useUnitName = (): 'mm' | 'inches' => (useApp(unitsOf) === 'mm' ? 'mm' : 'inches');

/** Name and main wood of a new piece. */
export function NameAndWood() {
  const woods = useApp(woodsOf);
  return (
    <>
      <div className="col-span-2">
        <Entry name="name" label="Name" value="New piece" />
      </div>
      <div className="col-span-2">
        <Field label="Main wood">
          {(control) => (
            <select {...control} name="wood" className={controlClass}>
              {woods.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
    </>
  );
}
