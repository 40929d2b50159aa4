import { degrees, outBySled, type RememberedSetup, type Setting, setupsFor, trimZeros } from '@fellside/core';
import { type FormEvent, useState } from 'react';
import { Button } from '../../ui/Button.js';
import { useSetups } from './useSetups.js';

const FIELDS = [
  ['read', 'As your scale, wedge or stop reads it', 'text'],
  ['sled', 'Sled or jig', 'text'],
  ['blade', 'Blade', 'text'],
  ['outBy', 'Out by, degrees; 0: the test ring closed', 'text'],
] as const;

const inDegrees = (angle: number): number => Math.round(degrees(angle as never) * 1e4) / 1e4;

/** Set-ups of this angle that were remembered, to be called up; how true each sled was; and this one, to be remembered. */
export function Setups({ setting: { cutAngle, bladeTilt } }: { setting: Setting }) {
  const { setups, remember, forget, trouble } = useSetups();
  const [open, setOpen] = useState(false);
  const [angleDeg, tiltDeg] = [inDegrees(cutAngle), inDegrees(bladeTilt)];
  const known = setupsFor(setups, angleDeg, tiltDeg);
  const entered = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const given = new FormData(event.currentTarget);
    const text = (name: string) => String(given.get(name) ?? '').trim();
    const outByDeg = Number(text('outBy').replace(',', '.') || '0');
    remember(
      { angleDeg, tiltDeg, read: text('read'), sled: text('sled'), blade: text('blade'), outByDeg },
      () => setOpen(false),
    );
  };
  return (
    <section aria-label="Remembered set-ups" className="mb-3">
      {known.length > 0 && (
        <ul className="mb-1">
          {known.slice(0, MOST_SHOWN).map((setup) => (
            <li key={setup.id} className="flex items-center gap-2 border-t border-line py-1">
              <span className="min-w-0 flex-1">{saidOf(setup)}</span>
              <Button aria-label={`Forget the set-up of ${setup.on}`} onClick={() => forget(setup.id)}>
                Forget
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Sleds setups={setups} />
      {open ? (
        <form onSubmit={entered} className="grid max-w-xl grid-cols-2 items-end gap-2">
          {FIELDS.map(([name, label, type]) => (
            <label key={name} className="text-sm text-quiet">
              {label}
              <input
                name={name}
                type={type}
                maxLength={60}
                className="block h-11 w-full rounded border border-line bg-raised px-2 text-ink"
              />
            </label>
          ))}
          <div className="col-span-2 flex gap-2">
            <Button type="submit" kind="main" className="h-11!">
              Remember it
            </Button>
            <Button className="h-11!" onClick={() => setOpen(false)}>
              Leave it
            </Button>
          </div>
        </form>
      ) : (
        <Button className="h-11!" onClick={() => setOpen(true)}>
          Remember this set-up…
        </Button>
      )}
      {trouble.map((sentence) => (
        <p key={sentence} role="alert" className="mt-1 text-rust">
          {sentence}
        </p>
      ))}
    </section>
  );
}

const MOST_SHOWN = 4;

const outSaid = (outByDeg: number): string =>
  outByDeg === 0
    ? 'closed'
    : `out by ${trimZeros(Math.abs(outByDeg).toFixed(3))}°, too ${outByDeg > 0 ? 'steep' : 'flat'}`;

const saidOf = ({ on, read, sled, blade, outByDeg }: RememberedSetup): string =>
  [`Set so on ${on}`, read && `read ${read}`, sled, blade, outSaid(outByDeg)].filter(Boolean).join(' · ');

/** Which sled was how true, over all set-ups; nothing while there is only one. */
function Sleds({ setups }: { setups: readonly RememberedSetup[] }) {
  const sleds = outBySled(setups);
  if (sleds.length < 2) return null;
  return (
    <p className="mb-1 text-sm text-quiet">
      {sleds
        .map(
          ({ sled, outByDeg, count }) => `${sled}: out by ${trimZeros(outByDeg.toFixed(3))}° over ${count}`,
        )
        .join('; ')}
      .
    </p>
  );
}
