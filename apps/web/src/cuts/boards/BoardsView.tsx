import {
  afterCutting,
  GOALS,
  type Goal,
  type NewBoard,
  type Owner,
  plain,
  rollOf,
  sentenceIn,
} from '@fellside/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBox } from '../../bench/useScale.js';
import { api, sentencesOf } from '../../store/api.js';
import { paletteOf, planOf, projectOf, shopOf, woodsOf } from '../../store/selectors.js';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { controlClass, Field } from '../../ui/Field.js';
import { PaneBoundary } from '../../ui/PaneBoundary.js';
import { Switch } from '../../ui/Switch.js';
import { WoodPatterns } from '../../ui/WoodPatterns.js';
import { GoesChart } from '../GoesChart.js';
import { SafetyNotes } from '../SafetyNotes.js';
import { LaidBoards } from './LaidBoards.js';
import { runner } from './runner.js';
import { SetupList } from './SetupList.js';
import { ToBuy } from './ToBuy.js';
import { useLayout } from './useLayout.js';

const COPIES: Readonly<Record<number, string>> = { 0: 'no whole piece', 1: 'this piece once' };

const GOAL_NAMES: Record<Goal, string> = {
  cost: 'least cost',
  waste: 'least wood',
  boards: 'fewest boards',
};

