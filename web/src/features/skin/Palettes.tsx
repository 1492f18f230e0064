import { type ReactNode, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { View } from '../../api/types';
import { useBuilding } from '../../document/context';
import { entriesAt, freeId } from '../../document/entries';
import { DocumentForm } from '../../document/form/DocumentForm';
import { SelectField } from '../../ui/SelectField';
import { Swatch } from './Swatch';

type Skin = View['skin'];

/** Colours under names, as they come out on a covering. */
export function Palettes({ skin, children }: { skin: Skin; children: ReactNode }) {
  const { state, save } = useBuilding();
  const [chosen, setChosen] = useState('');
  const [on, setOn] = useState('brick-flemish');
  const palette = skin.palettes.find((one) => one.id === chosen) ?? skin.palettes[0];
  const add = () => {
    const id = freeId(entriesAt(state.document, 'palettes'), 'c');
    const colours = [{ colour: skin.brick, parts: 1 }];
    save([{ op: 'set', path: `palettes.=${id}`, value: { id, name: `Colours ${id.slice(1)}`, colours } }]);
    setChosen(id);
  };
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>Colours of your own</h2>
          {children}
        </div>
        <Button size="sm" variant="outline-primary" onClick={add}>
          Add colours
        </Button>
        {skin.palettes.length === 0 && (
          <p>
            Several colours in shares make a wall of mixed bricks or a roof of mixed slates; burnt headers, bands and
            lozenges come with them. Give them a name here, and choose them for a wall, a part of one, or a roof.
          </p>
        )}
        <div className="own-papers" role="group" aria-label="Colours">
          {skin.palettes.map((one) => (
            <button
              key={one.id}
              type="button"
              aria-pressed={one === palette}
              aria-label={one.name}
              onClick={() => setChosen(one.id)}
            >
              <Swatch covering={on} palette={one.id} alt="" />
              <span>{one.name}</span>
            </button>
          ))}
        </div>
        {palette !== undefined && (
          <>
            <div className="swatch-large">
              <Swatch covering={on} palette={palette.id} alt={`${palette.name}, as they come out`} />
            </div>
            <SelectField
              label="Shown on"
              value={on}
              choices={skin.coverings.map((one) => [one.key, one.words] as const)}
              onChange={setOn}
            />
          </>
        )}
      </section>
      {palette !== undefined && (
        <aside className="sheet" aria-label="Figures">
          <h2>{palette.name}</h2>
          <DocumentForm form="palette" path={palette.path} show={(field) => field.key !== 'id'} />
          {palette.named.length === 0 && (
            <p className="quiet">Nothing has them yet: choose them for a wall or a roof.</p>
          )}
          <Button
            size="sm"
            variant="outline-secondary"
            onClick={() =>
              save([
                ...palette.named.map((path) => ({ op: 'set' as const, path, value: null })),
                { op: 'set', path: palette.path, value: null },
              ])
            }
          >
            Take these colours out
          </Button>
        </aside>
      )}
    </>
  );
}
