import workerUrl from 'modern-gif/worker?url';

/** A turn of the piece that never ends: so many pictures, each shown so long (ms). */
export const LOOP = { frames: 60, delay: 80, side: 640 };

/** Puts pictures together as a GIF that runs for ever; they are made one after the other, and `told` how many there are. */
export async function turningLoop(
  draw: (share: number) => Promise<HTMLCanvasElement | null>,
  { frames, delay, side } = LOOP,
  told: (made: number) => boolean = () => true,
): Promise<Blob | null> {
  const { Encoder } = await import('modern-gif');
  const maker = new Encoder({
    width: side,
    height: side,
    workerUrl,
    looped: true,
    loopCount: 0,
    maxColors: 255,
  });
  for (let i = 0; i < frames; i++) {
    if (!told(i)) return null;
    const picture = await draw(i / frames);
    const data = picture?.getContext('2d')?.getImageData(0, 0, side, side).data;
    if (!data) return null;
    await maker.encode({ data, delay });
  }
  return maker.flush('blob');
}
