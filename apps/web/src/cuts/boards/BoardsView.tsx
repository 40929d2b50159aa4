import { GOALS, type Goal, numberedBoards, type Owner } from '@fellside/core';
import { Link, useParams } from 'react-router';
import { useBox } from '../../bench/useScale.js';
import { paletteOf } from '../../store/selectors.js';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { controlClass, Field } from '../../ui/Field.js';
import { Pane } from '../../ui/Pane.js';
import { PaneBoundary } from '../../ui/PaneBoundary.js';
import { Switch } from '../../ui/Switch.js';
import { WoodPatterns } from '../../ui/WoodPatterns.js';
import { Laying } from '../Laying.js';
import { useCuts } from '../useCuts.js';
import { LaidBoards } from './LaidBoards.js';
import { OneBoard } from './OneBoard.js';

const GOAL_NAMES: Record<Goal, string> = {
  cost: 'least cost',
  waste: 'least wood',
  boards: 'fewest boards',
};

/** The boards with all pieces laid out on them, or one of them at full width with all its cuts. */
export function BoardsView() {
  const dispatch = useActions();
  const palette = useApp(paletteOf);
  const hatched = useApp((state) => state.session.hatched);
  const { board } = useParams();
  const cuts = useCuts();
  const { ref, width } = useBox<HTMLDivElement>();
  if (!cuts) return null;
  const { state, layouts, roll } = cuts;
  const onOwner = (owner: Owner) => dispatch(session.selected([owner]));
  const boards = numberedBoards(layouts);
  const opened = board === undefined ? undefined : boards.find(({ number }) => String(number) === board);
  const species = (wood: string) => [...palette.values()].find(({ id }) => id === wood);
  const room = Math.max(200, width - 40);
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-auto p-2">
      <Pane name="Boards">
        <div ref={ref}>
          <svg width="0" height="0" aria-hidden className="absolute">
            <WoodPatterns woods={palette.values()} hatched={hatched} prefix="boards" />
          </svg>
          {board !== undefined ? (
            <OneBoard {...{ opened, boards, roll, room, onOwner }} species={species(opened?.wood ?? '')} />
          ) : (
            <>
              <LayingFor />
              <Laying cuts={cuts} />
              {state?.woods.map((wood) => (
                <PaneBoundary key={wood.layout.wood} name="The layout">
                  <LaidBoards
                    state={wood}
                    boards={boards.filter(({ layout }) => layout === wood.layout)}
                    species={species(wood.layout.wood)}
                    {...{ room, roll, onOwner }}
                  />
                </PaneBoundary>
              ))}
            </>
          )}
        </div>
      </Pane>
    </div>
  );
}

/** What the boards are laid out for. */
function LayingFor() {
  const dispatch = useActions();
  const { goal, buying } = useApp((of) => of.session.laying);
  return (
    <div className="mb-1 flex flex-wrap items-end gap-3">
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
      <Link to="/woods" className="flex h-8 items-center text-sm text-teal underline">
        Boards on hand
      </Link>
    </div>
  );
}
