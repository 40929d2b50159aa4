import { cutWrong, laidDry, rad, type WrongRing } from '@fellside/core';

/** A tenth of a degree is not seen at this size: the error is drawn so many times as large, or less where the ring would close up. */
const LARGER = 8;

/** The ring from above as it lies dry, all joints tight but the last; the error drawn larger than it is. */
export function DryRing({ wrong }: { wrong: WrongRing }) {
  const most = (0.8 * Math.PI) / wrong.count / Math.max(1e-9, Math.abs(wrong.error) * wrong.count);
  const larger = Math.max(1, Math.min(LARGER, Math.floor(most)));
  const drawn = cutWrong(wrong, rad(wrong.error * larger));
  const reach = (1.04 * drawn.outerFlatMm) / Math.cos(drawn.cutAngle);
  return (
    <figure>
      <svg
        role="img"
        aria-label={`The ring laid dry, ${wrong.count} segments`}
        viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
        className="mx-auto w-full max-w-72"
      >
        {laidDry(drawn).map((corners, i) => (
          <polygon
            key={i}
            points={corners.map(({ x, y }) => `${x},${-y}`).join(' ')}
            fill={i === wrong.count - 1 ? 'var(--color-teal-wash)' : 'var(--color-raised)'}
            fillOpacity={0.8}
            stroke="var(--color-ink)"
            strokeWidth={reach / 150}
          />
        ))}
      </svg>
      <figcaption className="text-center text-xs text-quiet">
        {wrong.error === 0 ? 'No gap' : `The error drawn ${larger} times as large`}
      </figcaption>
    </figure>
  );
}
