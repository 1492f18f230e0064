import type { Edit, View } from '../../api/types';
import { textAt, useBuilding } from '../../document/context';
import { PictureChoice } from '../../document/PictureChoice';
import { SelectField } from '../../ui/SelectField';
import { Swatch } from './Swatch';

type Skin = View['skin'];

interface Props {
  title: string;
  /** What is covered, in the document. */
  path: string;
  skin: Skin;
  of: 'walls' | 'roofs';
  chosen: string;
}

/** Unlike any finish. */
const own = (id: string) => `paper:${id}`;

/** What a face may be covered with, by its pictures as they come out on this building; after what is drawn, papers of one’s own. */
export function CoveringChooser({ title, path, skin, of, chosen }: Props) {
  const { state, save } = useBuilding();
  const paper = textAt(state.document, `${path}.paper`);
  const palette = textAt(state.document, `${path}.palette`);
  const drawn = skin.coverings.filter((one) => one[of] || one.key === chosen);
  const choices = [
    ...drawn.map((one) => ({
      value: one.key,
      words: one.words,
      picture: <Swatch covering={one.key} {...(palette === '' ? {} : { palette })} alt="" />,
    })),
    ...skin.papers.map((one) => ({
      value: own(one.id),
      words: one.name,
      picture: <img src={`/api/buildings/${state.id}/pictures/${one.sha256}.jpg`} alt="" loading="lazy" />,
    })),
  ];
  const choose = (value: string) => {
    const mine = skin.papers.find((one) => own(one.id) === value);
    const edits: Edit[] =
      mine !== undefined
        ? [{ op: 'set', path: `${path}.paper`, value: mine.id }]
        : [
            { op: 'set', path: `${path}.finish`, value },
            ...(paper === '' ? [] : [{ op: 'set' as const, path: `${path}.paper`, value: null }]),
          ];
    save(edits);
  };
  return (
    <>
      <PictureChoice
        label={title}
        path={`${path}.finish`}
        choices={choices}
        value={paper === '' ? chosen : own(paper)}
        onChoose={choose}
        large
      />
      {paper !== '' && (
        <SelectField
          label="Its courses are those of"
          path={`${path}.finish`}
          value={chosen}
          choices={drawn.map((one) => [one.key, one.words] as const)}
          onChange={(value) => save([{ op: 'set', path: `${path}.finish`, value }])}
        />
      )}
      {(skin.palettes.length > 0 || palette !== '') && paper === '' && (
        <SelectField
          label="In the colours"
          path={`${path}.palette`}
          value={palette}
          choices={[['', 'its own'] as const, ...skin.palettes.map((one) => [one.id, one.name] as const)]}
          onChange={(value) => save([{ op: 'set', path: `${path}.palette`, value: value === '' ? null : value }])}
        />
      )}
    </>
  );
}
