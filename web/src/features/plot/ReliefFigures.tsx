import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { textAt, useBuilding } from '../../document/context';

const BACKS = [
  ['open', 'open'],
  ['plain', 'plain card'],
  ['stiffener', 'a frame of card'],
] as const;

const FLANKS = [
  ['keep', 'kept if they fit'],
  ['narrow', 'narrowed'],
  ['drop', 'left out'],
] as const;

/** How the building is cut, where it is. */
export function ReliefFigures() {
  const { state, save, derived } = useBuilding();
  const text = (key: string) => textAt(state.document, `relief.${key}`);
  const set = (key: string) => (value: string) => save([{ op: 'set', path: `relief.${key}`, value }]);
  if (text('school') === '') {
    return (
      <>
        <h2>Low relief</h2>
        <p className="quiet mb-0">
          The building is modelled whole. Type a depth and take one of the five ways of cutting it; walls, roofs, papers
          and sheets follow.
        </p>
      </>
    );
  }
  const remarks = derived?.kit.checks.filter((check) => check.code.startsWith('relief.')) ?? [];
  return (
    <>
      <h2>Low relief</h2>
      <LengthField label="depth" path="relief.depth" value={text('depth')} world="model" />
      <SelectField label="its back" value={text('back') || 'open'} choices={BACKS} onChange={set('back')} />
      <SelectField
        label="openings of flanks"
        value={text('flank') || 'keep'}
        choices={FLANKS}
        onChange={set('flank')}
      />
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
