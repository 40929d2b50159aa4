import {
  type DrawingFormat,
  drawingFile,
  type FlatDrawing,
  inlayDrawing,
  layoutDrawing,
  type Mm,
  mitred,
  mm,
  profileDrawing,
  type Result,
  ringDrawing,
  rollOf,
  segmentDrawing,
  segmentTemplates,
  sentenceIn,
} from '@fellside/core';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { projectOf, shopOf, woodsOf } from '../../store/house.js';
import { planOf, preparedOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { controlClass, Field } from '../../ui/Field.js';
import { LengthField } from '../../ui/LengthField.js';
import { saveFile } from '../../ui/saveFile.js';
import { useCuts } from '../useCuts.js';

/** Templates of segments stand in rows as wide as this, mm. */
const TEMPLATE_ROW = 280;

const TYPES: Record<DrawingFormat, string> = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' };

/** SVG and DXF at full size. */
export function Drawings() {
  const plan = useApp(planOf);
  const prepared = useApp(preparedOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const project = useApp(projectOf);
  const layouts = useCuts()?.layouts ?? [];
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
  const sizes = plan.value.rings.flatMap(({ index, pieces }) =>
    pieces.flatMap(({ kind }) => {
      const piece = mitred(kind.stock);
      return piece ? [{ ...piece, name: `Ring ${index + 1}` }] : [];
    }),
  );
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
              value: layoutDrawing(layouts, woods, rollOf(project)),
            })
          }
        >
          <Download aria-hidden size={14} /> Boards as sawn
        </Button>
        <Button
          className="justify-start!"
          onClick={() => save('half-section', { ok: true, value: profileDrawing(prepared.value) })}
        >
          <Download aria-hidden size={14} /> Half-section, for a card
        </Button>
        <Button
          className="justify-start!"
          onClick={() =>
            save('segment templates', { ok: true, value: segmentTemplates(sizes, TEMPLATE_ROW) })
          }
        >
          <Download aria-hidden size={14} /> One segment of every size
        </Button>
        {prepared.value.inlays.map(
          ({ inlay, placed }, i) =>
            placed.ok && (
              <Button
                key={inlay.id}
                className="justify-start!"
                onClick={() =>
                  save(`inlay ${i + 1}`, {
                    ok: true,
                    value: inlayDrawing(inlay, placed.value, prepared.value, shop.units),
                  })
                }
              >
                <Download aria-hidden size={14} /> {inlay.patch ? 'Patch' : 'Inlay'} {i + 1}: template,
                pocket, insert
              </Button>
            ),
        )}
        <p role="alert" className="text-sm text-rust">
          {trouble}
        </p>
      </div>
    </section>
  );
}
