import { CAUTION_NOTE, CAUTIONS, type CautionId } from '@fellside/core';
import { preparedOf, projectOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';

/** The cautions of the ways of making that are used, and of the woods. */
export function SafetyNotes() {
  const prepared = useApp(preparedOf);
  const { palette } = useApp(projectOf);
  const woods = useApp(woodsOf);
  const ids = new Set<CautionId>(
    prepared.ok ? prepared.value.rings.flatMap(({ made }) => (made.ok ? made.value.cautions : [])) : [],
  );
  const dusty = woods.filter(({ id, dust }) => dust && palette.some(({ wood }) => wood === id));
  return (
    <section className="rounded bg-rust-wash p-3 text-sm">
      <h3 className="font-semibold text-rust">Take care</h3>
      <ul className="my-1 list-disc pl-4">
        {[...ids].map((id) => (
          <li key={id}>{CAUTIONS[id]}</li>
        ))}
        {dusty.map(({ id, name, dust }) => (
          <li key={id}>
            {name}: {dust}
          </li>
        ))}
      </ul>
      <p>{CAUTION_NOTE}</p>
    </section>
  );
}
