import { trimZeros } from '@fellside/core';
import { useState } from 'react';
import { Button } from '../ui/Button.js';
import { useSetups } from './setting/useSetups.js';

/** What the gap said of the saw is remembered with the set-up's angle, sled by sled: from then on rehearsals reckon with it. */
export function RememberFit({ count, errorDeg }: { count: number; errorDeg: number }) {
  const { remember, trouble } = useSetups();
  const [sled, setSled] = useState('');
  const [said, setSaid] = useState('');
  const angleDeg = Math.round((180 / count) * 1e4) / 1e4;
  const outByDeg = Math.round(errorDeg * 1e4) / 1e4;
  return (
    <form
      className="my-2 flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        remember({ angleDeg, tiltDeg: 0, read: '', sled: sled.trim(), blade: '', outByDeg }, () =>
          setSaid(
            `Remembered: ${trimZeros(angleDeg.toFixed(4))}° was out by ${trimZeros(outByDeg.toFixed(3))}°.`,
          ),
        );
      }}
    >
      <label className="text-sm text-quiet">
        Sled or jig
        <input
          className="block h-11 w-44 rounded border border-line bg-raised px-2 text-ink"
          maxLength={60}
          value={sled}
          onChange={(event) => setSled(event.target.value)}
        />
      </label>
      <Button type="submit" className="h-11!">
        Remember how far off it was
      </Button>
      <p role="status" className="text-sm">
        {said}
      </p>
      {trouble.map((sentence) => (
        <p key={sentence} role="alert" className="text-sm text-rust">
          {sentence}
        </p>
      ))}
    </form>
  );
}
