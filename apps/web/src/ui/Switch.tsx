/** Something that is there or not. */
export function Switch({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}) {
  return (
    <label className="mb-1 flex items-center gap-1.5 text-sm">
      <input
        type="checkbox"
        className="accent-teal"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}
