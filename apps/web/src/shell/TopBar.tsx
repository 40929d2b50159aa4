import { UNIT_SYSTEMS, type UnitSystem, withUnits } from '@fellside/core';
import { History, Redo2, Undo2 } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { Search } from '../search/Search.js';
import { api } from '../store/api.js';
import { shopOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { redo, undo } from '../store/undoing.js';
import { Button } from '../ui/Button.js';
import { EditList } from './EditList.js';
import { SavedSign } from './SavedSign.js';
import { ThemeButton } from './ThemeButton.js';
import { useShortcuts } from './useShortcuts.js';

/** What changes the name comes with the piece, not with the first screen. */
const PieceName = lazy(async () => ({ default: (await import('./PieceName.js')).PieceName }));

const UNIT_NAMES: Record<UnitSystem, string> = {
  'inch-fraction': 'inches · 1/64',
  'inch-decimal': 'inches · 0.001',
  mm: 'millimetres',
};

/** The same on a phone. */
const SHORT_NAMES: Record<UnitSystem, string> = { 'inch-fraction': 'in', 'inch-decimal': '0.001', mm: 'mm' };

export function TopBar() {
  const dispatch = useActions();
  const history = useApp((state) => state.piece.edited?.history);
  const id = useApp((state) => state.piece.id);
  useShortcuts();
  return (
    <header className="flex min-h-12 shrink-0 items-center gap-3 bg-bar px-4 text-on-bar max-sm:gap-1.5 max-sm:px-2">
      <Link to="/" className="text-lg font-bold tracking-tight">
        Fellside
      </Link>
      {history && (
        <>
          <span aria-hidden className="text-bar-quiet">
            /
          </span>
          <Suspense>
            <PieceName />
          </Suspense>
          <SavedSign />
        </>
      )}
      <div className="flex-1" />
      {history && (
        <>
          <Button
            kind="bar"
            className="px-2!"
            disabled={history.past.length === 0}
            onClick={() => dispatch(undo())}
            aria-label={`Undo ${history.past.at(-1)?.label ?? ''}`}
            title={history.past.length ? `Undo: ${history.past.at(-1)?.label}` : 'Nothing to undo'}
          >
            <Undo2 aria-hidden size={16} />
          </Button>
          <Button
            kind="bar"
            className="px-2!"
            disabled={history.future.length === 0}
            onClick={() => dispatch(redo())}
            aria-label={`Redo ${history.future.at(-1)?.label ?? ''}`}
            title={history.future.length ? `Redo: ${history.future.at(-1)?.label}` : 'Nothing to redo'}
          >
            <Redo2 aria-hidden size={16} />
          </Button>
          <span className="max-sm:hidden">
            <EditList />
          </span>
          <Link
            to={`/piece/${id}/versions`}
            aria-label="Earlier versions"
            title="Earlier versions"
            className="inline-flex h-8 items-center rounded border border-[#5b6a6c] px-2 hover:border-on-bar max-sm:hidden"
          >
            <History aria-hidden size={16} />
          </Link>
        </>
      )}
      <Search />
      <UnitsButton />
      <span className="max-sm:hidden">
        <ThemeButton />
      </span>
    </header>
  );
}

/** One press goes to the next way of showing lengths. */
function UnitsButton() {
  const shop = useApp(shopOf);
  const [setShop] = api.useSetShopMutation();
  const next = UNIT_SYSTEMS[(UNIT_SYSTEMS.indexOf(shop.units) + 1) % UNIT_SYSTEMS.length]!;
  return (
    <Button
      kind="bar"
      onClick={() => setShop(withUnits(shop, next))}
      className="max-sm:px-1.5!"
      aria-label={UNIT_NAMES[shop.units]}
      title={`Change to ${UNIT_NAMES[next]}`}
    >
      <span className="max-sm:hidden">{UNIT_NAMES[shop.units]}</span>
      <span aria-hidden className="sm:hidden">
        {SHORT_NAMES[shop.units]}
      </span>
    </Button>
  );
}
