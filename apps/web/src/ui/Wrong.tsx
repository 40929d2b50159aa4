import { plain, type Said, sentenceIn } from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';

/** What is wrong with a form that was sent, sentence by sentence; nothing where all is well. */
export function Wrong({ sentences }: { sentences: readonly Said[] }) {
  const units = useApp(unitsOf);
  if (sentences.length === 0) return null;
  return (
    <ul role="alert" className="col-span-full text-rust">
      {sentences.map((sentence) => (
        <li key={plain(sentence)}>{sentenceIn(sentence, units)}</li>
      ))}
    </ul>
  );
}
