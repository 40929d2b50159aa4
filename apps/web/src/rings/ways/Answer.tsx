import type { ReactNode } from 'react';

interface AnswerProps {
  readonly title: string;
  readonly place?: string;
  readonly children: ReactNode;
}

/** One of the answers that a ring is put together from. */
export function Answer({ title, place = '', children }: AnswerProps) {
  return (
    <fieldset className={`min-w-0 ${place}`}>
      <legend className="mb-1 text-sm font-semibold">{title}</legend>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">{children}</div>
    </fieldset>
  );
}
