import {
  accountCsv,
  buyingCsv,
  buyingOf,
  cutListCsv,
  type DrawingFormat,
  drawingFile,
  type FlatDrawing,
  layoutCsv,
  layoutDrawing,
  type Mm,
  mm,
  ownerName,
  planFile,
  type Result,
  ringDrawing,
  ringsCsv,
  segmentDrawing,
  sentenceIn,
  setupsCsv,
  stripsCsv,
} from '@fellside/core';
import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import { zipped } from '../pictures/zip.js';
import { sentencesOf } from '../store/api.js';
import { planOf, preparedOf, projectOf, shopOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';
import { Switch } from '../ui/Switch.js';
import { saveBlob, saveFile } from '../ui/saveFile.js';
import { useLayout } from './boards/useLayout.js';

const TYPES: Record<DrawingFormat, string> = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' };

/** Shop sheets to print, tables for other programs, and outlines at full size. */
export function PapersView() {
  return (
    <div className="grid min-h-0 flex-1 grid-cols-3 content-start gap-4 overflow-auto p-4">
      <ShopSheets />
      <Tables />
      <Drawings />
    </div>
  );
}

function ShopSheets() {
  const id = useApp((state) => state.piece.id);
  const saved = useApp((state) => state.piece.edited?.project.name);
  const [paper, setPaper] = useState('a4');
  const [templates, setTemplates] = useState(true);
  const [solved, setSolved] = useState(true);
  const [state, setState] = useState<{ busy: boolean; said: string }>({ busy: false, said: '' });
  const print = async () => {
    setState({ busy: true, said: 'Drawing the sheets…' });
    try {
      const asked = new URLSearchParams({ paper, templates: String(templates), solved: String(solved) });
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

function Tables() {
  const plan = useApp(planOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const project = useApp(projectOf);
  const { state } = useLayout('cost', true);
  if (!plan.ok) return null;
  const { units } = shop;
  const layouts = state?.woods.map(({ layout }) => layout) ?? [];
  const nameOf = (ring: number) => ownerName(project, ring);
  const tables: readonly (readonly [name: string, csv: () => string])[] = [
    ['Cut list', () => cutListCsv(plan.value, woods, units)],
    ['Rings', () => ringsCsv(plan.value, woods, units)],
    ['Strips and blocks', () => stripsCsv(plan.value, woods, units)],
    ['Settings of the saw', () => setupsCsv(plan.value, woods, units)],
    ['Boards as sawn', () => layoutCsv(layouts, woods, units, nameOf)],
    ['To buy', () => buyingCsv(buyingOf(layouts, plan.value.lumber, shop), woods, units)],
    ['Where the wood goes', () => accountCsv(plan.value, woods, units)],
  ];
  const { name } = project;
  return (
    <section aria-label="Tables" className="rounded border border-line bg-pane p-4">
      <h2 className="mb-1 text-lg font-semibold">Tables</h2>
      <p className="mb-3 text-quiet">
        CSV for a spreadsheet, in the units of your shop; the whole plan as JSON.
      </p>
      <ul className="flex flex-col gap-1.5">
        {tables.map(([title, csv]) => (
          <li key={title}>
            <Button
              className="w-full justify-start!"
              onClick={() => saveFile(`${name} ${title.toLowerCase()}.csv`, 'text/csv', csv())}
            >
              <Download aria-hidden size={14} /> {title}, CSV
            </Button>
          </li>
        ))}
        <li>
          <Button
            className="w-full justify-start!"
            onClick={() =>
              saveBlob(
                `${name} tables.zip`,
                zipped(tables.map(([title, csv]) => ({ name: `${title.toLowerCase()}.csv`, svg: csv() }))),
              )
            }
          >
            <Download aria-hidden size={14} /> All of them, ZIP
          </Button>
        </li>
        <li>
          <Button
            className="w-full justify-start!"
            onClick={() => saveFile(`${name} plan.json`, 'application/json', planFile(plan.value))}
          >
            <Download aria-hidden size={14} /> The whole plan, JSON
          </Button>
        </li>
      </ul>
    </section>
  );
}

function Drawings() {
  const plan = useApp(planOf);
  const prepared = useApp(preparedOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const project = useApp(projectOf);
  const { state } = useLayout('cost', true);
  const [format, setFormat] = useState<DrawingFormat>('svg');
  const [cutter, setCutter] = useState<Mm>(mm(6.35));
  const [board, setBoard] = useState<Mm>(mm(1200));
  const [ring, setRing] = useState(1);
  const [trouble, setTrouble] = useState('');
  if (!plan.ok || !prepared.ok) return null;
  const save = (title: string, drawing: Result<FlatDrawing>) => {
    if (!drawing.ok) {
      setTrouble(drawing.reasons.map(({ message }) => sentenceIn(message, shop.units)).join(' '));
      return;
    }
    setTrouble('');
    saveFile(`${project.name} ${title}.${format}`, TYPES[format], drawingFile(drawing.value, format));
  };
  const rings = prepared.value.rings;
  const ringFile = () => {
    const here = rings[ring - 1];
    if (!here?.made.ok) return setTrouble(`Ring ${ring} cannot be made, so there is no plan of it.`);
    save(`ring ${ring}`, { ok: true, value: ringDrawing(here.made.value, here.turn, `Ring ${ring}`) });
  };
  const layouts = state?.woods.map(({ layout }) => layout) ?? [];
  return (
    <section aria-label="Drawings" className="rounded border border-line bg-pane p-4">
      <h2 className="mb-1 text-lg font-semibold">Drawings at full size</h2>
      <p className="mb-3 text-quiet">
        Millimetres, on named layers, for a router or another drawing program.
      </p>
      <div className="flex flex-col gap-3">
        <Field label="Format">
          {(control) => (
            <select
              {...control}
              className={`${controlClass} w-40`}
              value={format}
              onChange={(event) => setFormat(event.target.value as DrawingFormat)}
            >
              <option value="svg">SVG</option>
              <option value="dxf">DXF</option>
            </select>
          )}
        </Field>
        <div className="grid grid-cols-2 items-end gap-2">
          <LengthField
            label="Cutter"
            value={cutter}
            onChange={(value) => ({ ok: true, value: setCutter(value) })}
          />
          <LengthField
            label="Board length"
            value={board}
            onChange={(value) => ({ ok: true, value: setBoard(value) })}
          />
        </div>
        <Button
          className="justify-start!"
          onClick={() =>
            save('segments', segmentDrawing(plan.value, woods, { lengthMm: board, cutterMm: cutter }))
          }
        >
          <Download aria-hidden size={14} /> Segments, nested for a router
        </Button>
        <p className="-mt-2 text-xs text-quiet">
          A cutter and a half between outlines; cut outside the line.
        </p>
        <div className="flex items-end gap-2">
          <Field label="Ring">
            {(control) => (
              <select
                {...control}
                className={`${controlClass} w-20`}
                value={ring}
                onChange={(event) => setRing(Number(event.target.value))}
              >
                {rings.map((each, i) => (
                  <option key={each.ring.id} value={i + 1}>
                    {i + 1}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Button className="flex-1 justify-start!" onClick={ringFile}>
            <Download aria-hidden size={14} /> Plan of the ring
          </Button>
        </div>
        <Button
          className="justify-start!"
          disabled={layouts.length === 0}
          onClick={() =>
            save('boards', {
              ok: true,
              value: layoutDrawing(layouts, woods, (index) => ownerName(project, index)),
            })
          }
        >
          <Download aria-hidden size={14} /> Boards as sawn
        </Button>
        <p role="alert" className="text-sm text-rust">
          {trouble}
        </p>
      </div>
    </section>
  );
}
