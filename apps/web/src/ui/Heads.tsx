import { headClass } from './tables.js';

/** The heads of a table's columns. */
export const Heads = ({ of }: { of: readonly string[] }) => (
  <thead>
    <tr className={headClass}>
      {of.map((head) => (
        <th key={head} scope="col">
          {head}
        </th>
      ))}
    </tr>
  </thead>
);
