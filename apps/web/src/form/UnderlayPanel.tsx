import { edit, type Underlay } from '@fellside/core';
import { type ChangeEvent, useRef, useState } from 'react';
import { pictureUrl, usePictureSize } from '../bench/UnderlayPicture.js';
import { api, sentencesOf } from '../store/api.js';
import { editPiece, refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Group, Pairs } from '../ui/Group.js';
import { NumberField } from '../ui/NumberField.js';
import { ScalePicture } from './ScalePicture.js';

/** A drawing or photograph of the user's own under the cut-through. */
export function UnderlayPanel() {
  const dispatch = useActions();
  const underlay = useApp((state) => projectOf(state).underlay);
  const [keep, { isLoading }] = api.useKeepPictureMutation();
  const [fresh, setFresh] = useState<string | null>(null);
  const [gone, setGone] = useState<string | null>(null);
  usePictureSize(underlay && pictureUrl(underlay.picture), () => setGone(underlay?.picture ?? null));
  const chooser = useRef<HTMLInputElement>(null);
  const take = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    target.value = '';
    if (!file) return;
    const kept = await keep(file);
    if (kept.data) setFresh(kept.data.key);
    else for (const sentence of sentencesOf(kept.error)) dispatch(refusedEntry(sentence));
  };
  const change = (part: Partial<Underlay>) =>
    dispatch(editPiece(edit.setUnderlay({ ...underlay!, ...part })));
  return (
    <Group title="Picture underneath" folded={!underlay}>
      <div className="flex flex-wrap gap-2">
        <Button disabled={isLoading} onClick={() => chooser.current?.click()}>
          {underlay ? 'Another picture…' : 'Choose a picture…'}
        </Button>
        {underlay && (
          <>
            <Button onClick={() => setFresh(underlay.picture)}>Scale it…</Button>
            <Button onClick={() => dispatch(editPiece(edit.setUnderlay(null)))}>Take it away</Button>
          </>
        )}
      </div>
      <input
        ref={chooser}
        type="file"
        accept="image/png,image/jpeg"
        aria-label="Picture to lie underneath, PNG or JPEG"
        className="hidden"
        onChange={take}
      />
      {underlay && gone === underlay.picture && (
        <p role="alert" className="mt-2 text-xs text-rust">
          The picture is not kept by this Fellside; choose it again.
        </p>
      )}
      {underlay && (
        <div className="mt-2">
          <Pairs>
            <NumberField
              label="Millimetres a pixel"
              value={underlay.mmPerPixel}
              onChange={(mmPerPixel) => change({ mmPerPixel })}
            />
            <NumberField
              label="Axis at pixel"
              value={underlay.axisPixel}
              onChange={(axisPixel) => change({ axisPixel })}
            />
            <NumberField
              label="Bench at pixel"
              value={underlay.benchPixel}
              onChange={(benchPixel) => change({ benchPixel })}
            />
          </Pairs>
        </div>
      )}
      {fresh && <ScalePicture picture={fresh} onClose={() => setFresh(null)} />}
    </Group>
  );
}
