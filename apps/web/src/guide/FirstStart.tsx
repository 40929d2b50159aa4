import { startingShop, type UnitSystem } from '@fellside/core';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { Wrong } from '../ui/Wrong.js';
import { useBegin } from './useBegin.js';

const UNITS: readonly (readonly [UnitSystem, string, string])[] = [
  ['inch-fraction', 'Inches', 'fractions to 1/64, board feet'],
  ['mm', 'Millimetres', 'to half a millimetre, board feet'],
];

const choice =
  'flex min-h-24 w-64 max-w-full flex-col items-start justify-center rounded-lg border border-line bg-raised px-5 py-3 text-left hover:border-teal';

/** An empty shelf: how one measures, if nobody has said so yet; then what to begin with. */
export function FirstStart() {
  const { data } = api.useShopChosenQuery();
  if (!data) return null;
  return data.chosen ? <WhatFirst /> : <HowMeasured />;
}

function HowMeasured() {
  const [setShop] = api.useSetShopMutation();
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const choose = async (units: UnitSystem) => {
    const answer = await setShop(startingShop(units));
    if (answer.error) setWrong(sentencesOf(answer.error));
  };
  return (
    <section aria-labelledby="measure" className="m-auto max-w-xl">
      <h2 id="measure" className="mb-1 text-xl font-semibold">
        What do you measure in?
      </h2>
      <p className="mb-4 text-quiet">
        Fields take both, always, and one press in the bar above shows the other. Saw, lathe and clamps can
        wait: Shop has usual figures until you put in yours.
      </p>
      <div className="flex flex-wrap gap-4">
        {UNITS.map(([units, name, says]) => (
          <button key={units} type="button" className={choice} onClick={() => void choose(units)}>
            <b className="text-lg">{name}</b>
            <span className="text-sm text-quiet">{says}</span>
          </button>
        ))}
      </div>
      <Wrong sentences={wrong} />
    </section>
  );
}

function WhatFirst() {
  const { begin, trouble } = useBegin();
  const [show, { isLoading, error }] = api.usePutShowOnShelfMutation();
  return (
    <section aria-labelledby="first" className="m-auto max-w-xl">
      <h2 id="first" className="mb-1 text-xl font-semibold">
        Nothing on the shelf yet
      </h2>
      <p className="mb-4 text-quiet">
        Begin here, or with “New piece” above: choose a shape, give its size, and the rings are laid out for
        you.
      </p>
      <div className="flex flex-wrap gap-4">
        <button type="button" className={choice} onClick={() => void begin()}>
          <b className="text-lg">A first bowl, step by step</b>
          <span className="text-sm text-quiet">
            six steps on the real bench, from the form to the first card
          </span>
        </button>
        <button type="button" className={choice} disabled={isLoading} onClick={() => void show()}>
          <b className="text-lg">{isLoading ? 'They are being put up…' : 'The Hollin Tarn Show'}</b>
          <span className="text-sm text-quiet">finished pieces of every kind, to look at and take apart</span>
        </button>
      </div>
      <Wrong sentences={[...trouble, ...(error ? sentencesOf(error) : [])]} />
    </section>
  );
}
