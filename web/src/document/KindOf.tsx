import Button from 'react-bootstrap/Button';
import type { Opening, Wall } from '../api/types';
import { useBuilding } from './context';
import { SelectField } from '../ui/SelectField';
import { KindFields } from './KindFields';
import { KindPicture } from './KindPicture';
import { kindsOf } from './kinds';

/** Of which kind an opening or a row is; the kind itself, and one of its own. */
export function KindOf({ wall, opening }: { wall: Wall; opening: Opening }) {
  const { state, save } = useBuilding();
  return (
    <>
      <SelectField
        label="kind"
        path={`${opening.path}.style`}
        value={opening.style}
        choices={kindsOf(state.document)}
        onChange={(value) => save([{ op: 'set', path: `${opening.path}.style`, value }])}
      />
      <details open>
        <summary>Its kind: every {opening.name} follows</summary>
        <KindPicture kind={opening.style} alt={`${opening.name}, from outside`} />
        <KindFields id={opening.style} name={opening.name} />
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={() =>
            save([{ op: 'copy-kind', style: opening.style, wall: wall.key, id: opening.row ?? opening.id }])
          }
        >
          Make it a kind of its own
        </Button>
      </details>
    </>
  );
}
