import { edit, formatLength, mm, parseLength, sentenceIn } from '@fellside/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { pictureUrl, usePictureSize } from '../bench/UnderlayPicture.js';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { Sheet } from '../ui/Sheet.js';
import { PictureToClick, type Spot } from './PictureToClick.js';

const ASKS = [
  'Click one end of something whose length you know: the height of the piece, say.',
  'Click its other end.',
  'Click where the axis meets the bench: the middle of the foot.',
  'All three are set; click again to begin anew.',
];

/** The picture as large as it fits; two clicks and a length scale it, a third says where it stands. */
export function ScalePicture({ picture, onClose }: { picture: string; onClose: () => void }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const height = useApp(projectOf).form.points.at(-1)!.heightMm;
  const size = usePictureSize(pictureUrl(picture));
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [wrong, setWrong] = useState<string>();
  const place = (spot: Spot) => setSpots((before) => (before.length >= 3 ? [spot] : [...before, spot]));
  const done = (form: FormData) => {
    const length = parseLength(String(form.get('length')), units, 'Length');
    if (!length.ok) return setWrong(sentenceIn(length.reasons[0]!.message, units));
    const [a, b, foot] = spots;
    if (!a || !b || !foot) return setWrong('Click the two ends and the middle of the foot first.');
    const pixels = Math.hypot(a.x - b.x, a.y - b.y);
    if (pixels < 2 || length.value <= 0)
      return setWrong('The two ends lie on each other; click them farther apart.');
    const answer = dispatch(
      editPiece(
        edit.setUnderlay({
          picture,
          mmPerPixel: length.value / pixels,
          axisPixel: foot.x,
          benchPixel: foot.y,
        }),
      ),
    );
    if (answer.ok) onClose();
    else setWrong(sentenceIn(answer.reasons[0]!.message, units));
  };
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Sheet size="wide" title="Scale the picture" says={ASKS[spots.length]!}>
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            done(new FormData(event.currentTarget));
          }}
        >
          {size ? (
            <PictureToClick picture={picture} size={size} spots={spots} onPlace={place} />
          ) : (
            <p className="text-quiet">Opening the picture…</p>
          )}
          <div className="flex items-end gap-3">
            <Field label="Length between the two ends" problem={wrong}>
              {(control) => (
                <input
                  {...control}
                  name="length"
                  autoComplete="off"
                  className={controlClass}
                  defaultValue={formatLength(mm(height), units)}
                />
              )}
            </Field>
            <div className="flex-1" />
            <Button onClick={onClose}>Cancel</Button>
            <Button kind="main" type="submit">
              Lay it underneath
            </Button>
          </div>
        </form>
      </Sheet>
    </Dialog.Root>
  );
}
