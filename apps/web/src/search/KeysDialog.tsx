import { Dialog } from 'radix-ui';
import { useLocation } from 'react-router';
import { Sheet } from '../ui/Sheet.js';
import { keysAt } from './keys.js';

/** The keys of this screen. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  const { pathname } = useLocation();
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Sheet title="Keys" says="What keys do on this screen; not while a field is typed in.">
        {keysAt(pathname).map(({ where, keys }) => (
          <section key={where} aria-label={where} className="mb-4">
            <h3 className="mb-1 font-semibold">{where}</h3>
            <dl>
              {keys.map(([press, does]) => (
                <div key={press} className="grid grid-cols-[13rem_minmax(0,1fr)] border-t border-line py-1.5">
                  <dt>
                    <kbd className="font-sans font-semibold">{press}</kbd>
                  </dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </Sheet>
    </Dialog.Root>
  );
}
