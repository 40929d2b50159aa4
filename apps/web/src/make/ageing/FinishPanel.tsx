import {
  AGES,
  agedColour,
  edit,
  FINISH_IDS,
  FINISHES,
  type FinishId,
  finishOf,
  takenByGrit,
} from '@fellside/core';
import { Link, useParams } from 'react-router';
import { editPiece } from '../../store/edits.js';
import { projectOf, shopOf, unitsOf } from '../../store/house.js';
import { speciesOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { small } from '../rehearsal/figures.js';

type Choosable = FinishId | 'usual';

/** What the piece is finished with: the schedule, and the woods under it, new and aged. */
export function FinishPanel() {
  const dispatch = useActions();
  const { id } = useParams();
  const units = useApp(unitsOf);
  const own = useApp((state) => projectOf(state).finish);
  const { workshop } = useApp(shopOf);
  const finish = finishOf(own, workshop);
  const options: [Choosable, string][] = [
    ['usual', `as the shop usually does: ${FINISHES[workshop.finish.usual].name.toLowerCase()}`],
    ...FINISH_IDS.map((each): [Choosable, string] => [each, FINISHES[each].name]),
  ];
  return (
    <>
      <h2 className="mb-1 text-lg font-semibold">Finish</h2>
      <Choice
        label="What the piece is finished with"
        className="w-full"
        value={(own ?? 'usual') as Choosable}
        options={options}
        onChange={(chosen) => dispatch(editPiece(edit.setFinish(chosen === 'usual' ? null : chosen)))}
      />
      <p className="mt-1 mb-2 text-sm text-quiet">
        {finish.name}: {finish.says}.
      </p>
      <ol aria-label="Schedule" className="mb-3 list-decimal pl-5 text-sm">
        <li className="py-0.5">
          Sand through{' '}
          {takenByGrit(finish.grits).map(({ grit, mm }, i) => (
            <span key={grit}>
              {i > 0 && ', '}
              <b>{grit}</b> <span className="text-quiet">({small(mm, units)} off)</span>
            </span>
          ))}
          .
        </li>
        {finish.sealer && (
          <li className="py-0.5">
            {finish.sealer.says} {hoursSaid(finish.sealer.hours)} to dry.
          </li>
        )}
        {finish.coats > 0 && (
          <li className="py-0.5">
            <b>{finish.coats}</b> {finish.coats === 1 ? 'coat' : 'coats'}, {hoursSaid(finish.coatHours)}{' '}
            between
            {finish.rubGrit === null ? ', not rubbed down' : `, rubbed down with ${finish.rubGrit}`}.
          </li>
        )}
        {finish.polish && (
          <li className="py-0.5">
            {finish.polish.afterDays > 0 && `After ${finish.polish.afterDays} days: `}
            {finish.polish.says}
          </li>
        )}
        <li className="py-0.5">
          {finish.useDays > 0 ? `${finish.useDays} days before it is used` : 'It can be used at once'};{' '}
          {finish.foodDays === null
            ? 'not for food'
            : finish.foodDays === 0
              ? 'nothing that food minds'
              : `${finish.foodDays} days before it touches food, going by what the maker of the finish says`}
          .
        </li>
      </ol>
      <p className="mb-3 text-sm">
        Coats are ticked off in{' '}
        <Link className="text-teal underline" to={`/piece/${id}/make`}>
          Work
        </Link>
        ; the insides of what closes get theirs there before they close.
      </p>
      <Woods />
    </>
  );
}

function Woods() {
  const species = useApp(speciesOf);
  return (
    <table className="mb-3 w-full text-sm">
      <caption className="mb-1 text-left font-semibold">Its woods under this finish</caption>
      <thead>
        <tr className="text-left text-xs text-quiet">
          <th scope="col">Wood</th>
          {AGES.map((years) => (
            <th key={years} scope="col">
              {years === 0 ? 'new' : `${years} years`}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...species].map(([key, wood]) => (
          <tr key={key} className="border-t border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {wood.name}
              {wood.bleeds && <span className="text-quiet"> · bleeds</span>}
            </th>
            {AGES.map((years) => (
              <td key={years} className="py-1 pr-2">
                <span
                  role="img"
                  aria-label={`${wood.name}, ${years === 0 ? 'new' : `${years} years old`}`}
                  className="block h-6 rounded border border-line"
                  style={{ background: agedColour(wood, years) }}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const hoursSaid = (hours: number): string =>
  hours < 1
    ? `${Math.round(hours * 60)} minutes`
    : hours < 48
      ? `${hours} ${hours === 1 ? 'hour' : 'hours'}`
      : `${hours / 24} days`;
