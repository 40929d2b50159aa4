import { edit, type Inside, mm, type WallAt } from '@fellside/core';
import { Plus, Trash2 } from 'lucide-react';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Group, Pairs } from '../ui/Group.js';
import { LengthField } from '../ui/LengthField.js';
import { CurvePoints } from './CurvePoints.js';

/** The inside: a wall of one thickness, one that changes with the height, or a curve of its own. */
export function InsidePanel({ inside }: { inside: Inside }) {
  const dispatch = useActions();
  const choose = (by: Inside['by']) =>
    by !== inside.by && dispatch(editPiece(by === 'curve' ? edit.freeInside() : edit.followWall()));
  return (
    <Group title="Inside">
      <fieldset className="mb-2 flex gap-3 text-sm">
        <legend className="sr-only">The inside is given by</legend>
        {(['wall', 'curve'] as const).map((by) => (
          <label key={by} className="flex items-center gap-1.5">
            <input
              type="radio"
              name="inside"
              className="accent-teal"
              checked={inside.by === by}
              onChange={() => choose(by)}
            />
            {by === 'wall' ? 'wall thickness' : 'its own curve'}
          </label>
        ))}
      </fieldset>
      {inside.by === 'wall' ? <Walls {...inside} /> : <CurvePoints side="inside" points={inside.points} />}
    </Group>
  );
}

function Walls({ walls, floorMm }: Extract<Inside, { by: 'wall' }>) {
  const dispatch = useActions();
  const top = useApp(projectOf).form.points.at(-1)!.heightMm;
  const set = (next: readonly WallAt[]) => dispatch(editPiece(edit.setWalls(next)));
  const change = (index: number, value: Partial<WallAt>) =>
    set(walls.map((wall, i) => (i === index ? { ...wall, ...value } : wall)));
  const add = () => {
    const last = walls.at(-1)!;
    const at = walls.length === 1 ? top : (last.heightMm + walls.at(-2)!.heightMm) / 2;
    set([...walls, { heightMm: mm(at), wallMm: last.wallMm }]);
  };
  return (
    <>
      {walls.length === 1 ? (
        <Pairs>
          <LengthField
            label="Wall, square to curve"
            value={walls[0]!.wallMm}
            onChange={(wallMm) => dispatch(editPiece(edit.setWall(wallMm)))}
          />
          <Floor floorMm={floorMm} />
        </Pairs>
      ) : (
        <>
          <ol className="mb-2 flex flex-col gap-2">
            {[...walls.keys()].reverse().map((index) => (
              <li key={index} className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-2">
                <LengthField
                  label={`Wall ${index + 1}, square`}
                  value={walls[index]!.wallMm}
                  onChange={(wallMm) => change(index, { wallMm })}
                />
                <LengthField
                  label={`at height ${index + 1}`}
                  value={walls[index]!.heightMm}
                  onChange={(heightMm) => change(index, { heightMm })}
                />
                <Button
                  className="px-2!"
                  aria-label={`Remove wall thickness ${index + 1}`}
                  onClick={() => set(walls.filter((_, i) => i !== index))}
                >
                  <Trash2 aria-hidden size={14} />
                </Button>
              </li>
            ))}
          </ol>
          <Pairs>
            <Floor floorMm={floorMm} />
          </Pairs>
        </>
      )}
      <Button className="mt-2 h-auto! pointer-fine:min-h-7 whitespace-normal! text-left" onClick={add}>
        <Plus aria-hidden size={14} />
        {walls.length === 1 ? 'Let the wall change with height' : 'One more thickness'}
      </Button>
    </>
  );
}

function Floor({ floorMm }: { floorMm: ReturnType<typeof mm> }) {
  const dispatch = useActions();
  return (
    <LengthField
      label="Floor"
      value={floorMm}
      onChange={(value) => dispatch(editPiece(edit.setFloor(value)))}
    />
  );
}
