import type { View } from '../../api/types';
import { useBuilding } from '../../document/context';
import { PictureChoice } from '../../document/PictureChoice';
import { useOneAtATime } from '../../drawing/oneAtATime';

type Skin = View['skin'];

interface Props {
  title: string;
  /** Where the document says it. */
  path: string;
  skin: Skin;
  of: 'walls' | 'roofs';
  chosen: string;
}

/** What a face may be covered with, by its pictures as they come out on this building. */
export function CoveringChooser({ title, path, skin, of, chosen }: Props) {
  const { save } = useBuilding();
  const choices = skin.coverings
    .filter((one) => one[of] || one.key === chosen)
    .map((one) => ({ value: one.key, words: one.words, picture: <Picture covering={one.key} look={skin.look} /> }));
  return (
    <PictureChoice
      label={title}
      path={path}
      choices={choices}
      value={chosen}
      onChoose={(value) => save([{ op: 'set', path, value }])}
      large
    />
  );
}

/** It changes with the building's look, and not with every edit. */
function Picture({ covering, look }: { covering: string; look: string }) {
  const { state } = useBuilding();
  const { href, onLoad, onError } = useOneAtATime(`/api/buildings/${state.id}/coverings/${covering}.svg?look=${look}`);
  return <img src={href} alt="" loading="lazy" onLoad={onLoad} onError={onError} />;
}
