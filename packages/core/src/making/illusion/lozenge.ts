import { box } from '../faced/face.js';
import { always, type IllusionFigure } from './figure.js';

/** How much of the face the lozenge takes, each way from its middle. */
const REACH = 0.46;

/** A lozenge whose light half and dark half read as two slopes of a raised, lit stud. */
export const lozenge: IllusionFigure = {
  name: 'Raised lozenge',
  says: 'a lozenge that stands out of every segment: one slope light, the other dark',
  sides: [
    { name: 'Lit slope', grain: 'outwards', tone: always('light') },
    { name: 'Slope in shade', grain: 'upright', tone: always('dark') },
    { name: 'Ground', grain: 'along', tone: always('middle') },
  ],
  ratio: () => 1,
  facets(width, height) {
    const [u, z] = [REACH * width, REACH * height];
    const [left, right] = [
      { u: -u, z: height / 2 },
      { u, z: height / 2 },
    ];
    const [top, foot] = [
      { u: 0, z: height / 2 + z },
      { u: 0, z: height / 2 - z },
    ];
    return [
      { side: 'Lit slope', loop: [foot, top, left] },
      { side: 'Slope in shade', loop: [foot, right, top] },
      { side: 'Ground', loop: box(-width / 2, width / 2, 0, height) },
    ];
  },
};
