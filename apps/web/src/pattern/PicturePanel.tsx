import { edit, pictureInWoods, type Raster, refuse, trueTurns } from '@fellside/core';
import { type ChangeEvent, useRef, useState } from 'react';
import { useTargets } from '../rings/targets.js';
import { editPiece, refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { preparedOf, speciesOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Group, Pairs } from '../ui/Group.js';
import { NumberField } from '../ui/NumberField.js';
import { Switch } from '../ui/Switch.js';
import { loadPicture } from './loadPicture.js';
import { wallOfPiece } from './paint.js';
import { ringsName } from './ringsName.js';

interface Chosen {
  readonly name: string;
  readonly raster: Raster;
}

/** A picture laid in the woods of the palette over the selected rings. */
export function PicturePanel() {
  const dispatch = useActions();
  const palette = useApp((state) => projectOf(state).palette);
  const prepared = useApp(preparedOf);
  const species = useApp(speciesOf);
  const wall = useApp(wallOfPiece);
  const marked = useApp((state) => state.session.marked);
  const { targets } = useTargets();
  const chooser = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [dither, setDither] = useState(false);
  const [times, setTimes] = useState(1);
  const [degrees, setDegrees] = useState(360);
  const sorted = [...targets].sort((a, b) => a - b);

  const take = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    target.value = '';
    if (!file) return;
    const raster = await loadPicture(file);
    if (!raster) {
      dispatch(refusedEntry(`“${file.name}” is no picture that can be read; PNG, JPEG and SVG are.`));
      return;
    }
    setChosen({ name: file.name, raster });
    setDegrees(trueDegrees(raster) ?? 360);
  };

  /** How many degrees the picture takes when it is neither stretched nor squeezed; at most all round. */
  const trueDegrees = ({ width, height }: Raster): number | null =>
    prepared.ok
      ? Math.round(360 * Math.min(1, trueTurns(prepared.value, sorted[0]!, sorted.at(-1)!, width / height)))
      : null;

  const lay = () => {
    if (!chosen || !prepared.ok) return;
    if (degrees * times > 360.5) {
      dispatch(
        refusedEntry(
          `${times} pictures of ${degrees}° take ${Math.round(degrees * times)}°; there are 360° to go round.`,
        ),
      );
      return;
    }
    const hanging = {
      rings: sorted.map((ring) => {
        const { course } = prepared.value.rings[ring]!;
        return { ring, heightMm: course.topMm - course.bottomMm };
      }),
      from: marked?.from ?? 0,
      widthTurns: degrees / 360,
      times,
    };
    const inks = palette.map(({ key }) => ({ key, colour: species.get(key)?.colour ?? '#999999' }));
    const strokes = pictureInWoods(wall, chosen.raster, hanging, { inks, dither });
    dispatch(editPiece(edit.paint(strokes, `Lay the picture ${chosen.name.slice(0, 60)}`)));
  };

  const bounded = (
    value: number,
    least: number,
    most: number,
    label: string,
    set: (value: number) => void,
  ) => {
    if (value < least || value > most)
      return refuse(
        'web:out-of-range',
        label,
        `${label} is ${value}; it has to be from ${least} to ${most}.`,
      );
    set(value);
    return { ok: true as const, value: null };
  };

  return (
    <Group title={`A picture over ${ringsName(targets)}`} folded>
      <p className="mb-2 text-xs text-quiet">
        Each segment takes the wood of the palette that looks nearest. The result is ordinary painted places.
        It begins at the marked block, or at the index mark.
      </p>
      <Button onClick={() => chooser.current?.click()}>
        {chosen ? `${chosen.name}, another…` : 'Choose a picture…'}
      </Button>
      <input
        ref={chooser}
        type="file"
        accept="image/png,image/jpeg,image/svg+xml"
        aria-label="Picture to lay in woods, PNG, JPEG or SVG"
        className="hidden"
        onChange={take}
      />
      {chosen && (
        <div className="mt-2">
          <Pairs>
            <NumberField
              label="Wide, degrees"
              value={degrees}
              onChange={(value) => bounded(value, 1, 360, 'Width', setDegrees)}
            />
            <NumberField
              label="Times, side by side"
              value={times}
              onChange={(value) => bounded(Math.round(value), 1, 120, 'Times', setTimes)}
            />
          </Pairs>
          <div className="my-2">
            <Switch label="Mix woods to come nearer (dither)" on={dither} onChange={setDither} />
          </div>
          <Button kind="main" onClick={lay}>
            Lay the picture
          </Button>
        </div>
      )}
    </Group>
  );
}
