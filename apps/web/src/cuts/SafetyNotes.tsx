import { preparedOf, projectOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Cautions } from '../ui/Cautions.js';

/** The cautions of the ways of making that are used, and of the woods. */
export function SafetyNotes() {
  const prepared = useApp(preparedOf);
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(woodsOf).filter(({ id }) => palette.some(({ wood }) => wood === id));
  const rings = prepared.ok ? prepared.value.rings : [];
  return <Cautions ids={rings.flatMap(({ made }) => (made.ok ? made.value.cautions : []))} woods={woods} />;
}
