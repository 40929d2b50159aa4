import { type Passport, passportOf, passportRows, passportText } from '@fellside/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { savedFirst } from '../store/autosave.js';
import { projectOf, shopOf, unitsOf, woodsOf } from '../store/house.js';
import { planOf, preparedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { LazyTurntable } from '../turntable/LazyTurntable.js';
import { Button } from '../ui/Button.js';
import { Pane } from '../ui/Pane.js';
import { saveBlob, saveFile } from '../ui/saveFile.js';
import { useEntries } from './journal/useEntries.js';
import { PassportFields } from './PassportFields.js';
import { PhotoBeside } from './PhotoBeside.js';

const CARDS = [
  ['a6', 'Card, A6'],
  ['a7', 'Card, A7'],
  ['label', 'Label, 90 × 50 mm'],
] as const;

/** The passport of the piece, to print, to give away as a page that turns, or as text. */
export function PassportView() {
  const project = useApp(projectOf);
  const prepared = useApp(preparedOf);
  const plan = useApp(planOf);
  const woods = useApp(woodsOf);
  const shop = useApp(shopOf);
  const { id = '' } = useParams();
  const { entries } = useEntries(id);
  if (!prepared.ok || !plan.ok) return <p className="p-6 text-quiet">There is nothing to be told yet.</p>;
  const passport = passportOf(project, prepared.value, plan.value, woods, shop, entries);
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_260px]">
      <Pane name="The piece">
        <div className="flex h-[22rem] flex-col gap-2 has-[figure]:h-[40rem] lg:h-full lg:has-[figure]:h-full">
          <div className="min-h-0 flex-1">
            <LazyTurntable size="panel" />
          </div>
          <PhotoBeside entries={entries} />
        </div>
      </Pane>
      <Pane name="Passport">
        <Shown passport={passport} />
      </Pane>
      <Pane name="What you enter">
        <PassportFields />
        <Given passport={passport} />
      </Pane>
    </div>
  );
}

function Shown({ passport }: { passport: Passport }) {
  const units = useApp(unitsOf);
  return (
    <article aria-label="Passport">
      <h1 className="mb-2 text-2xl font-semibold">{passport.name}</h1>
      <dl className="text-base">
        {passportRows(passport, units).map(([label, value]) => (
          <div key={label} className="grid grid-cols-[6rem_minmax(0,1fr)] border-t border-line py-1.5">
            <dt className="text-quiet">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </article>
  );
}

/** What is printed or given away is of the piece as it stands on the server: it is saved first. */
function Given({ passport }: { passport: Passport }) {
  const { id = '' } = useParams();
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const [said, setSaid] = useState('');
  const fetched = async (path: string, file: string) => {
    setSaid('Saving first…');
    if (!(await dispatch(savedFirst(id))))
      return setSaid(
        'Not made: your last edits are not on the server yet. Try again when the piece is saved.',
      );
    setSaid('Being made…');
    try {
      const answer = await fetch(`${location.origin}/api/projects/${id}/${path}`);
      if (!answer.ok) throw new Error(`${answer.status}`);
      saveBlob(file, await answer.blob());
      setSaid('It is in your downloads.');
    } catch {
      setSaid('It could not be made: the server is away or refused it.');
    }
  };
  return (
    <section aria-label="To give away" className="mt-5">
      <h2 className="mb-2 font-semibold">To print, to give away</h2>
      <div className="flex flex-col gap-2">
        {CARDS.map(([size, name]) => (
          <Button
            key={size}
            className="h-11! lg:h-9!"
            onClick={() => void fetched(`passport.pdf?size=${size}`, `${passport.name} ${size}.pdf`)}
          >
            {name}
          </Button>
        ))}
        <Button
          className="h-11! lg:h-9!"
          onClick={() => void fetched('passport.html', `${passport.name}.html`)}
        >
          Page that turns
        </Button>
        <Button
          className="h-11! lg:h-9!"
          onClick={() => void saveFile(`${passport.name}.txt`, 'text/plain', passportText(passport, units))}
        >
          Text
        </Button>
      </div>
      <p role="status" className="mt-2 text-sm text-quiet">
        {said ||
          'Cards have a code that holds the passport as text. The page opens anywhere, without a network, and the piece on it can be turned.'}
      </p>
    </section>
  );
}
