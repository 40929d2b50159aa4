import { edit, TONES, type Tone } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf, woodsOf } from '../store/house.js';
import { speciesOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass } from '../ui/Field.js';
import { Group } from '../ui/Group.js';
import { Swatch } from '../ui/Swatch.js';

/** The palette: which tone each wood is for motifs, and another wood in one move. */
export function TonePanel() {
  const dispatch = useActions();
  const palette = useApp((state) => projectOf(state).palette);
  const species = useApp(speciesOf);
  const woods = useApp(woodsOf);
  const brush = useApp((state) => state.session.brush);
  return (
    <Group title="Tones and woods">
      <p className="mb-2 text-sm text-quiet">
        Motifs speak of tones. Another wood here changes it everywhere.
      </p>
      <table aria-label="Tones and woods" className="w-full">
        <thead className="text-left text-xs text-quiet">
          <tr>
            <th className="font-normal">Tone</th>
            <th className="font-normal">Wood</th>
            <th>
              <span className="sr-only">Take off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {palette.map(({ key, tone, wood }, i) => (
            <tr key={key}>
              <td className="w-24 py-0.5 pr-1">
                <select
                  aria-label={`Tone of wood ${i + 1}`}
                  className={`${controlClass} w-full`}
                  value={tone}
                  onChange={(event) => dispatch(editPiece(edit.setTone(key, event.target.value as Tone)))}
                >
                  {TONES.map((name) => (
                    <option key={name}>{name}</option>
                  ))}
                </select>
              </td>
              <td className="flex items-center gap-1 py-0.5">
                <Swatch wood={species.get(key)} />
                <select
                  aria-label={`Wood ${i + 1}, ${tone}`}
                  className={`${controlClass} w-full`}
                  value={wood}
                  onChange={(event) => dispatch(editPiece(edit.setPaletteWood(key, event.target.value)))}
                >
                  {woods.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
              </td>
              <td>
                <Button
                  className="px-2!"
                  aria-label={`Take wood ${i + 1} off the palette`}
                  onClick={() => {
                    const done = dispatch(editPiece(edit.removePaletteWood(key)));
                    if (done.ok && brush === key) dispatch(session.brushed(null));
                  }}
                >
                  ×
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Group>
  );
}
