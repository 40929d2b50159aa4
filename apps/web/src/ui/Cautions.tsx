import { CAUTION_NOTE, CAUTIONS, type CautionId, type Species } from '@fellside/core';

interface CautionsProps {
  readonly ids: Iterable<CautionId>;
  /** Woods that are worked; those whose dust is known to harm are named. */
  readonly woods?: readonly Species[];
}

/** The usual cautions where they apply, each once, and whose word comes first. */
export function Cautions({ ids, woods = [] }: CautionsProps) {
  return (
    <section className="rounded bg-rust-wash p-3 text-sm">
      <h3 className="font-semibold text-rust">Take care</h3>
      <ul className="my-1 list-disc pl-4">
        {[...new Set(ids)].map((id) => (
          <li key={id}>{CAUTIONS[id]}</li>
        ))}
        {woods
          .filter(({ dust }) => dust)
          .map(({ id, name, dust }) => (
            <li key={id}>
              {name}: {dust}
            </li>
          ))}
      </ul>
      <p>{CAUTION_NOTE}</p>
    </section>
  );
}
