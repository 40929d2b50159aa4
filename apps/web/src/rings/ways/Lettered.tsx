import { inlayFile, type SawnFrom } from '@fellside/core';
import { useState } from 'react';
import { FACES, type Face } from '../../pattern/faces.js';
import { refusedEntry } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { controlClass, Field } from '../../ui/Field.js';
import { LengthField } from '../../ui/LengthField.js';
import { Switch } from '../../ui/Switch.js';
import { saveFile } from '../../ui/saveFile.js';
import { useReading } from '../../workers/useReading.js';
import { Backing } from './Backing.js';
import { glyphsOfFile, glyphsOfText } from './glyphs.js';
import { type ControlsProps, useSource } from './params.js';

type Glyphs = Extract<SawnFrom, { is: 'letters' }>['glyphs'];

const FACE_CHOICES = Object.entries(FACES).map(([face, { name }]) => [face as Face, name] as const);

/** Letters or outlines, one a segment; pockets and inserts as files. */
export function LetteredControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const name = useApp((state) => projectOf(state).name);
  const { all, count, common, set } = useSource('letters', targets);
  const reading = useReading();
  const [face, setFace] = useState<Face>('literata-black');
  const first = all[0]!;
  const [text, setText] = useState(
    first.order
      .map((i) => first.glyphs[i]?.name ?? ' ')
      .join('')
      .trimEnd(),
  );
  const use = (glyphs: Glyphs, order: number[]) => set({ glyphs, order });
  const lay = async () => {
    const answer = await glyphsOfText(text, face);
    if (typeof answer === 'string') return dispatch(refusedEntry(answer));
    const { glyphs, order } = answer;
    return order.length > count
      ? dispatch(
          refusedEntry(
            `“${text}” has ${order.length} letters and the ring ${count} segments; ${count} is the most.`,
          ),
        )
      : use(glyphs, order);
  };
  const read = async (file: File) => {
    const answer = await glyphsOfFile(file, reading.read);
    if (typeof answer === 'string') return dispatch(refusedEntry(answer));
    return use(
      [answer],
      Array.from({ length: count }, () => 0),
    );
  };
  const save = (format: 'svg' | 'dxf') =>
    saveFile(
      `${name} inlays.${format}`,
      format === 'svg' ? 'image/svg+xml' : 'image/vnd.dxf',
      inlayFile({ ...first, count }, format),
    );
  return (
    <>
      <Field label="Letters, one a segment">
        {(control) => (
          <input
            {...control}
            className={`${controlClass} w-40`}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      <Choice label="Face" value={face} options={FACE_CHOICES} onChange={setFace} />
      <Button onClick={() => void lay()}>Set the letters</Button>
      <label className="flex h-8 cursor-pointer items-center rounded border border-line bg-raised px-2 text-sm">
        Outline, SVG or DXF…
        <input
          type="file"
          accept=".svg,.dxf"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void read(file);
            event.target.value = '';
          }}
        />
      </label>
      <LengthField
        label="Height"
        className="w-20"
        value={common((p) => p.sizeMm)}
        onChange={(sizeMm) => set({ sizeMm })}
      />
      <LengthField
        label="Up"
        className="w-20"
        value={common((p) => p.upMm)}
        onChange={(upMm) => set({ upMm })}
      />
      <LengthField
        label="Pocket, deep"
        className="w-20"
        value={common((p) => p.depthMm)}
        onChange={(depthMm) => set({ depthMm })}
      />
      <LengthField
        label="Cutter"
        className="w-20"
        value={common((p) => p.cutterMm)}
        onChange={(cutterMm) => set({ cutterMm })}
      />
      <LengthField
        label="Clearance"
        className="w-20"
        value={common((p) => p.clearanceMm)}
        onChange={(clearanceMm) => set({ clearanceMm })}
      />
      <Backing is="letters" targets={targets} />
      <Switch
        label="inserts go in turned over"
        on={all.every((p) => p.turnedOver)}
        onChange={(turnedOver) => set({ turnedOver })}
      />
      <Button onClick={() => save('svg')}>Pockets and inserts, SVG</Button>
      <Button onClick={() => save('dxf')}>DXF</Button>
    </>
  );
}
