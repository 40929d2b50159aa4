import {
  done,
  type Mm,
  MOST_AT_ONCE,
  madeAgain,
  manyOf,
  mm,
  type Once,
  plan,
  type Result,
  refuse,
} from '@fellside/core';
import { useMemo, useState } from 'react';
import { projectOf, shopOf, woodsOf } from '../store/house.js';
import { planOf, rippedOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { Pane } from '../ui/Pane.js';
import { Switch } from '../ui/Switch.js';
import { Beside } from './Beside.js';
import { Fronts } from './Fronts.js';
import { useCreate } from './useCreate.js';

/** The piece once more: larger or smaller, in other woods, as in a mirror; what comes of it beside what it is. */
export function AgainView() {
  const project = useApp(projectOf);
  const now = useApp(planOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const ripping = useApp(rippedOf);
  const start = now.ok ? now.value : null;
  const [once, setOnce] = useState<Once>({
    name: `${project.name}, again`,
    heightMm: start?.heightMm ?? mm(100),
    diameterMm: start?.diameterMm ?? mm(100),
    walls: 'kept',
    rings: 'kept',
    woods: {},
    mirrored: false,
  });
  const [together, setTogether] = useState(true);
  const [count, setCount] = useState(1);
  const made = useMemo(() => madeAgain(project, once, ripping), [project, once, ripping]);
  const planned = useMemo(() => (made.ok ? plan(made.value, shop, woods) : made), [made, shop, woods]);
  const create = useCreate();
  if (!start) return <p className="p-6 text-quiet">There is nothing to be made again yet.</p>;
  const sized = (which: 'heightMm' | 'diameterMm', value: Mm): Result<unknown> => {
    if (!(value > 0)) return refuse('web:size', which, 'A piece is larger than 0.');
    const factor = value / once[which];
    const other = which === 'heightMm' ? 'diameterMm' : 'heightMm';
    setOnce({ ...once, [which]: value, ...(together && { [other]: mm(once[other] * factor) }) });
    return done(value);
  };
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-2">
      <Pane name="Once more">
        <h2 className="mb-2 text-lg font-semibold">Once more</h2>
        <div className="grid max-w-md grid-cols-2 items-end gap-3">
          <LengthField label="Height" value={once.heightMm} onChange={(value) => sized('heightMm', value)} />
          <LengthField
            label="Across the widest"
            value={once.diameterMm}
            onChange={(value) => sized('diameterMm', value)}
          />
          <div className="col-span-2">
            <Switch label="Both grow and shrink together" on={together} onChange={setTogether} />
          </div>
          <Choice
            label="Wall and floor"
            className="w-full"
            value={once.walls}
            options={[
              ['kept', 'as thick as now'],
              ['scaled', 'grow with the piece'],
            ]}
            onChange={(walls) => setOnce({ ...once, walls })}
          />
          <Choice
            label="Heights of rings"
            className="w-full"
            value={once.rings}
            options={[
              ['kept', 'of the same boards'],
              ['scaled', 'grow with the piece'],
            ]}
            onChange={(rings) => setOnce({ ...once, rings })}
          />
          {project.palette.map(({ key, wood }) => (
            <Choice
              key={key}
              label={`Instead of ${woods.find(({ id }) => id === wood)?.name ?? wood}`}
              className="w-full"
              value={once.woods[key] ?? wood}
              options={woods.map(({ id, name }) => [id, name] as const)}
              onChange={(chosen) => setOnce({ ...once, woods: { ...once.woods, [key]: chosen } })}
            />
          ))}
          <div className="col-span-2">
            <Switch
              label="As in a mirror"
              on={once.mirrored}
              onChange={(mirrored) => setOnce({ ...once, mirrored })}
            />
          </div>
          <NumberField
            label="How many of it"
            value={count}
            onChange={(wanted) =>
              Number.isInteger(wanted) && wanted >= 1 && wanted <= MOST_AT_ONCE
                ? done(setCount(wanted))
                : refuse('web:count', 'count', `How many is a whole number from 1 to ${MOST_AT_ONCE}.`)
            }
          />
          <label className="col-span-2 text-sm text-quiet">
            Name
            <input
              className="block h-9 w-full rounded border border-line bg-raised px-2 text-ink"
              value={once.name}
              maxLength={80}
              onChange={(event) => setOnce({ ...once, name: event.target.value })}
            />
          </label>
        </div>
        <Button
          kind="main"
          className="mt-3 h-11!"
          disabled={!made.ok || once.name.trim() === ''}
          onClick={() => made.ok && create.go(manyOf({ ...made.value, name: once.name.trim() }, count))}
        >
          {count === 1 ? 'Put it on the shelf and open it' : `Put ${count} on the shelf and open the first`}
        </Button>
        {create.trouble.map((sentence) => (
          <p key={sentence} role="alert" className="mt-2 text-rust">
            {sentence}
          </p>
        ))}
      </Pane>
      <Pane name="What comes of it">
        <Beside
          caption="Beside each other"
          columns={[
            { name: 'now', plan: now },
            { name: 'once more', plan: planned, times: count },
          ]}
        />
        <Fronts
          pieces={[
            { name: 'now', piece: project },
            ...(made.ok ? [{ name: 'once more', piece: made.value }] : []),
          ]}
        />
        <p className="mt-3 text-sm text-quiet">
          What was measured, cut and sawn off stays with the old piece; rings from the stash are planned anew.
          Several of one piece are numbered, each with a journal and a passport of its own; what they need of
          boards together is laid out in Cuts, “Cut together”.
        </p>
      </Pane>
    </div>
  );
}
