import { FINE_MESH } from '@fellside/core';
import { useRef, useState } from 'react';
import { ExportMenu, TOO_LARGE } from '../pictures/ExportMenu.js';
import { refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { paletteOf, preparedOf } from '../store/selectors.js';
import { shapeOf } from '../store/shape.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { saveBlob } from '../ui/saveFile.js';
import { geometryService } from '../workers/client.js';
import { LOOP, turningLoop } from './loop.js';
import { type ModelFormat, modelFile } from './model.js';
import type { Draw, TakePictures } from './Scene.js';

interface ExportModelProps {
  /** Gives a way to take pictures once all is fine enough for so many px; null where nothing can be drawn. */
  readonly finest: (px: number) => Promise<TakePictures | null>;
  /** What was made as fine as it gets may be left again. */
  readonly done: () => void;
}

const FOUR_K = { width: 3840, height: 2160 };

const pngOf = (picture: HTMLCanvasElement) =>
  new Promise<Blob | null>((made) => picture.toBlob(made, 'image/png'));

/** The piece as a model for other programs, and the turntable as a picture or as a loop that turns. */
export function ExportModel({ finest, done }: ExportModelProps) {
  const dispatch = useActions();
  const prepared = useApp(preparedOf);
  const palette = useApp(paletteOf);
  const name = useApp((state) => projectOf(state).name);
  const shape = useApp(shapeOf);
  const [doing, setDoing] = useState<string | null>(null);
  const stopped = useRef(false);
  const save = (format: ModelFormat, turned: boolean) => async () => {
    const made = await geometryService()?.meshes('model', shape, FINE_MESH);
    if (!made || !prepared.ok) return;
    const file = await modelFile(format, made, prepared.value, palette, turned);
    saveBlob(`${name}, ${turned ? 'turned' : 'blank'}.${format}`, file);
  };
  /** Takes pictures and saves what comes of them; says what is done meanwhile. */
  const drawn = async (file: string, px: number, work: (draw: Draw) => Promise<Blob | null>) => {
    // One after the other: what is being drawn is told, and can be stopped.
    if (doing !== null) return;
    stopped.current = false;
    setDoing('The surface is drawn finer…');
    const take = await finest(px);
    const blob = take && !stopped.current ? await take(work).catch(() => null) : null;
    if (blob) saveBlob(file, blob);
    else if (!stopped.current) dispatch(refusedEntry(TOO_LARGE));
    setDoing(null);
    done();
  };
  const loop = (draw: Draw) =>
    turningLoop(
      async (share) => {
        await new Promise(requestAnimationFrame);
        return draw(LOOP.side, LOOP.side, share);
      },
      LOOP,
      (made) => {
        setDoing(`Picture ${made + 1} of ${LOOP.frames}…`);
        return !stopped.current;
      },
    );
  return (
    <>
      <ExportMenu
        start={FOUR_K}
        items={[
          ['Turning loop, GIF', () => drawn(`${name}, turning.gif`, LOOP.side, loop)],
          ['Turned piece, GLB', save('glb', true)],
          ['Turned piece, STL', save('stl', true)],
          ['Blank as glued, GLB', save('glb', false)],
          ['Blank as glued, STL', save('stl', false)],
        ]}
        picture={({ width, height }) =>
          drawn(`${name}, turntable.png`, Math.max(width, height), async (draw) => {
            const picture = draw(width, height);
            return picture && pngOf(picture);
          })
        }
      />
      {doing !== null && (
        <span role="status" className="flex items-center gap-2">
          {doing}
          <Button
            onClick={() => {
              stopped.current = true;
            }}
          >
            Stop
          </Button>
        </span>
      )}
    </>
  );
}
