import { useQuery } from '@tanstack/react-query';
import { type CSSProperties, type ReactNode, useState } from 'react';
import { api } from '../../api/client';
import type { View } from '../../api/types';
import { useBuilding } from '../../document/context';
import { SelectField } from '../../ui/SelectField';
import { Swatch } from './Swatch';

type Skin = View['skin'];

interface Seen {
  distance: number;
  least_mm: number;
  words: string;
}

interface Look {
  covering: string;
  paper: string;
  palette: string;
}

/** A camera on the layout, and a hand at the bench. */
const LENS_MM = 200;
const BENCH_MM = 300;

/** Two coverings side by side, near or as they are seen from the layout’s front, beside a tone that stands there already. */
export function Compare({ skin, first, children }: { skin: Skin; first: string; children: ReactNode }) {
  const { state } = useBuilding();
  const [looks, setLooks] = useState<[Look, Look]>([
    { covering: first, paper: '', palette: '' },
    { covering: 'stone-coursed', paper: '', palette: '' },
  ]);
  const [distance, setDistance] = useState(0);
  const [beside, setBeside] = useState('');
  const seen = useQuery({
    queryKey: ['seen', state.id, state.derived_from, distance],
    queryFn: async () => (await api.get<{ seen: Seen }>(`buildings/${state.id}/seen?distance=${distance}`)).seen,
    enabled: distance > 0,
  });
  const put = (at: 0 | 1, more: Partial<Look>) =>
    setLooks(([a, b]) => (at === 0 ? [{ ...a, ...more }, b] : [a, { ...b, ...more }]));
  const from = [
    ['0', 'as near as it is drawn'],
    [String(skin.eye), `from where you stand, ${skin.eye} mm`],
    [String(LENS_MM), `through a lens, ${LENS_MM} mm`],
    [String(BENCH_MM), `at the bench, ${BENCH_MM} mm`],
  ] as const;
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>Two coverings</h2>
          {children}
        </div>
        <div className="compared" style={{ '--least': distance > 0 ? (seen.data?.least_mm ?? 0) : 0 } as CSSProperties}>
          {looks.map((look, i) => (
            <figure key={i}>
              <Swatch
                covering={look.covering}
                {...(look.paper === '' ? {} : { paper: look.paper })}
                {...(look.palette === '' ? {} : { palette: look.palette })}
                alt={skin.coverings.find((one) => one.key === look.covering)?.words ?? ''}
              />
            </figure>
          ))}
          {beside !== '' && (
            <div className="beside" style={{ background: beside }} role="img" aria-label="the tone beside" />
          )}
        </div>
        {distance > 0 && seen.data !== undefined && <p>{seen.data.words}</p>}
        {seen.isError && <p role="alert">What is seen from there could not be worked out. {seen.error.message}</p>}
      </section>
      <aside className="sheet" aria-label="Figures">
        <h2>Compared</h2>
        {([0, 1] as const).map((i) => (
          <LookFields key={i} title={i === 0 ? 'left' : 'right'} look={looks[i]} skin={skin} onPut={(m) => put(i, m)} />
        ))}
        <SelectField label="seen" value={String(distance)} choices={from} onChange={(v) => setDistance(Number(v))} />
        <div className="field-row">
          <label htmlFor="beside">beside the tone</label>
          <input
            id="beside"
            type="color"
            className="form-control form-control-color"
            value={beside === '' ? skin.brick : beside}
            onChange={(event) => setBeside(event.target.value)}
          />
        </div>
        <p className="quiet">
          The tone of a neighbour, of a backscene, of whatever stands there already. Screens and printers differ: print
          a piece of each covering before you choose.
        </p>
        <a className="btn btn-outline-primary btn-sm" href={`/api/buildings/${state.id}/coverings.pdf`} download>
          Print a piece of each
        </a>
      </aside>
    </>
  );
}

interface FieldsProps {
  title: string;
  look: Look;
  skin: Skin;
  onPut: (more: Partial<Look>) => void;
}

function LookFields({ title, look, skin, onPut }: FieldsProps) {
  const named = (all: readonly { id: string; name: string }[]) => [
    ['', 'none'] as const,
    ...all.map((one) => [one.id, one.name] as const),
  ];
  return (
    <>
      <SelectField
        label={`on the ${title}`}
        value={look.covering}
        choices={skin.coverings.map((one) => [one.key, one.words] as const)}
        onChange={(covering) => onPut({ covering })}
      />
      {skin.papers.length > 0 && (
        <SelectField
          label="in the paper"
          value={look.paper}
          choices={named(skin.papers)}
          onChange={(paper) => onPut({ paper })}
        />
      )}
      {skin.palettes.length > 0 && (
        <SelectField
          label="in the colours"
          value={look.palette}
          choices={named(skin.palettes)}
          onChange={(palette) => onPut({ palette })}
        />
      )}
    </>
  );
}
