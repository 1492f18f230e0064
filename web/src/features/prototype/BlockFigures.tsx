import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Json, PlanBlock } from '../../api/types';
import { Entries } from '../../ui/Entries';
import { entriesAt, freeId, storeysAt } from '../../document/entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { StackOf } from '../../document/StackOf';
import { textAt, useBuilding } from '../../document/context';

const SHAPES = [
  ['rect', 'rectangle'],
  ['l', 'L'],
  ['t', 'T'],
  ['u', 'U'],
  ['z', 'Z'],
  ['bay', 'canted bay'],
  ['polygon', 'octagon'],
] as const;

const RELATIONS = [
  ['flush', 'flush with'],
  ['set-back', 'set back from'],
  ['centre', 'centred on'],
  ['against', 'against'],
] as const;

/** What a document holds of a block; undefined where it is no block. */
function blockAt(document: { [key: string]: Json | undefined }, index: number): Record<string, Json | undefined> {
  const blocks = document.blocks;
  const block = Array.isArray(blocks) ? blocks[index] : undefined;
  return block !== null && typeof block === 'object' && !Array.isArray(block) ? block : {};
}

/** The figures of one block: shape, size, heights and where it stands. */
export function BlockFigures({ index, id, blocks }: { index: number; id: string; blocks: PlanBlock[] }) {
  const { state, save } = useBuilding();
  const at = `blocks.${index}`;
  const text = (path: string) => textAt(state.document, `${at}.${path}`);
  const block = blockAt(state.document, index);
  const footprint = block.footprint;
  const polygon =
    footprint !== null && typeof footprint === 'object' && !Array.isArray(footprint) ? footprint.polygon : undefined;
  const isRect = !Array.isArray(polygon);
  const own = blocks.find((one) => one.id === id);
  return (
    <>
      {blocks.length > 1 && <TextField label="block’s name" path={`${at}.name`} value={text('name')} isWide />}
      <SelectField
        label="shape"
        path={`${at}.footprint`}
        value={isRect ? 'rect' : (own?.shape ?? '')}
        choices={[...(isRect || own?.shape ? [] : [['', 'as drawn'] as const]), ...SHAPES]}
        onChange={(shape) => shape !== '' && save([{ op: 'shape-block', block: id, shape }])}
      />
      {isRect ? (
        <>
          <LengthField label="width" path={`${at}.footprint.rect.0`} value={text('footprint.rect.0')} />
          <LengthField label="depth" path={`${at}.footprint.rect.1`} value={text('footprint.rect.1')} />
        </>
      ) : (
        <>
          {own?.figures.map(({ key, words, text: figure }) => (
            <LengthField
              key={key}
              label={words}
              path={`${at}.footprint.${key}`}
              value={figure}
              onPut={(next) =>
                own.shape !== null && save([{ op: 'shape-block', block: id, shape: own.shape, [key]: next }])
              }
            />
          ))}
          <Corners index={index} id={id} polygon={polygon} />
        </>
      )}
      <p className="quiet mb-1">Heights count from the datum, one level for the whole building: mostly the ground.</p>
      <LengthField label="eaves above datum" path={`${at}.eaves`} value={text('eaves')} />
      <LengthField label="base above datum" path={`${at}.base`} value={text('base')} optional />
      <LengthField label="top of the plinth" path={`${at}.plinth`} value={text('plinth')} optional />
      <SharedStoreys index={index} id={id} blocks={blocks} />
      {text('storeys_of') === '' && (
        <Entries
          title="Storeys"
          path={`${at}.storeys`}
          add="Add a storey"
          onAdd={() => save([{ op: 'add-storey', block: id }])}
          empty="Floors that rows of windows are measured from."
          named={(entry, i) => (typeof entry.name === 'string' ? entry.name : `Storey ${i + 1}`)}
          fresh={(others) => ({
            id: freeId(others, 's'),
            name: `Storey ${others.length + 1}`,
            floor: '0ft',
            height: '10ft',
          })}
          fields={[
            { key: 'name', label: 'name', what: 'text' },
            { key: 'floor', label: 'floor above datum', what: 'length' },
            { key: 'height', label: 'floor to floor', what: 'length' },
          ]}
        />
      )}
      {own?.storeys && (
        <p className="quiet mb-1" data-testid="storey-sum">
          {own.storeys}
        </p>
      )}
      {storeysAt(state.document, at).length > 0 && (
        <Button
          className="mb-2"
          size="sm"
          variant="outline-primary"
          onClick={() => save([{ op: 'eaves-to-storeys', block: id }])}
        >
          Eaves to the bed joint over them
        </Button>
      )}
      {blocks.length > 1 && <StackOf path={at} usual="as the building’s walls" owner={{ block: id }} />}
      {blocks.length > 1 && <Place index={index} id={id} blocks={blocks} />}
    </>
  );
}

/** Whose storeys a block has, where another has some. */
function SharedStoreys({ index, id, blocks }: { index: number; id: string; blocks: PlanBlock[] }) {
  const { state, save } = useBuilding();
  const shared = textAt(state.document, `blocks.${index}.storeys_of`);
  const others = blocks.filter((one) => {
    const at = blocks.indexOf(one);
    return one.id !== id && (one.id === shared || entriesAt(state.document, `blocks.${at}.storeys`).length > 0);
  });
  return (
    others.length > 0 && (
      <SelectField
        label="storeys"
        path={`blocks.${index}.storeys_of`}
        value={shared}
        choices={[['', 'of its own'], ...others.map((one) => [one.id, `those of ${one.name}`] as const)]}
        onChange={(next) => save([{ op: 'share-storeys', block: id, ...(next === '' ? {} : { with: next }) }])}
      />
    )
  );
}

