import { paletteOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';

interface WoodChoiceProps {
  readonly label: string;
  /** Palette key. */
  readonly value: string;
  readonly onChange: (wood: string) => void;
}

/** A wood of the palette, by name. */
export function WoodChoice(props: WoodChoiceProps) {
  const palette = useApp(paletteOf);
  return <Choice {...props} options={[...palette].map(([key, { name }]) => [key, name] as const)} />;
}
