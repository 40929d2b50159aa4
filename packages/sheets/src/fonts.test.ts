import { expect, test } from 'vitest';
import { withFonts } from './fonts.js';

/** The faces that a document is handed, by their name. */
function handed(): Record<string, unknown> {
  const faces: Record<string, unknown> = {};
  withFonts({ registerFont: (name: string, face: unknown) => (faces[name] = face) } as never);
  return faces;
}

test('documents are handed two faces that are read already, once for all of them: of files every cell of a table is read anew', () => {
  const [first, second] = [handed(), handed()];
  expect(first).toEqual({
    text: expect.objectContaining({ postscriptName: 'HankenGrotesk-Regular' }),
    bold: expect.objectContaining({ postscriptName: 'HankenGrotesk-Bold' }),
  });
  for (const name of ['text', 'bold']) expect(second[name]).toBe(first[name]);
});
