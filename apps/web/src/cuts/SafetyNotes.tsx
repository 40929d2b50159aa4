import { cautionsOf } from '@fellside/core';
import { projectOf, woodsOf } from '../store/house.js';
import { planOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Cautions } from '../ui/Cautions.js';

/** The cautions of the ways of making that are used, and of the woods. */
export function SafetyNotes() {
  const plan = useApp(planOf);
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(woodsOf).filter(({ id }) => palette.some(({ wood }) => wood === id));
  const all = plan.ok ? [...plan.value.rings, ...plan.value.slants, ...plan.value.blanks] : [];
  return <Cautions ids={cautionsOf(all.flatMap(({ steps }) => steps))} woods={woods} />;
}
