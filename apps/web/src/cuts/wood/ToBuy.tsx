import {
  type Buying,
  buyingOf,
  formatLength,
  type Lumber,
  mm,
  type Owner,
  ownerKey,
  type Shop,
  type Species,
  type WoodLayout,
  whoseSaid,
} from '@fellside/core';
import { Swatch } from '../../ui/Swatch.js';

interface ToBuyProps {
  readonly layouts: readonly WoodLayout[];
  readonly lumber: Lumber;
  readonly shop: Shop;
  readonly woods: readonly Species[];
  readonly nameOf: (owner: Owner) => string;
  /** Whether the layout is of the piece as it is now. */
  readonly ready: boolean;
}

/** What has to be bought, and what is short. */
export function ToBuy({ layouts, lumber, shop, woods, nameOf, ready }: ToBuyProps) {
  const buying = buyingOf(layouts, lumber, shop);
  const short = layouts.flatMap(({ wood, missing, kinds }) =>
    missing.map((lost) => ({ wood, ...lost, widthMm: kinds[lost.kind]!.widthMm })),
  );
  const total = buying.reduce((sum, { price }) => sum + (price ?? 0), 0);
  const priced = buying.length > 0 && buying.every(({ price }) => price !== null);
  const species = (id: string) => woods.find((wood) => wood.id === id);
  return (
    <section aria-label="To buy" className="mb-4">
      <h2 className="mb-1 font-semibold">To buy</h2>
      {!ready && <p className="text-quiet">Being laid out…</p>}
      {ready && buying.length === 0 && short.length === 0 && <p>Nothing: the boards on hand give it all.</p>}
      <ul>
        {buying.map((each) => (
          <li key={`${each.wood} ${each.quarter}`} className="border-t border-line py-1">
            <Line {...{ each, shop }} species={species(each.wood)} />
          </li>
        ))}
        {short.map(({ wood, owner, purpose, count, kind, widthMm }) => (
          <li
            key={`${wood} ${owner && ownerKey(owner)} ${purpose} ${kind}`}
            className="border-t border-line py-1 text-rust"
          >
            {species(wood)?.name}: short of {count} {count === 1 ? 'piece' : 'pieces'}{' '}
            {owner ? `of ${nameOf(owner)}` : `(${whoseSaid({ owner, purpose }, { nameOf })})`}, from strips{' '}
            {formatLength(mm(widthMm), shop.units)} wide.
          </li>
        ))}
      </ul>
      {priced && (
        <p className="border-t border-line pt-1 text-right">
          <b>
            {shop.currency}
            {total.toFixed(2)}
          </b>
        </p>
      )}
    </section>
  );
}

function Line({ each, shop, species }: { each: Buying; shop: Shop; species: Species | undefined }) {
  const { units } = shop;
  return (
    <>
      <p className="flex items-center gap-1.5">
        <Swatch wood={species} size={16} /> <b>{species?.name ?? each.wood}</b> {each.quarter}
        <span className="ml-auto whitespace-nowrap">
          <b>{each.boardFeet.toFixed(2)}</b> bd ft
        </span>
      </p>
      <p className="text-xs text-quiet">
        {each.boards
          .map(
            ({ count, widthMm, lengthMm }) =>
              `${count} × ${formatLength(mm(widthMm), units)} × ${formatLength(mm(lengthMm), units)}`,
          )
          .join(', ')}
        ; {each.cubicMetres.toFixed(4)} m³
        {each.price !== null && `, ${shop.currency}${each.price.toFixed(2)}`}
      </p>
      {each.thinMm.length > 0 && (
        <p className="text-xs text-quiet">
          Planed to {each.thinMm.map((t) => formatLength(mm(t), units)).join(', ')}, but charged as a full
          inch.
        </p>
      )}
    </>
  );
}
