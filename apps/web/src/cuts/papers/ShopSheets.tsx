import { givenOf } from '@fellside/core';
import { Printer } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { sentencesOf } from '../../store/api.js';
import { savedFirst } from '../../store/autosave.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { controlClass, Field } from '../../ui/Field.js';
import { Switch } from '../../ui/Switch.js';
import { saveBlob } from '../../ui/saveFile.js';
import { Laying } from '../Laying.js';
import { useCuts } from '../useCuts.js';

/** How many sheets are drawn before these; empty where none wait. */
async function waiting(): Promise<string> {
  const answer = await fetch(`${location.origin}/api/sheets`).catch(() => null);
  const line = answer?.ok ? ((await answer.json()) as { waiting: number }) : null;
  return line && line.waiting > 0 ? `Waiting: ${line.waiting} in the line before a thread is free…` : '';
}

/** The sheets of the piece as it is shown, as PDF, drawn by the server: it is saved first. */
export function ShopSheets() {
  const id = useApp((state) => state.piece.id);
  const saved = useApp((state) => state.piece.edited?.project.name);
  const { goal, buying, copies } = useApp((state) => state.session.laying);
  const cuts = useCuts();
  const [paper, setPaper] = useState('a4');
  const [templates, setTemplates] = useState(true);
  const [work, setWork] = useState(true);
  const [state, setState] = useState<{ busy: boolean; said: string }>({ busy: false, said: '' });
  const dispatch = useActions();
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  // What is on the screen is what is printed.
  const given =
    cuts?.state && !cuts.stale
      ? givenOf(cuts.state.woods.map(({ layout, answer, found }) => ({ wood: layout.wood, answer, found })))
      : null;
  const print = async () => {
    setState({ busy: true, said: 'Saving first…' });
    if (!(await dispatch(savedFirst(id!)))) {
      const older =
        'Not drawn: your last edits are not on the server yet, and the sheets would be older than what you see.';
      return setState({ busy: false, said: `${older} Try again when the piece is saved.` });
    }
    const mine = new AbortController();
    stop.current = mine;
    setState({ busy: true, said: 'Drawing the sheets…' });
    const line = setInterval(
      () => void waiting().then((said) => said && setState({ busy: true, said })),
      1500,
    );
    try {
      const asked = new URLSearchParams({
        paper,
        templates: String(templates),
        work: String(work),
        goal,
        buying: String(buying),
        copies: String(copies),
      });
      const answer = await fetch(`${location.origin}/api/projects/${id}/sheets?${asked}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ given }),
        signal: mine.signal,
      });
      if (!answer.ok) throw { data: await answer.json() };
      saveBlob(`${saved} shop sheets.pdf`, await answer.blob());
      setState({ busy: false, said: 'The sheets are in your downloads.' });
    } catch (error) {
      const said = mine.signal.aborted ? 'Stopped.' : sentencesOf(error).join(' ');
      setState({ busy: false, said });
    } finally {
      clearInterval(line);
    }
  };
  return (
    <section aria-label="Shop sheets" className="rounded border border-line bg-pane p-4">
      <h2 className="mb-1 text-lg font-semibold">Shop sheets</h2>
      <p className="mb-3 text-quiet">
        A PDF with the elevation, rings, rip list, settings of the saw, boards, ring plans, the order of work
        and full-size templates, with the boards as they are laid out here. It reads in black and white.
      </p>
      <div className="flex flex-col gap-2">
        <Field label="Paper">
          {(control) => (
            <select
              {...control}
              className={`${controlClass} w-40`}
              value={paper}
              onChange={(event) => setPaper(event.target.value)}
            >
              <option value="a4">A4</option>
              <option value="letter">Letter</option>
            </select>
          )}
        </Field>
        <Switch label="Order of work, with boxes to tick" on={work} onChange={setWork} />
        <Switch label="Full-size templates" on={templates} onChange={setTemplates} />
        <Button kind="main" disabled={state.busy || given === null} onClick={print}>
          <Printer aria-hidden size={14} /> Shop sheets, PDF
        </Button>
        {cuts && <Laying cuts={cuts} />}
        {state.busy && <Button onClick={() => stop.current?.abort()}>Stop</Button>}
        <p role="status" className="text-sm">
          {state.said}
        </p>
        <p className="text-xs text-quiet">
          Before you cut to a template, measure the 100 mm line that is printed beside it.
        </p>
      </div>
    </section>
  );
}
