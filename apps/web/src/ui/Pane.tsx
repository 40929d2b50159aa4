import type { ReactNode } from 'react';
import { PaneBoundary } from './PaneBoundary.js';

/** A part of a page that scrolls by itself where there is room beside it, and stands below the others where there is none. */
export function Pane({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section
      aria-label={name}
      tabIndex={0}
      className="min-w-0 overflow-x-auto rounded border border-line bg-pane p-2 lg:overflow-auto"
    >
      <PaneBoundary name={name}>{children}</PaneBoundary>
    </section>
  );
}
