import { expect, test } from 'vitest';
import { spread } from './labels.js';

test('labels keep apart, stay below the top, and stand where they are wanted when there is room', () => {
  expect(spread([400, 300, 100], 36, 17)).toEqual([400, 300, 100]);
  // Two that are wanted in one place: the upper one gives way upwards.
  expect(spread([200, 198, 60], 36, 17)).toEqual([200, 164, 60]);
  // No room above: those under the top one give way downwards.
  expect(spread([30, 20, 10], 36, 17)).toEqual([89, 53, 17]);
});
