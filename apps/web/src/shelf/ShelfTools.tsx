import type { ShelfAsk } from '../store/api.js';
import { look } from '../store/lookSlice.js';
import { woodsOf } from '../store/selectors.js';
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

/** Finds and sorts pieces of a shelf that is full. */
export function ShelfTools({ ask, setAsk }: { ask: ShelfAsk; setAsk: (ask: ShelfAsk) => void }) {
  const dispatch = useActions();
  const woods = useApp(woodsOf);
  const small = useApp((state) => state.look.smallShelf);
  return (
    <div className="flex flex-wrap items-end gap-3">
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
      <Switch label="Small" on={small} onChange={(on) => dispatch(look.shelved(on))} />
    </div>
  );
}
