import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

interface GroupProps {
  readonly title: string;
  /** Closed at first; opened by its title. */
  readonly folded?: boolean;
  readonly children: ReactNode;
}

/** A titled part of a panel; one that is seldom needed is folded away. */
export function Group({ title, folded = false, children }: GroupProps) {
  return (
    <details open={!folded} className="group/part mb-2 border-b border-line pb-3 last:border-0">
      <summary className="mb-1 cursor-pointer list-none font-semibold">
        <ChevronRight
          aria-hidden
          size={14}
          className="mr-1 -ml-1 inline text-quiet group-open/part:rotate-90"
        />
        {title}
      </summary>
      {children}
    </details>
  );
}

/** Two fields a line. */
export const Pairs = ({ children }: { children: ReactNode }) => (
  <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">{children}</div>
);
