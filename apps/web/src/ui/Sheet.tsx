import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

const WIDTHS = { usual: 'w-xl', wide: 'w-3xl', plan: 'w-[1220px]' } as const;

/** The sheet that a dialog lies on; goes inside a `Dialog.Root`. */
export function Sheet({
  title,
  says,
  size = 'usual',
  toRead = false,
  children,
}: {
  title: string;
  says: string;
  size?: keyof typeof WIDTHS;
  /** Opened to be read: the keyboard begins at the whole of it, not at what explains its first term. */
  toRead?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-10 bg-black/40" />
      <Dialog.Content
        onOpenAutoFocus={(event) => {
          if (!toRead) return;
          event.preventDefault();
          (event.currentTarget as HTMLElement).focus();
        }}
        onEscapeKeyDown={(event) => {
          // The first Escape puts back what stood in a field; the next one closes the sheet.
          if ((event.target as Element | null)?.closest('[data-entry]')) event.preventDefault();
        }}
        className={`fixed top-1/2 left-1/2 z-20 max-h-[92vh] ${WIDTHS[size]} max-w-[96vw] -translate-1/2 overflow-auto rounded-lg border border-line bg-pane p-5 shadow-xl ${toRead ? 'outline-none' : ''}`}
      >
        <Dialog.Title className="text-lg font-semibold">{title}</Dialog.Title>
        <Dialog.Description className="mb-4 text-quiet">{says}</Dialog.Description>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  );
}