function Corners({ index, id, polygon }: { index: number; id: string; polygon: Json[] }) {
  const { state, save } = useBuilding();
  const names = entriesAt(state.document, `blocks.${index}.corners`);
  const isClockwise = state.faults.some((fault) => fault.code === 'footprint.clockwise');
  return (
    <details>
      <summary>Corners: {polygon.length}</summary>
      {isClockwise && (
        <Button variant="outline-primary" onClick={() => save([{ op: 'turn-outline', block: id }])}>
          Turn the corners round
        </Button>
      )}
      {polygon.map((_corner, i) => (
        <fieldset key={i}>
          <legend className="visually-hidden">Corner {i + 1}</legend>
          <CornerName
            id={id}
            at={i}
            name={textAt(
              names.find((one) => one.vertex === i),
              'name',
            )}
            edge={textAt(state.document, `blocks.${index}.footprint.edges.${i}`)}
          />
          {(['to the right', 'to the back'] as const).map((words, k) => (
            <LengthField
              key={words}
              label={`${i + 1}, ${words}`}
              path={`blocks.${index}.footprint.polygon.${i}.${k}`}
              value={textAt(state.document, `blocks.${index}.footprint.polygon.${i}.${k}`)}
            />
          ))}
        </fieldset>
      ))}
    </details>
  );
}

/** A corner's own name, and the edge that begins at it. */
function CornerName({ id, at, name, edge }: { id: string; at: number; name: string; edge: string }) {
  const { save } = useBuilding();
  const field = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null && draft !== name)
      save([{ op: 'corner', block: id, vertex: at, name: draft.trim() === '' ? null : draft.trim() }]);
    setDraft(null);
  };
  return (
    <div className="field-row wide">
      <Form.Label htmlFor={field}>
        corner {at + 1}
        {edge === '' ? '' : `, where ${edge} begins`}
      </Form.Label>
      <Form.Control
        id={field}
        value={draft ?? name}
        placeholder="name it"
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') commit();
        }}
      />
    </div>
  );
}

/** Where it stands: by figures, or by what it stands against. */
function Place({ index, id, blocks }: { index: number; id: string; blocks: PlanBlock[] }) {
  const { state } = useBuilding();
  const place = blockAt(state.document, index).place;
  const relations = Array.isArray(place) ? place : [];
  const own = blocks.find((block) => block.id === id);
  const others = blocks.filter((block) => block.id !== id);
  const at = `blocks.${index}`;
  const words = (i: number, key: string) => textAt(state.document, `${at}.place.${i}.${key}`);
  return (
    <>
      <h3 className="mt-3">Where it stands</h3>
      {relations.map((_relation, i) => {
        const kind = RELATIONS.find(([key]) => words(i, key) !== '')?.[0] ?? 'flush';
        return (
          <fieldset key={i} className="mb-2">
            <legend className="fs-6 mb-1">
              its {words(i, kind)} {RELATIONS.find(([key]) => key === kind)?.[1]} {edgeWords(blocks, words(i, 'with'))}
            </legend>
            <LengthField label="by" path={`${at}.place.${i}.by`} value={words(i, 'by')} optional />
          </fieldset>
        );
      })}
      {relations.length === 0 ? (
        <>
          <LengthField label="to the right" path={`${at}.at.0`} value={textAt(state.document, `${at}.at.0`) || '0ft'} />
          <LengthField label="to the back" path={`${at}.at.1`} value={textAt(state.document, `${at}.at.1`) || '0ft'} />
        </>
      ) : null}
      {own !== undefined && others.length > 0 && <AddPlace index={index} own={own} others={others} />}
    </>
  );
}

/** An edge of another block as a person calls it. */
function edgeWords(blocks: PlanBlock[], key: string): string {
  for (const block of blocks) {
    const edge = block.edges.find((one) => one.key === key);
    if (edge !== undefined) return `${block.name}, ${edge.name}`;
  }
  return key;
}

function AddPlace({ index, own, others }: { index: number; own: PlanBlock; others: PlanBlock[] }) {
  const { state, save } = useBuilding();
  const [kind, setKind] = useState('against');
  const [edge, setEdge] = useState(own.edges[0]?.name ?? '');
  const [target, setTarget] = useState(others[0]?.edges[0]?.key ?? '');
  const place = blockAt(state.document, index).place;
  const relations = Array.isArray(place) ? place : [];
  const names = own.edges.map((one) => [one.name, one.name] as const);
  return (
    <details>
      <summary>{relations.length === 0 ? 'Place it by another block' : 'Another relation'}</summary>
      <SelectField label="its edge" value={edge} choices={names} onChange={setEdge} />
      <SelectField label="stands" value={kind} choices={RELATIONS} onChange={setKind} />
      <SelectField
        label="of"
        value={target}
        choices={others.flatMap((other) => other.edges.map((one) => [one.key, `${other.name}, ${one.name}`] as const))}
        onChange={setTarget}
      />
      <Button
        variant="outline-primary"
        size="sm"
        onClick={() =>
          save([
            { op: 'set', path: `blocks.${index}.at`, value: null },
            { op: 'set', path: `blocks.${index}.place`, value: [...relations, { [kind]: edge, with: target }] },
          ])
        }
      >
        Stand it so
      </Button>{' '}
      {relations.length > 0 && (
        <Button
          variant="outline-secondary"
          size="sm"
          onClick={() =>
            save([
              { op: 'set', path: `blocks.${index}.place`, value: null },
              {
                op: 'set',
                path: `blocks.${index}.at`,
                value: own.at.map((size) => `${size.real_mm}mm`),
              },
            ])
          }
        >
          Free it, where it stands now
        </Button>
      )}
    </details>
  );
}
