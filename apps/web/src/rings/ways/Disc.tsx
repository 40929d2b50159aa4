import { discSourceBegun, edit } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { shared } from '../targets.js';
import { AfterControls } from './After.js';
import { Answer } from './Answer.js';
import { BoardRows } from './BoardRows.js';
import { CabinFields, ScribedFields, StarFields } from './FloorFields.js';
import { type ControlsProps, useParams } from './params.js';
import { STANDS } from './Segments.js';
import { TwistControls } from './Twist.js';

/** A disc can have segments again, flat ones; how else they stand is chosen then. */
const CAN_STAND = STANDS.filter(([stand]) => ['round', 'centre', 'disc'].includes(stand));

/** The answers that a disc is put together from, side by side where there is room; it has no joints. */
export function DiscControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, set } = useParams('disc', targets);
  const sliced = all.every(({ after }) => after);
  const is = shared(all.map(({ sawnFrom }) => sawnFrom?.is ?? 'one-board'));
  return (
    <div className="@container w-full">
      <div className="grid grid-cols-1 content-start gap-x-5 gap-y-3 @min-[700px]:grid-cols-[17rem_minmax(0,1fr)] @min-[1080px]:grid-cols-[11rem_minmax(0,1fr)_minmax(14.5rem,23.5rem)]">
        <Answer title="Segments">
          <Choice
            label="Segments stand"
            className="w-44"
            value="disc"
            options={CAN_STAND}
            onChange={(stand) => {
              if (stand !== 'disc')
                dispatch(editPiece(edit.startFrom(targets, stand === 'centre' ? 'pie' : 'flat')));
            }}
          />
        </Answer>
        <Answer
          title="Sawn from"
          place="@min-[700px]:col-start-2 @min-[700px]:row-start-1 @min-[700px]:row-span-2 @min-[1080px]:row-span-1"
        >
          <div className="flex flex-wrap gap-x-3 gap-y-2 self-start @min-[1080px]:max-w-52">
            <Choice
              label="The disc is"
              className="w-52"
              value={is}
              options={[
                ['one-board', 'one board'],
                ['layers', 'boards one on the other'],
                ['star', 'a star'],
                ['cabin', 'a log cabin'],
                ['strips', 'strips side by side'],
              ]}
              onChange={(next) => set({ sawnFrom: next === 'one-board' ? undefined : discSourceBegun(next) })}
            />
            {is === 'strips' && sliced && <ScribedFields targets={targets} />}
          </div>
          {(is === 'layers' || is === 'strips') && <BoardRows targets={targets} />}
          {is === 'star' && <StarFields targets={targets} />}
          {is === 'cabin' && <CabinFields targets={targets} />}
        </Answer>
        <Answer title="Then" place="@min-[700px]:col-start-1 @min-[1080px]:col-start-3">
          <AfterControls targets={targets}>{sliced && <TwistControls targets={targets} />}</AfterControls>
        </Answer>
      </div>
    </div>
  );
}
