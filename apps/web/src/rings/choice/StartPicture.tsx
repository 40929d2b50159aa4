import { type ExamplePicture, examplePicture, type StartId } from '@fellside/core';
import { PackageOpen } from 'lucide-react';

/** Colours of the tones in pictures of starting points: no wood of the piece, the difference is what counts. */
const TONES: Record<ExamplePicture['parts'][number]['tone'], string> = {
  light: '#e3cf9f',
  middle: '#b57a4c',
  dark: '#4b3226',
};

/** Worked out when a picture is first asked for, and kept. */
const known = new Map<StartId, ExamplePicture | null>();
function pictureOf(start: StartId): ExamplePicture | null {
  if (!known.has(start)) known.set(start, examplePicture(start));
  return known.get(start)!;
}

const figure = (value: number) => Math.round(value * 10) / 10;

/** What a starting point comes to; of one that begins with a ring that is there already, an open box. */
export function StartPicture({ start, className }: { start: StartId; className: string }) {
  const picture = pictureOf(start);
  if (!picture) return <PackageOpen aria-hidden className={className} strokeWidth={1} />;
  const { seen, parts, joints, grain, halfWidth, height } = picture;
  const top = seen === 'front' ? height : height / 2;
  const line = (points: ExamplePicture['joints'][number]) =>
    `M${points.map(({ x, y }) => `${figure(x)} ${figure(top - y)}`).join('L')}`;
  const fills = new Map<string, string>();
  for (const { tone, outline } of parts) fills.set(tone, `${fills.get(tone) ?? ''}${line(outline)}Z`);
  return (
    <svg
      aria-hidden
      className={className}
      viewBox={`${figure(-halfWidth)} 0 ${figure(2 * halfWidth)} ${figure(height)}`}
    >
      {[...fills].map(([tone, d]) => {
        const colour = TONES[tone as keyof typeof TONES];
        return <path key={tone} d={d} fill={colour} stroke={colour} strokeWidth={0.3} />;
      })}
      {grain.length > 0 && (
        <path d={grain.map(line).join('')} fill="none" stroke={TONES.middle} strokeWidth={0.7} />
      )}
      <path d={joints.map(line).join('')} fill="none" stroke="#1d2527" strokeWidth={1} />
    </svg>
  );
}
