import { controlClass, Field } from './Field.js';

interface ChoiceProps<T extends string> {
  readonly label: string;
  /** null shows that several values stand behind it. */
  readonly value: T | null;
  readonly options: readonly (readonly [value: T, says: string])[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
}

/** One of a few values, by name. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  className = 'min-w-28 max-w-full',
}: ChoiceProps<T>) {
  return (
    <Field label={label}>
      {(control) => (
        <select
          {...control}
          className={`${controlClass} ${className}`}
          value={value ?? ''}
          onChange={(event) => onChange(event.target.value as T)}
        >
          {value === null && (
            <option value="" disabled>
              various
            </option>
          )}
          {options.map(([option, says]) => (
            <option key={option} value={option}>
              {says}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}
