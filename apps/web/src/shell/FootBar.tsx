import { edit, formatLength, type Owner, plain, rollOf, sentenceIn } from '@fellside/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Running } from '../cuts/runner.js';
import { useCuts } from '../cuts/useCuts.js';
import { ageingChecksOf } from '../store/ageing.js';
import { editPiece } from '../store/edits.js';
import { unitsOf, woodsOf } from '../store/house.js';
import { ringAddress } from '../store/selection.js';
import { planOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Cautions } from '../ui/Cautions.js';
import { Swatch } from '../ui/Swatch.js';

/** The totals, at every station: pieces, size, board feet and strips by wood, and what to look at. */
export function FootBar() {
  const cuts = useCuts();
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  if (!plan.ok)
    return (
      <p role="alert" className="border-t border-rust bg-rust-wash px-4 py-3 text-rust">
        {plan.reasons.map(({ message }) => sentenceIn(message, units)).join(' ')}
      </p>
    );
  const { pieces, rings, blanks, heightMm, diameterMm, sawnOff } = plan.value;
  const ready = cuts !== null && cuts.state !== null && !cuts.stale;
  return (
    <section
      aria-label="Totals"
      // It scrolls sideways where there are many woods: by keyboard as well.
      tabIndex={0}
      className="flex min-h-16 shrink-0 items-stretch overflow-x-auto border-t border-line bg-pane py-1 pl-2"
    >
      <Figure
        label="Pieces"
        value={String(pieces)}
        rest={`in ${counted(rings.length, 'ring')}${blanks.length > 0 ? ` and ${counted(blanks.length, 'blank')}` : ''}${sawnOff.rings > 0 ? `, ${sawnOff.pieces} sawn off` : ''}`}
      />
      <Figure
        label="Finished, height × diameter"
        value={`${formatLength(heightMm, units)} × ${formatLength(diameterMm, units)}`}
      />
      {cuts?.accounts.map(({ wood, strips, blocks, onHandFeet, boughtFeet }) => {
        const species = woods.find(({ id }) => id === wood);
        return (
          <Figure
            key={wood}
            label={
              <>
                <Swatch wood={species} size={16} /> {species?.name}
              </>
            }
            value={ready ? feetSaid(onHandFeet, boughtFeet) : '…'}
            rest={ready ? stock(strips, blocks) : 'being laid out'}
          />
        );
      })}
      <Checks />
      {ready && cuts.accounts.length > 0 && (
        <Figure
          label="Laid out on"
          value={counted(
            cuts.accounts.reduce((sum, { boards }) => sum + boards, 0),
            'board',
          )}
          rest={howFar(cuts)}
        />
      )}
    </section>
  );
}

/** Which layout the figures are of: the one at once, or one that was looked for. */
const howFar = ({ state, running }: Running): string =>
  state!.woods.every(({ stage }) => stage === 'done') ? 'solved' : running ? 'being solved' : 'at once';

/** What a wood takes of boards, as the yard charges them: of those on hand and of those that are bought. */
const feetSaid = (onHand: number, bought: number): string =>
  onHand > 0 && bought > 0
    ? `${onHand.toFixed(2)} + ${bought.toFixed(2)} bd ft to buy`
    : `${(onHand + bought).toFixed(2)} bd ft${bought > 0 ? ' to buy' : ''}`;

const stock = (strips: number, blocks: number): string =>
  [
    strips > 0 && `${strips} ${strips === 1 ? 'strip' : 'strips'}`,
    blocks > 0 && `${blocks} ${blocks === 1 ? 'rip' : 'rips'} for blocks`,
  ]
    .filter(Boolean)
    .join(', ') || 'nothing to cut';

function Figure({ label, value, rest }: { label: ReactNode; value: string; rest?: string }) {
  return (
    <div className="flex flex-col justify-center border-r border-line px-4 whitespace-nowrap">
      <span className="flex items-center gap-1.5 text-xs text-quiet">{label}</span>
      <b className="text-base leading-5">{value}</b>{' '}
      {rest && <span className="text-xs text-quiet">{rest}</span>}
    </div>
  );
}

/** Checks that are about what is done at the lathe. */
const AT_THE_LATHE = new Set(['swing', 'bed', 'jaws', 'reach', 'thin-wall']);

function Checks() {
  const dispatch = useActions();
  const navigate = useNavigate();
  const id = useApp((state) => state.piece.id);
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const ageing = useApp(ageingChecksOf);
  const checks = plan.ok ? [...plan.value.checks, ...ageing] : [];
  if (!plan.ok || checks.length === 0) return <Figure label="Checks" value="Nothing" rest="to look at" />;
  const roll = rollOf(plan.value);
  const [looks, notes] = [checks.filter(({ note }) => !note), checks.filter(({ note }) => note)];
  const first = looks[0] ?? notes[0]!;
  const show = (owners: readonly Owner[]) => {
    dispatch(session.selected(owners));
    const last = owners.at(-1);
    if (last?.of === 'blank') navigate(`/piece/${id}/blanks`);
    else navigate(ringAddress(id, last?.of === 'ring' ? last.id : undefined));
  };
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`flex min-w-52 flex-1 flex-col justify-center px-4 text-left ${looks.length > 0 ? 'text-rust' : ''}`}
      >
        <span className="text-xs">{looks.length > 0 ? 'Look at' : 'Nothing to look at, to note'}</span>
        <span className="flex gap-1.5">
          <b className="text-base">
            {looks.length > 0 ? looks.length : notes.length}
            <span className="sr-only">:</span>
          </b>
          <span className="line-clamp-2 text-sm leading-4.5 underline">
            {sentenceIn(first.message, units)}
          </span>
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="end"
          sideOffset={8}
          aria-label="What to look at"
          className="z-20 max-h-96 w-md overflow-auto rounded border border-line bg-raised p-2 shadow-lg"
        >
          <ul>
            {[...looks, ...notes].map(({ code, owners, message, remedies, note }) => (
              <li key={`${code} ${plain(message)}`} className="border-b border-line p-2 last:border-0">
                <p>
                  {note && <span className="text-quiet">To note: </span>}
                  {sentenceIn(message, units)}
                </p>
                <div className="mt-1 flex flex-wrap items-center gap-2">
                  {remedies.map((remedy) => {
                    const command = edit.remedyOf(remedy);
                    return (
                      <Button key={command.label} onClick={() => dispatch(editPiece(command))}>
                        {command.label}
                      </Button>
                    );
                  })}
                  {owners.length > 0 && (
                    <Popover.Close className="text-teal underline" onClick={() => show(owners)}>
                      Show {owners.length === 1 ? roll.nameOf(owners[0]!) : `these ${owners.length}`}
                    </Popover.Close>
                  )}
                </div>
              </li>
            ))}
          </ul>
          {checks.some(({ code }) => AT_THE_LATHE.has(code)) && <Cautions ids={['lathe']} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const counted = (count: number, of: string): string => `${count} ${of}${count === 1 ? '' : 's'}`;
