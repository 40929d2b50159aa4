interface SliderProps {
  readonly label: string;
  readonly end: string;
  readonly value: number;
  readonly least?: number;
  readonly most?: number;
  readonly onChange: (value: number) => void;
}

/** A value between two words that say what its ends are. */
export function Slider({ label, end, value, least = 0, most = 100, onChange }: SliderProps) {
  return (
    <label className="flex items-center gap-1.5">
      {label}
      <input
        type="range"
        aria-label={`${label} to ${end}`}
        min={least}
        max={most}
        value={value}
        className="w-24 accent-teal"
        onChange={(event) => onChange(Number(event.target.value))}
      />
      {end}
    </label>
  );
}
