import { Lightbulb, Monitor, Moon, Sun } from 'lucide-react';
import { useEffect } from 'react';
import { look, THEMES, type Theme } from '../store/lookSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { useMedia } from '../ui/useMedia.js';

const SIGNS = { light: Lightbulb, bright: Sun, dark: Moon, system: Monitor } as const;
const NAMES: Record<Theme, string> = {
  light: 'Light',
  bright: 'Bright shop',
  dark: 'Dark',
  system: 'As the system',
};

/** Light, for a shop in bright light, dark, or as the system has it; one press goes to the next. */
export function ThemeButton() {
  const dispatch = useActions();
  const theme = useApp((state) => state.look.theme);
  const dark = useMedia('(prefers-color-scheme: dark)');
  const shown = theme === 'system' ? (dark ? 'dark' : 'light') : theme;
  useEffect(() => {
    document.documentElement.dataset.theme = shown;
  }, [shown]);
  const Sign = SIGNS[theme];
  const next = THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length]!;
  return (
    <Button
      kind="bar"
      className="px-2!"
      aria-label={`Theme: ${NAMES[theme]}`}
      title={`${NAMES[theme]}; change to ${NAMES[next].toLowerCase()}`}
      onClick={() => dispatch(look.themed(next))}
    >
      <Sign aria-hidden size={16} />
    </Button>
  );
}
