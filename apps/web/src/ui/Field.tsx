import { type ReactNode, useId } from 'react';
import { Explain } from './Explain.js';

/** A label, its control and the sentence that says what is wrong with what was typed. */
export function Field({ label, problem, hint, unlabelled = false, children }: FieldProps) {
  const id = useId();
  const says = `${id}-says`;
  return (
    <div className="flex flex-col gap-0.5">
      <span className="flex items-center gap-0.5">
        <label htmlFor={id} className={unlabelled ? 'sr-only' : 'text-xs text-quiet'}>
          {label}
        </label>
        {!unlabelled && <Explain label={label} />}
      </span>
      {children({
        id,
        'aria-invalid': problem ? true : undefined,
        'aria-describedby': problem || hint ? says : undefined,
      })}
      {(problem || hint) && (
        <p
          id={says}
          role={problem ? 'alert' : undefined}
          className={`text-xs ${problem ? 'text-rust' : 'text-quiet'}`}
        >
          {problem ?? hint}
        </p>
      )}
    </div>
  );
}

interface FieldProps {
  readonly label: string;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  /** Its place in a list says what it is: the label is read out, and not shown. */
  readonly unlabelled?: boolean;
  readonly children: (control: ControlProps) => ReactNode;
}

export interface ControlProps {
  readonly id?: string;
  readonly 'aria-invalid'?: true | undefined;
  readonly 'aria-describedby'?: string | undefined;
  readonly 'aria-label'?: string;
}

export const controlClass =
  'h-8 rounded border border-line bg-raised px-2 text-ink aria-invalid:border-rust aria-invalid:bg-rust-wash min-w-0';
