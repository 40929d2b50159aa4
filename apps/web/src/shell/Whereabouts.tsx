import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { useApp } from '../store/store.js';

/** What a screen is called, by its address; that of a view of a station, where it has some, after a line. */
const NAMES: Readonly<Record<string, string>> = {
  '': 'Shelf',
  woods: 'Woods',
  shop: 'Shop',
  safe: 'Safe',
  removed: 'Removed pieces',
  workbook: 'Workbook',
  form: 'Form',
  rings: 'Rings',
  pattern: 'Pattern',
  'pattern/turntable': 'Turntable',
  cuts: 'Cuts',
  'cuts/saw': 'Cuts: rip and mitre',
  'cuts/boards': 'Cuts: boards',
  'cuts/papers': 'Cuts: papers',
  make: 'Make',
  'make/rehearsal': 'Make: rehearsal',
  'make/day': 'Make: day plan',
  'make/setting': 'Make: setting',
  'make/dry-fit': 'Make: dry fit',
  'make/lathe': 'Make: at the lathe',
  'make/ageing': 'Make: wood and finish',
  'make/changes': 'Make: changes',
  record: 'Record',
  'record/passport': 'Record: passport',
  'record/again': 'Record: again',
  'record/boards': 'Record: other boards',
  blanks: 'Blanks',
  versions: 'Earlier versions',
};

/** The name of the screen at an address. */
export function screenAt(path: string): string {
  const steps = path.split('/').filter(Boolean);
  const [station = '', view = ''] = steps[0] === 'piece' ? steps.slice(2) : steps;
  return NAMES[`${station}/${view}`] ?? NAMES[station] ?? 'Fellside';
}

/** Names the window after the screen and the piece, and tells it to those who hear the page when they come to another one. */
export function Whereabouts() {
  const { pathname } = useLocation();
  const piece = useApp((state) => state.piece.edited?.project.name);
  const screen = screenAt(pathname);
  const title = piece ? `${piece}, ${screen} · Fellside` : `${screen} · Fellside`;
  const before = useRef(screen);
  const told = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    document.title = title;
  }, [title]);
  useEffect(() => {
    if (before.current === screen) return;
    before.current = screen;
    if (told.current) told.current.textContent = screen;
  }, [screen]);
  return <p ref={told} aria-live="polite" className="sr-only" />;
}

/** The first that the keyboard comes to: past the bar and the rail to what the screen is for. */
export function ToTheWork() {
  return (
    <button
      type="button"
      className="sr-only focus:not-sr-only focus:absolute focus:top-2 focus:left-2 focus:z-30 focus:rounded focus:bg-raised focus:px-3 focus:py-2 focus:text-ink"
      onClick={() => document.getElementById('work')?.focus()}
    >
      To the work
    </button>
  );
}