/** The saw's settings, the boards with all pieces laid out on them, and what to buy. */
export function BoardsView() {
  const dispatch = useActions();
  const plan = useApp(planOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const palette = useApp(paletteOf);
  const project = useApp(projectOf);
  const hatched = useApp((state) => state.session.hatched);
  const { goal, buying } = useApp((of) => of.session.laying);
  const { state, running, cancelled, trouble } = useLayout();
  const { ref, width } = useBox<HTMLDivElement>();
  if (!plan.ok) return null;
  const { lumber } = plan.value;
  const roll = rollOf(plan.value);
  const { nameOf } = roll;
  const layouts = state?.woods.map(({ layout }) => layout) ?? [];
  const onOwner = (owner: Owner) => dispatch(session.selected([owner]));
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[300px_minmax(0,1fr)_280px] gap-2 overflow-auto p-2">
      <section
        aria-label="Set the saw"
        tabIndex={0}
        className="overflow-auto rounded border border-line bg-pane p-2"
      >
        <PaneBoundary name="The settings">
          <SetupList lumber={lumber} woods={woods} roll={roll} />
        </PaneBoundary>
      </section>
      <section
        ref={ref}
        aria-label="Boards"
        tabIndex={0}
        className="overflow-auto rounded border border-line bg-pane p-2"
      >
        <div className="mb-2 flex flex-wrap items-end gap-3">
          <h2 className="flex h-8 items-center font-semibold">Boards</h2>
          <Field label="Laid out for">
            {(control) => (
              <select
                {...control}
                className={`${controlClass} w-36`}
                value={goal}
                onChange={(event) => dispatch(session.laidOutFor({ goal: event.target.value as Goal }))}
              >
                {GOALS.map((each) => (
                  <option key={each} value={each}>
                    {GOAL_NAMES[each]}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <div className="flex h-8 items-center">
            <Switch
              label="Buy what is short"
              on={buying}
              onChange={(on) => dispatch(session.laidOutFor({ buying: on }))}
            />
          </div>
          {running && (
            <Button onClick={() => runner.cancel()}>
              Stop <span className="sr-only">laying out</span>
            </Button>
          )}
          {cancelled && <Button onClick={() => runner.again()}>Go on</Button>}
          <Link to="/woods" className="flex h-8 items-center text-sm text-teal underline">
            Boards on hand
          </Link>
        </div>
        <p role="status" className="mb-2 text-sm text-quiet">
          {trouble ? `The layout stopped: ${trouble}` : progressOf(state, running, cancelled)}
        </p>
        {state && state.reasons.length > 0 && (
          <ul role="alert" className="mb-2 rounded bg-rust-wash p-2 text-sm text-rust">
            {state.reasons.map(({ message }) => (
              <li key={plain(message)}>{sentenceIn(message, shop.units)}</li>
            ))}
          </ul>
        )}
        <svg width="0" height="0" aria-hidden className="absolute">
          <WoodPatterns woods={palette.values()} hatched={hatched} prefix="boards" />
        </svg>
        {state?.woods.map((wood) => (
          <PaneBoundary key={wood.layout.wood} name="The layout">
            <LaidBoards
              state={wood}
              species={[...palette.values()].find(({ id }) => id === wood.layout.wood)}
              room={Math.max(200, width - 40)}
              {...{ nameOf, onOwner }}
            />
          </PaneBoundary>
        ))}
      </section>
      <section
        aria-label="Where the wood goes"
        tabIndex={0}
        className="overflow-auto rounded border border-line bg-pane p-2"
      >
        <h2 className="mb-1 font-semibold">Where the wood goes</h2>
        <GoesChart totals={lumber.woods} woods={woods} />
        {state && <ToBuy {...{ layouts, lumber, shop, woods, nameOf }} />}
        {state && state.copies !== null && (
          <p className="mb-4 text-sm">
            The boards on hand give <b>{COPIES[state.copies] ?? `this piece ${state.copies} times`}</b>.
          </p>
        )}
        <Sawn layouts={layouts} name={project.name} ready={!running && state !== null} />
        <SafetyNotes />
      </section>
    </div>
  );
}

function progressOf(
  state: ReturnType<typeof useLayout>['state'],
  running: boolean,
  cancelled: boolean,
): string {
  if (!state)
    return running ? 'Laying out…' : 'Boards are laid out in a worker, which this browser does not have.';
  const done = state.woods.filter(({ stage }) => stage === 'done').length;
  const all = state.woods.length;
  if (cancelled) return `Stopped: ${done} of ${all} woods are solved; the others stand as they were found.`;
  if (running) return `A layout stands; better ones are being looked for: ${done} of ${all} woods solved.`;
  return all === 0 ? 'There is nothing to saw from boards.' : 'Solved.';
}

/** When the boards are really sawn: those of the layout are gone, and what is left comes back. */
function Sawn({
  layouts,
  name,
  ready,
}: {
  layouts: Parameters<typeof afterCutting>[0];
  name: string;
  ready: boolean;
}) {
  const [replace] = api.useReplaceBoardsMutation();
  const [said, setSaid] = useState('');
  const [back, setBack] = useState<{ remove: string[]; add: NewBoard[] } | null>(null);
  const { gone, offcuts } = afterCutting(layouts, name);
  if (!back && layouts.every(({ boards }) => boards.length === 0)) return null;
  const used = layouts.flatMap(({ boards }) => boards.flatMap(({ stock }) => stock.board ?? []));
  const saw = () =>
    replace({ remove: [...gone], add: [...offcuts] })
      .unwrap()
      .then((added) => {
        setSaid(`${gone.length} boards are taken out, ${offcuts.length} offcuts put in.`);
        setBack({ remove: added.map(({ id }) => id), add: used.map(({ id: _, ...board }) => board) });
      })
      .catch((error) => setSaid(sentencesOf(error).join(' ')));
  const putBack = (change: NonNullable<typeof back>) =>
    replace(change)
      .unwrap()
      .then(() => setSaid('The boards are back, the offcuts gone.'))
      .catch((error) => setSaid(sentencesOf(error).join(' ')))
      .finally(() => setBack(null));
  return (
    <section aria-label="When it is sawn" className="mb-4">
      <Button disabled={!ready} onClick={saw}>
        These boards are sawn
      </Button>
      <p className="mt-1 text-xs text-quiet">
        Takes {gone.length} {gone.length === 1 ? 'board' : 'boards'} out of those on hand and puts{' '}
        {offcuts.length} {offcuts.length === 1 ? 'offcut' : 'offcuts'} in.
      </p>
      <p role="status" className="text-sm">
        {said}
      </p>
      {back && <Button onClick={() => putBack(back)}>Put the boards back</Button>}
    </section>
  );
}
