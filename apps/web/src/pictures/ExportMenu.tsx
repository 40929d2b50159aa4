import { refuse } from '@fellside/core';
import { Download } from 'lucide-react';
import { Popover } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { Button } from '../ui/Button.js';
import { Pairs } from '../ui/Group.js';
import { NumberField } from '../ui/NumberField.js';

interface Size {
  readonly width: number;
  readonly height: number;
}

interface ExportMenuProps {
  /** Files that can be had, by name. */
  readonly items: readonly (readonly [name: string, save: () => Promise<void> | void])[];
  /** Saves a PNG of a size in px. */
  readonly picture: (size: Size) => Promise<void>;
  readonly start?: Size;
  readonly above?: ReactNode;
  readonly below?: ReactNode;
}

/** The largest picture, px a side: what browsers can draw at once. */
const MOST = 8000;

export const TOO_LARGE = 'This browser could not make the picture; try a smaller size.';

/** What a view can be saved as: a picture of any size, and its files. */
export function ExportMenu({
  items,
  picture,
  start = { width: 1600, height: 1200 },
  above,
  below,
}: ExportMenuProps) {
  const [size, setSize] = useState(start);
  const set = (side: keyof Size) => (value: number) => {
    if (!Number.isInteger(value) || value < 16 || value > MOST)
      return refuse(
        'web:size',
        side,
        `A side of the picture is ${value}; it has to be a whole number from 16 to ${MOST}.`,
      );
    setSize({ ...size, [side]: value });
    return { ok: true as const, value: null };
  };
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button>
          <Download aria-hidden size={14} /> Save as…
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          aria-label="Save as"
          className="z-20 w-64 rounded border border-line bg-raised p-3 shadow-lg"
        >
          {above}
          <Pairs>
            <NumberField label="Picture, px wide" value={size.width} onChange={set('width')} />
            <NumberField label="px high" value={size.height} onChange={set('height')} />
          </Pairs>
          <Button kind="main" className="mt-2 w-full" onClick={() => void picture(size)}>
            Picture, PNG
          </Button>
          {items.map(([name, save]) => (
            <Button key={name} className="mt-1.5 w-full" onClick={() => void save()}>
              {name}
            </Button>
          ))}
          {below}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
