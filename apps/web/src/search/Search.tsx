import { Search as Glass, Keyboard } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { isTypedIn } from '../shell/typing.js';
import { Button } from '../ui/Button.js';

const SearchDialog = lazy(() => import('./SearchDialog.js').then((m) => ({ default: m.SearchDialog })));
const KeysDialog = lazy(() => import('./KeysDialog.js').then((m) => ({ default: m.KeysDialog })));

type Open = 'search' | 'keys' | null;

/** Search of everything (Ctrl or ⌘ K), and the keys of this screen (?), each also by a button. */
export function Search() {
  const [open, setOpen] = useState<Open>(null);
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen('search');
      } else if (event.key === '?' && !isTypedIn(event.target)) setOpen('keys');
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
  return (
    <>
      <Button
        kind="bar"
        className="px-2!"
        aria-label="Search"
        title="Search everything (Ctrl or ⌘ K)"
        onClick={() => setOpen('search')}
      >
        <Glass aria-hidden size={16} />
      </Button>
      <span className="max-sm:hidden">
        <Button
          kind="bar"
          className="px-2!"
          aria-label="Keys"
          title="Keys of this screen (?)"
          onClick={() => setOpen('keys')}
        >
          <Keyboard aria-hidden size={16} />
        </Button>
      </span>
      <Suspense>
        {open === 'search' && <SearchDialog onClose={() => setOpen(null)} />}
        {open === 'keys' && <KeysDialog onClose={() => setOpen(null)} />}
      </Suspense>
    </>
  );
}
