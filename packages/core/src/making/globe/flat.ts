import type { PicturePart } from '../picture.js';
import { altitude, type Faced } from './panels.js';

/** The pattern laid flat: for each of the twenty old faces its four triangles, five columns as they are wrapped; places in the order given. */
export function flatPattern(ordered: readonly Faced[], leg: number, base: number): PicturePart[] {
  const high = altitude(leg, base);
  const pitch = { x: base * 2.15, y: base * 2.05 };
  return ordered.map((face, place) => {
    const column =
      face.split < 5 ? face.split : face.split < 15 ? Math.floor((face.split - 5) / 2) : face.split - 15;
    const row = face.split < 5 ? 0 : face.split < 15 ? 1 + ((face.split - 5) % 2) : 3;
    const down = row % 2 === 1;
    const at = { x: (column + (row > 1 ? 0.5 : 0)) * pitch.x, y: -row * pitch.y };
    const rise = base * (Math.sqrt(3) / 6);
    const corner = (k: number, reach: number) => {
      const angle = Math.PI / 2 + (k * 2 * Math.PI) / 3 + (down ? Math.PI : 0);
      return { x: at.x + reach * Math.cos(angle), y: at.y + reach * Math.sin(angle) };
    };
    const inner = [0, 1, 2].map((k) => corner(k, -2 * rise));
    if (face.kind === 'equilateral') return { outline: inner, place };
    const k = ordered
      .filter((other) => other.split === face.split && other.kind === 'isosceles')
      .indexOf(face);
    return { outline: [corner(k, rise + high), inner[(k + 1) % 3]!, inner[(k + 2) % 3]!], place };
  });
}
