/** What is wrong with a form that was sent, sentence by sentence; nothing where all is well. */
export function Wrong({ sentences }: { sentences: readonly string[] }) {
  if (sentences.length === 0) return null;
  return (
    <ul role="alert" className="col-span-full text-rust">
      {sentences.map((sentence) => (
        <li key={sentence}>{sentence}</li>
      ))}
    </ul>
  );
}
