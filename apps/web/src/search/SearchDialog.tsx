import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, WHOLE_SHELF } from '../store/api.js';
import { woodsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { type Findable, findables } from './found.js';

const GROUPS = ['Go to', 'Do', 'Rings', 'Woods', 'Pieces'] as const;
/** Of a group that is long only so many are shown before anything is typed. */
const AT_FIRST = 8;

/** How well something fits: every word that is typed begins a word of it; its name counts more than its other words. */
export function scoreOf(_: string, typed: string, [name = '', also = '']: string[] = []): number {
  const wanted = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const begins = (text: string) => {
    const words = text.toLowerCase().split(/[^a-z0-9]+/);
    return (wish: string) => words.some((word) => word.startsWith(wish));
  };
  const [named, told] = [begins(name), begins(`${name} ${also}`)];
  if (name.toLowerCase() === typed.trim().toLowerCase()) return 1;
  return wanted.every(named) ? 0.8 : wanted.every(told) ? 0.4 : 0;
}

/** Searches everything that can be done, and every ring, wood and piece, by any of its words. */
export function SearchDialog({ onClose }: { onClose: () => void }) {
  const dispatch = useActions();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const piece = useApp((state) => state.piece);
  const look = useApp((state) => state.look);
  const woods = useApp(woodsOf);
  const { data } = api.useProjectsInfiniteQuery({ ...WHOLE_SHELF, named: text.trim() });
  const all = useMemo(() => {
    const pieces = (data?.pages[0]?.pieces ?? []).map(
      ({ id, name }): Findable => ({ name, group: 'Pieces', to: `/piece/${id}/form` }),
    );
    return [...findables({ piece, look }, woods), ...pieces];
  }, [piece, look, woods, data]);
  const choose = ({ to, run }: Findable) => {
    onClose();
    run?.(dispatch);
    if (to) navigate(to);
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-black/40" />
        <Dialog.Content className="fixed top-[12vh] left-1/2 z-20 w-xl max-w-[96vw] -translate-x-1/2 rounded-lg border border-line bg-pane shadow-xl">
          <Dialog.Title className="sr-only">Search</Dialog.Title>
          <Dialog.Description className="sr-only">
            Stations, what can be done, rings, woods and pieces; arrow keys choose, Enter goes there.
          </Dialog.Description>
          <Command label="Search" filter={scoreOf}>
            <Command.Input
              autoFocus
              value={text}
              onValueChange={setText}
              placeholder="A station, a ring, a wood, a piece, something to do…"
              className="h-12 w-full rounded-t-lg border-b border-line bg-raised px-4 text-lg text-ink"
            />
            <Command.List className="max-h-[60vh] overflow-auto p-2">
              <Command.Empty className="p-4 text-quiet">Nothing is called that.</Command.Empty>
              {GROUPS.map((group) => {
                const those = all.filter((each) => each.group === group);
                const shown = text === '' && group !== 'Go to' ? those.slice(0, AT_FIRST) : those;
                return (
                  shown.length > 0 && (
                    <Command.Group
                      key={group}
                      heading={group}
                      className="**:[[cmdk-group-heading]]:px-2 **:[[cmdk-group-heading]]:pt-2 **:[[cmdk-group-heading]]:text-xs **:[[cmdk-group-heading]]:text-quiet"
                    >
                      {shown.map((each) => (
                        <Command.Item
                          key={`${each.name} ${each.to ?? ''}`}
                          value={`${group} ${each.name} ${each.to ?? ''}`}
                          keywords={[each.name, each.also ?? '']}
                          onSelect={() => choose(each)}
                          className="flex min-h-[44px] cursor-pointer items-center rounded px-3 aria-selected:bg-teal-wash"
                        >
                          {each.name}
                        </Command.Item>
                      ))}
                    </Command.Group>
                  )
                );
              })}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
