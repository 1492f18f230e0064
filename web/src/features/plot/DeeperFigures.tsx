import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Entries } from '../../ui/Entries';
import { LengthField } from '../../ui/LengthField';
import { textAt, useBuilding } from '../../document/context';
import { RecedingBlocks } from './Deeper';

/** How shallow it is built, and how deep it is to look. */
export function DeeperFigures() {
  const { state, save, derived } = useBuilding();
  const text = (key: string) => textAt(state.document, `perspective.${key}`);
  // Only what stands open can be looked into.
  const mouths = (derived?.view.walls ?? []).flatMap((wall) =>
    wall.openings
      .filter((opening) => opening.kind === 'open')
      .map(
        (opening) => [`${wall.key}.${opening.key}`, `${wall.title.split(',')[0] ?? ''}: ${opening.called}`] as const,
      ),
  );
  const remarks = derived?.kit.checks.filter((check) => check.code.startsWith('perspective.')) ?? [];
  return (
    <>
      <h2>Depth</h2>
      {text('depth') === '' ? (
        <>
          <p className="quiet mb-1">The blocks are as deep as they are.</p>
          <Button
            size="sm"
            variant="outline-primary"
            className="mb-2"
            onClick={() => save([{ op: 'set', path: 'perspective.depth', value: '25mm' }])}
          >
            Build them shallower
          </Button>
        </>
      ) : (
        <>
          <LengthField label="true depth" path="perspective.depth" value={text('depth')} world="model" />
          <LengthField label="is to look" path="perspective.apparent" value={text('apparent')} world="model" optional />
          <LengthField label="eye’s axis, up" path="perspective.axis" value={text('axis')} world="model" optional />
          <p className="quiet mb-2">Left empty, it looks as deep as it is, to the eye of a figure on the layout.</p>
          <RecedingBlocks />
          <Form.Check
            id="receding-ground"
            className="mb-2"
            label="with the ground between them"
            checked={(state.document.perspective as { ground?: unknown } | undefined)?.ground === true}
            onChange={(event) =>
              save([{ op: 'set', path: 'perspective.ground', value: event.target.checked ? true : null }])
            }
          />
          <Button
            size="sm"
            variant="outline-secondary"
            className="mb-2"
            onClick={() =>
              save(
                ['apparent', 'axis', 'blocks', 'ground', 'depth'].map((key) => ({
                  op: 'set',
                  path: `perspective.${key}`,
                  value: null,
                })),
              )
            }
          >
            Build them as deep as they are
          </Button>
        </>
      )}
      {mouths.length === 0 ? (
        <p className="quiet mb-2">
          No opening stands open. Give an archway or a doorway a style of the kind “open”, and its inside can be built
          too.
        </p>
      ) : (
        <Entries
          title="Insides of openings"
          path="perspective.mouths"
          add="Build an inside"
          named={(one, i) => mouths.find(([key]) => key === one.opening)?.[1] ?? `Inside ${i + 1}`}
          fresh={(others) => ({
            opening: (mouths.find(([key]) => !others.some((one) => one.opening === key)) ?? mouths[0])?.[0] ?? '',
            depth: '30mm',
            apparent: '80mm',
          })}
          fields={[
            { key: 'opening', label: 'behind', what: 'choice', choices: mouths },
            { key: 'depth', label: 'true depth', what: 'length', world: 'model' },
            { key: 'apparent', label: 'is to look', what: 'length', world: 'model' },
            { key: 'axis', label: 'eye’s axis, above its foot', what: 'length', world: 'model', optional: true },
          ]}
        />
      )}
      {remarks.length > 0 && (
        <ul className="mt-2">
          {remarks.map((check, i) => (
            <li key={i}>{check.text}</li>
          ))}
        </ul>
      )}
    </>
  );
}
