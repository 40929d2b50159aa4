import { Check } from 'lucide-react';
import { useRef } from 'react';
import { Link, useLocation } from 'react-router';
import { projectOf } from '../store/house.js';
import { look } from '../store/lookSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { STEPS } from './steps.js';

/** The guided first piece above the bench: one step, how far it is, on and back; it can be left at any time. */
export function GuideStrip() {
  const guide = useApp((state) => state.look.guide);
  const id = useApp((state) => state.piece.id);
  if (!guide?.open || guide.piece !== id) return null;
  return <Shown key={guide.step} step={Math.min(guide.step, STEPS.length - 1)} piece={guide.piece} />;
}

function Shown({ step, piece }: { readonly step: number; readonly piece: string }) {
  const dispatch = useActions();
  const { pathname } = useLocation();
  const now = useApp(projectOf);
  const years = useApp((state) => state.session.years);
  const ticks = useApp(({ progress }) => progress.known.length + progress.pending.length);
  const before = useRef(now);
  const { name, at, says, isDone } = STEPS[step]!;
  const done = isDone({ before: before.current, now, years, path: pathname, ticks });
  const last = step === STEPS.length - 1;
  const here = pathname.startsWith(`/piece/${piece}/${at}`);
  const go = (to: number) => dispatch(look.guided({ piece, step: to, open: true }));
  return (
    <section
      aria-label="Guided first piece"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line bg-teal-wash px-4 py-2"
    >
      <ol aria-label="Steps" className="flex gap-1 text-xs max-sm:hidden">
        {STEPS.map((each, i) => (
          <li
            key={each.name}
            aria-current={i === step ? 'step' : undefined}
            className={`rounded px-1.5 py-0.5 ${i === step ? 'bg-teal text-on-teal font-semibold' : i < step ? 'text-ink' : 'text-quiet'}`}
          >
            {i + 1} {each.name}
          </li>
        ))}
      </ol>
      <p className="min-w-64 flex-1 text-sm" aria-live="polite">
        <b>
          {name}, {step + 1} of {STEPS.length}:
        </b>{' '}
        {says}
      </p>
      <span className="flex items-center gap-2">
        {done && (
          <span role="status" className="inline-flex items-center gap-1 text-sm text-teal">
            <Check aria-hidden size={16} /> done
          </span>
        )}
        {!here && (
          <Link to={`/piece/${piece}/${at}`} className="text-sm text-teal underline">
            Go there
          </Link>
        )}
        {step > 0 && (
          <Link
            to={`/piece/${piece}/${STEPS[step - 1]!.at}`}
            onClick={() => go(step - 1)}
            className="text-sm underline"
          >
            Back
          </Link>
        )}
        {last ? (
          <Button kind="main" onClick={() => dispatch(look.guided(null))}>
            That is all
          </Button>
        ) : (
          <Link
            to={`/piece/${piece}/${STEPS[step + 1]!.at}`}
            onClick={() => go(step + 1)}
            className="inline-flex h-9 items-center rounded bg-teal px-3 text-on-teal"
          >
            Next: {STEPS[step + 1]!.name}
          </Link>
        )}
        {!last && (
          <Button onClick={() => dispatch(look.guided({ piece, step, open: false }))}>Leave the guide</Button>
        )}
      </span>
    </section>
  );
}
