import { Printer } from 'lucide-react';
import { useState } from 'react';
import { sentencesOf } from '../../store/api.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { controlClass, Field } from '../../ui/Field.js';
import { Switch } from '../../ui/Switch.js';
import { saveBlob } from '../../ui/saveFile.js';

/** The sheets of the saved piece as PDF, drawn by the server. */
export function ShopSheets() {
  const id = useApp((state) => state.piece.id);
  const saved = useApp((state) => state.piece.edited?.project.name);
  const { goal, buying } = useApp((state) => state.session.laying);
  const [paper, setPaper] = useState('a4');
  const [templates, setTemplates] = useState(true);
  const [solved, setSolved] = useState(true);
  const [state, setState] = useState<{ busy: boolean; said: string }>({ busy: false, said: '' });
  const print = async () => {
    setState({ busy: true, said: 'Drawing the sheets…' });
    try {
      const asked = new URLSearchParams({
        paper,
        templates: String(templates),
        solved: String(solved),
        goal,
        buying: String(buying),
      });
      const answer = await fetch(`${location.origin}/api/projects/${id}/sheets?${asked}`);
      if (!answer.ok) throw { data: await answer.json() };
      saveBlob(`${saved} shop sheets.pdf`, await answer.blob());
      setState({ busy: false, said: 'The sheets are in your downloads.' });
    } catch (error) {
      setState({ busy: false, said: sentencesOf(error).join(' ') });
    }
  };
  return (
    <section aria-label="Shop sheets" className="rounded border border-line bg-pane p-4">
      <h2 className="mb-1 text-lg font-semibold">Shop sheets</h2>
      <p className="mb-3 text-quiet">
        A PDF with the elevation, rings, settings of the saw, strips, boards, ring plans and full-size
        templates. It reads in black and white.
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
        <Switch label="Full-size templates" on={templates} onChange={setTemplates} />
        <Switch label="Boards solved, not only laid out at once" on={solved} onChange={setSolved} />
        <Button kind="main" disabled={state.busy} onClick={print}>
          <Printer aria-hidden size={14} /> Shop sheets, PDF
        </Button>
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
