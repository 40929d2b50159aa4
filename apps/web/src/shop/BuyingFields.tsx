import { type Mm, mm, type Result, type Shop } from '@fellside/core';
import { Plus, Trash2 } from 'lucide-react';
import { woodsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { Switch } from '../ui/Switch.js';

interface BuyingFieldsProps {
  readonly shop: Shop;
  readonly change: (part: Partial<Shop>) => Result<unknown>;
}

/** How boards are ripped and resawn, which sizes the yard sells, and what its woods cost. */
export function BuyingFields({ shop, change }: BuyingFieldsProps) {
  const woods = useApp(woodsOf);
  const { yard, prices, leastOffcutMm } = shop;
  const rest = woods.filter(({ id }) => prices[id] === undefined);
  const size = (index: number, part: Partial<Shop['yard'][number]>) =>
    change({ yard: yard.map((each, i) => (i === index ? { ...each, ...part } : each)) });
  return (
    <>
      <section>
        <h2 className="mb-2 border-b border-line pb-1 font-semibold">Boards</h2>
        <div className="grid grid-cols-2 items-end gap-3">
          <LengthField
            label="Jointed off one edge"
            value={shop.edgeJointMm}
            onChange={(edgeJointMm) => change({ edgeJointMm })}
          />
          <LengthField
            label="Widths ripped together within"
            value={shop.shareWidthMm}
            onChange={(shareWidthMm) => change({ shareWidthMm })}
          />
          <LengthField
            label="Widths, thicknesses in steps of"
            value={shop.ripStepMm}
            onChange={(ripStepMm) => change({ ripStepMm })}
          />
          <LengthField
            label="Rough lengths in steps of"
            value={shop.lengthStepMm}
            onChange={(lengthStepMm) => change({ lengthStepMm })}
          />
          <LengthField
            label="Stops brought together within"
            value={shop.stopTogetherMm}
            onChange={(stopTogetherMm) => change({ stopTogetherMm })}
          />
          <span />
          <div className="col-span-2">
            <Switch
              label="Thick boards are resawn"
              on={shop.resaws}
              onChange={(resaws) => change({ resaws })}
            />
          </div>
          <LengthField
            label="Kerf when resawing"
            value={shop.resawKerfMm}
            onChange={(resawKerfMm) => change({ resawKerfMm })}
          />
          <LengthField
            label="Cleaned off each leaf"
            value={shop.resawCleanMm}
            onChange={(resawCleanMm) => change({ resawCleanMm })}
          />
          <LengthField
            label="Widest rip that is resawn"
            value={shop.resawHeightMm}
            onChange={(resawHeightMm) => change({ resawHeightMm })}
          />
          <span />
          <LengthField
            label="Offcuts kept from this length"
            value={leastOffcutMm.lengthMm}
            onChange={(lengthMm) => change({ leastOffcutMm: { ...leastOffcutMm, lengthMm } })}
          />
          <LengthField
            label="and this width"
            value={leastOffcutMm.widthMm}
            onChange={(widthMm) => change({ leastOffcutMm: { ...leastOffcutMm, widthMm } })}
          />
        </div>
      </section>
      <section>
        <h2 className="mb-2 border-b border-line pb-1 font-semibold">The yard</h2>
        <p className="mb-2 text-sm text-quiet">
          Widths and lengths that it sells, in every thickness. Random widths: the widths you can count on.
        </p>
        <div className="mb-2 w-72">
          <Field label="Boards are charged by">
            {(control) => (
              <select
                {...control}
                className={controlClass}
                value={shop.charges}
                onChange={(event) => change({ charges: event.target.value as Shop['charges'] })}
              >
                <option value="nominal">nominal thickness (4/4, 5/4 …)</option>
                <option value="volume">volume, as thick as they are</option>
              </select>
            )}
          </Field>
        </div>
        {yard.map((each, i) => (
          <div key={i} className="mb-2 flex items-end gap-2">
            <LengthField
              label={`Width ${i + 1}`}
              value={each.widthMm}
              onChange={(widthMm: Mm) => size(i, { widthMm })}
            />
            <LengthField
              label={`Length ${i + 1}`}
              value={each.lengthMm}
              onChange={(lengthMm: Mm) => size(i, { lengthMm })}
            />
            <Button
              aria-label={`Remove size ${i + 1}`}
              onClick={() => change({ yard: yard.filter((_, k) => k !== i) })}
            >
              <Trash2 aria-hidden size={14} />
            </Button>
          </div>
        ))}
        <Button onClick={() => change({ yard: [...yard, { widthMm: mm(150), lengthMm: mm(2400) }] })}>
          <Plus aria-hidden size={14} /> Size
        </Button>
        <h3 className="mt-4 mb-2 font-semibold">Prices of a board foot</h3>
        <Field label="Currency">
          {(control) => (
            <input
              {...control}
              className={`${controlClass} w-16`}
              defaultValue={shop.currency}
              onBlur={(event) => change({ currency: event.target.value })}
            />
          )}
        </Field>
        {Object.entries(prices).map(([id, price]) => (
          <div key={id} className="mt-2 flex items-end gap-2">
            <NumberField
              label={woods.find((wood) => wood.id === id)?.name ?? id}
              value={price}
              onChange={(now) => change({ prices: { ...prices, [id]: now } })}
            />
            <Button
              aria-label={`Forget the price of ${id}`}
              onClick={() => {
                const { [id]: _, ...left } = prices;
                change({ prices: left });
              }}
            >
              <Trash2 aria-hidden size={14} />
            </Button>
          </div>
        ))}
        <Field label="Price for a further wood">
          {(control) => (
            <select
              {...control}
              className={`${controlClass} mt-1 w-56`}
              value=""
              onChange={(event) => change({ prices: { ...prices, [event.target.value]: 10 } })}
            >
              <option value="" disabled>
                choose a wood
              </option>
              {rest.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
      </section>
    </>
  );
}
