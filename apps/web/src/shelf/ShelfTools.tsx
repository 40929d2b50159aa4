import { FORM_KINDS, type FormKind } from '@fellside/core';
import type { ShelfAsk, ShelfState } from '../store/api.js';
import { woodsOf } from '../store/house.js';
import { look } from '../store/lookSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Choice } from '../ui/Choice.js';
import { controlClass, Field } from '../ui/Field.js';
import { Switch } from '../ui/Switch.js';

const ORDERS = [
  ['saved', 'last saved first'],
  ['name', 'by name'],
  ['height', 'tallest first'],
  ['width', 'widest first'],
] as const;

const KINDS: readonly (readonly [FormKind | '', string])[] = [
  ['', 'any'],
  ...(Object.entries(FORM_KINDS) as [FormKind, string][]),
];
const STATES: readonly (readonly [ShelfState | '', string])[] = [
  ['', 'any'],
  ['planned', 'planned'],
  ['begun', 'begun in the shop'],
  ['made', 'made'],
];

/** Finds and sorts pieces of a shelf that is full. */
export function ShelfTools({ ask, setAsk }: { ask: ShelfAsk; setAsk: (ask: ShelfAsk) => void }) {
  const dispatch = useActions();
  const woods = useApp(woodsOf);
  const small = useApp((state) => state.look.smallShelf);
  return (
    <div className="mb-4 flex flex-wrap items-end gap-3">
      <Field label="Find a piece">
        {(control) => (
          <input
            {...control}
            type="search"
            placeholder="by name"
            className={`${controlClass} w-44`}
            value={ask.named}
            onChange={(event) => setAsk({ ...ask, named: event.target.value })}
          />
        )}
      </Field>
      <Choice
        label="Order"
        value={ask.order}
        options={ORDERS}
        onChange={(order) => setAsk({ ...ask, order })}
      />
      <Choice
        label="With the wood"
        value={ask.wood}
        options={[['', 'any'], ...woods.map(({ id, name }) => [id, name] as const)]}
        onChange={(wood) => setAsk({ ...ask, wood })}
      />
      <Choice label="Kind" value={ask.kind} options={KINDS} onChange={(kind) => setAsk({ ...ask, kind })} />
      <Choice
        label="State"
        value={ask.state}
        options={STATES}
        onChange={(state) => setAsk({ ...ask, state })}
      />
      <Switch label="Small" on={small} onChange={(on) => dispatch(look.shelved(on))} />
    </div>
  );
}
