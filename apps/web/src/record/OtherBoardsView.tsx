import {
  done,
  edit,
  formatLength,
  type Mm,
  mm,
  plan,
  type Result,
  refuse,
  ringHeightsOf,
  run,
} from '@fellside/core';
import { useMemo, useState } from 'react';
import { editPiece } from '../store/edits.js';
import { projectOf, shopOf, unitsOf, woodsOf } from '../store/house.js';
import { planOf, rippedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { LengthField } from '../ui/LengthField.js';
import { Pane } from '../ui/Pane.js';
import { Beside } from './Beside.js';
import { Fronts } from './Fronts.js';

const ANSWERS = [
  ['rows', 'rows kept', 'Keep the rows: the piece changes its height'],
  ['height', 'height kept', 'Keep the height: rings come or go'],
] as const;

/** Boards of another thickness than was planned: what becomes of the piece with its rows kept, and with its height kept. */
export function OtherBoardsView() {
  const project = useApp(projectOf);
  const now = useApp(planOf);
  const units = useApp(unitsOf);
  const dispatch = useActions();
  const found = useMemo(() => ringHeightsOf(project), [project]);
  const [from, setFrom] = useState<number | null>(null);
  const [to, setTo] = useState<Mm | null>(null);
  const chosen = found.find(({ heightMm }) => heightMm === from) ?? found[0];
  const given = to ?? chosen?.heightMm ?? mm(20);
  const both = useBoth(chosen?.heightMm ?? mm(0), given);
  if (!chosen)
    return (
      <p className="p-6 text-quiet">
        Every ring is cut, measured or locked: no thickness can be changed any more.
      </p>
    );
  const changed = given !== chosen.heightMm;
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <Pane name="Boards of another thickness">
        <h2 className="mb-2 text-lg font-semibold">Boards of another thickness</h2>
        <p className="mb-3 max-w-prose text-sm text-quiet">
          The boards came thinner or thicker than planned. Rings that are cut, measured or locked stay as they
          are.
        </p>
        <div className="grid max-w-md grid-cols-2 items-end gap-3">
          <Choice
            label="Rings that are"
            className="w-full"
            value={String(chosen.heightMm)}
            options={found.map(({ heightMm, rings }) => [
              String(heightMm),
              `${formatLength(heightMm, units)} high: ${rings.length}`,
            ])}
            onChange={(value) => {
              setFrom(Number(value));
              setTo(null);
            }}
          />
          <LengthField
            label="Now of boards that give"
            value={given}
            onChange={(value): Result<unknown> =>
              value > 0 ? done(setTo(value)) : refuse('web:size', 'thickness', 'A ring is higher than 0.')
            }
          />
        </div>
        <div className="mt-3 flex flex-col items-start gap-2">
          {ANSWERS.map(([keeps, , says], i) => (
            <Button
              key={keeps}
              kind={i === 0 ? 'main' : 'plain'}
              className="h-11!"
              disabled={!changed || !both[i]!.plan.ok}
              onClick={() => {
                dispatch(editPiece(edit.substituteThickness(chosen.heightMm, given, keeps)));
                setFrom(given);
                setTo(null);
              }}
            >
              {says}
            </Button>
          ))}
        </div>
        <p className="mt-2 text-sm text-quiet">Either is one edit; undo takes it back.</p>
      </Pane>
      <Pane name="Both answers">
        <Beside
          caption="Both answers beside the piece as it is"
          columns={[{ name: 'now', plan: now }, ...both.map(({ name, plan }) => ({ name, plan }))]}
        />
        <Fronts
          pieces={[
            { name: 'now', piece: project },
            ...both.flatMap(({ name, made }) => (made.ok ? [{ name, piece: made.value }] : [])),
          ]}
        />
      </Pane>
    </div>
  );
}

/** Both answers, with their plans. */
function useBoth(from: Mm, to: Mm) {
  const project = useApp(projectOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const ripping = useApp(rippedOf);
  return useMemo(
    () =>
      ANSWERS.map(([keeps, name]) => {
        const changed = run(project, edit.substituteThickness(from, to, keeps), ripping);
        const made = changed.ok ? done(changed.value.project) : changed;
        return { name, made, plan: made.ok ? plan(made.value, shop, woods) : made };
      }),
    [project, from, to, shop, woods, ripping],
  );
}
