import {
  cellAspect,
  lettersAsBlock,
  pixelsOf,
  refuse,
  segmentsOf,
  setInPixels,
  type ToneName,
} from '@fellside/core';
import { useState } from 'react';
import { useTargets } from '../rings/targets.js';
import { refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { preparedOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { controlClass, Field } from '../ui/Field.js';
import { Group, Pairs } from '../ui/Group.js';
import { NumberField } from '../ui/NumberField.js';
import { pasteBlock } from './blocks.js';
import { drawLine, FACES, type Face } from './faces.js';
import { ringsName } from './ringsName.js';
import { useToneChoices } from './toneChoices.js';

type AnyFace = Face | 'pixel';

const FACE_CHOICES: readonly (readonly [AnyFace, string])[] = [
  ['pixel', 'Pixel face, 5 rings high'],
  ...Object.entries(FACES).map(([face, { name }]) => [face as Face, name] as const),
];

/** Rows of the pixel face. */
const PIXEL_ROWS = 5;

/** Letters set into the selected rings, one segment a column. */
export function LetterPanel() {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const prepared = useApp(preparedOf);
  const { targets } = useTargets();
  const marked = useApp((state) => state.session.marked);
  const fold = useApp((state) => state.session.fold);
  const choices = useToneChoices();
  const [text, setText] = useState('');
  const [face, setFace] = useState<AnyFace>('pixel');
  const [letter, setLetter] = useState<ToneName>('dark');
  const [wide, setWide] = useState(0);
  const [ground, setGround] = useState<ToneName | 'as-is'>('light');
  const [low, high] = [Math.min(...targets), Math.max(...targets)];
  const rows = high - low + 1;
  const segments = segmentsOf(rings[low]!.making);

  const pixels = async (): Promise<readonly (readonly boolean[])[] | string> => {
    if (text.trim() === '') return 'There are no letters yet; type some first.';
    if (face === 'pixel') {
      const { rows: lit, missing } = setInPixels(text.trim());
      return missing.length > 0 ? `The pixel face has no ${missing.join(' ')}.` : lit;
    }
    if (!prepared.ok || segments === null) return 'The lowest of these rings has no segments.';
    const aspect = cellAspect(prepared.value, low, segments);
    const drawn = await drawLine(text.trim(), face);
    if (!drawn) return 'These letters cannot be drawn here.';
    const squeezed = drawn.width / wide / (drawn.height / rows);
    return pixelsOf(drawn, rows, wide > 0 ? squeezed : aspect);
  };

  const set = async () => {
    const lit = await pixels();
    const say = (message: string) => dispatch(refusedEntry(message));
    if (typeof lit === 'string') return say(lit);
    if (segments === null) return say(`Ring ${low + 1} has no segments to set letters into.`);
    if (rows < lit.length)
      return say(`The letters are ${lit.length} rings high and ${rows} are selected; select more.`);
    const columns = lit[0]!.length + 2;
    if (columns * fold > segments)
      return say(
        `The letters take ${columns * fold} segments with the room beside them, and ring ${low + 1} has ${segments}; use fewer letters or more segments.`,
      );
    const block = lettersAsBlock(lit, {
      letter,
      ground: ground === 'as-is' ? null : ground,
      columnTurns: 1 / segments,
      ringsARow: face === 'pixel' ? Math.floor(rows / PIXEL_ROWS) : 1,
    });
    const from = marked?.from ?? 0;
    dispatch(session.painting({ marked: { low, high, from, widthTurns: block.widthTurns } }));
    return dispatch(pasteBlock(block, `Set “${text.trim().slice(0, 40)}”`));
  };

  return (
    <Group title={`Letters into ${ringsName(targets)}`} folded>
      <Field label="Text">
        {(control) => (
          <input
            {...control}
            className={`${controlClass} w-full`}
            maxLength={80}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      <Choice label="Face" className="w-full" value={face} options={FACE_CHOICES} onChange={setFace} />
      {face !== 'pixel' && (
        <NumberField
          label="Segments wide (0: as drawn)"
          value={wide}
          onChange={(value) => {
            if (!Number.isInteger(value) || value < 0 || value > 360)
              return refuse(
                'web:width',
                'wide',
                `Width is ${value}; it has to be a whole number from 0 to 360.`,
              );
            setWide(value);
            return { ok: true, value: null };
          }}
        />
      )}
      <Pairs>
        <Choice
          label="Letters"
          className="w-full"
          value={letter}
          options={choices(letter)}
          onChange={setLetter}
        />
        <Choice
          label="Between them"
          className="w-full"
          value={ground}
          options={[['as-is', 'as it is'] as const, ...choices(ground === 'as-is' ? 'light' : ground)]}
          onChange={setGround}
        />
      </Pairs>
      <p className="my-2 text-xs text-quiet">
        One segment is a column of a letter. They begin at the marked block, or at the index mark, and come as
        often as “Times round” says. They read best with joints in line.
      </p>
      <Button kind="main" onClick={() => void set()}>
        Set the letters
      </Button>
    </Group>
  );
}
