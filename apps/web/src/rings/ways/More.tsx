import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

/** What is seldom set, folded away until it is asked for. */
export function More({ called, children }: { readonly called: string; readonly children: ReactNode }) {
  return (
    <details className="group/more w-full">
      <summary className="flex h-8 w-fit cursor-pointer list-none items-center text-sm text-teal underline">
        <ChevronRight aria-hidden size={14} className="group-open/more:rotate-90" />
        {called}
      </summary>
      <div className="mt-1 flex flex-wrap items-end gap-x-3 gap-y-2">{children}</div>
    </details>
  );
}
