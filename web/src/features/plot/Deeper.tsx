import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { sightOptions } from '../../api/options';
import type { Perspective } from '../../api/types';
import { SightPicture } from './SightPicture';
import { textAt, useBuilding } from '../../document/context';

/** What is built shallower than it looks: blocks that recede to one point, and the insides of openings. */
export function Deeper() {
  const { state, save } = useBuilding();
  const [side, setSide] = useState<'plan' | 'section'>('plan');
  const hasEye = textAt(state.document, 'plot.eye.distance') !== '';
  const sight = useQuery({ ...sightOptions(state.id, state.derived_from ?? 0), enabled: hasEye });
  if (!hasEye) {
    return (
      <>
        <p>
          A row of houses, a street or the inside of a subway can be built in a few millimetres and look deep, to one
          eye. Say where that is.
        </p>
        <Button
          onClick={() =>
            save([
              ...(state.document.plot === undefined ? [{ op: 'add-plot' } as const] : []),
              { op: 'set', path: 'plot.eye', value: { distance: '600mm', height: '150mm', travel: '100mm' } },
            ])
          }
        >
          Say where it is seen from
        </Button>
      </>
    );
  }
  if (sight.isPending) return <p role="status">Looking at it from there …</p>;
  if (sight.isError)
    return (
      <p className="text-danger" role="alert">
        {sight.error.message}
      </p>
    );
  const { perspectives, view } = sight.data;
  if (perspectives.length === 0) {
    return (
      <p className="mb-0">
        Everything is as deep as it is. Beside this, say how deep the blocks, or the inside of an archway, may truly be:
        walls, roofs, courses, windows and papers then run towards one point, and look as deep as before from the eye.
        It holds for a low eye that stands before it, or for a camera.
      </p>
    );
  }
  return (
    <>
      {view !== null && perspectives.some((one) => one.path === 'perspective') && (
        <>
          <div className="walls-nav mb-1" role="group" aria-label="Drawn">
            {(['plan', 'section'] as const).map((name) => (
              <button key={name} type="button" aria-pressed={side === name} onClick={() => setSide(name)}>
                in {name}
              </button>
            ))}
          </div>
          <SightPicture
            picture={{ ...view[side], lines: view[side].lines.filter((line) => line.key === 'vanish') }}
            chosen="vanish"
            title={`How it recedes, in ${side}`}
            named
            near
          />
        </>
      )}
      {perspectives.map((one) => (
        <Receding key={one.path} one={one} />
      ))}
      <p className="quiet mb-0">
        <Link to={`/buildings/${state.id}/stand`}>Stand it up</Link> and look at it from the eye.
      </p>
    </>
  );
}

function Receding({ one }: { one: Perspective }) {
  return (
    <section aria-label={one.name}>
      <h3 className="mt-3">{one.name}</h3>
      <ul>
        {one.texts.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <div className="side-by-side">
        {one.pieces.length > 0 && (
          <table className="table table-sm scales">
            <thead>
              <tr>
                <th scope="col">piece</th>
                <th scope="col">front</th>
                <th scope="col">back</th>
                <th scope="col">sides</th>
              </tr>
            </thead>
            <tbody>
              {one.pieces.map((piece) => (
                <tr key={piece.label}>
                  <th scope="row">
                    {piece.label}, {piece.name.toLowerCase()}
                  </th>
                  <td>{piece.front_mm.toFixed(2)}</td>
                  <td>{piece.back_mm.toFixed(2)}</td>
                  <td>
                    {piece.long_mm.toFixed(2)}, {piece.other_mm.toFixed(2)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <table className="table table-sm scales">
          <thead>
            <tr>
              <th scope="col">looks</th>
              <th scope="col">stands at</th>
              <th scope="col">as large as</th>
            </tr>
          </thead>
          <tbody>
            {one.depths.map((row) => (
              <tr key={row.apparent_mm}>
                <th scope="row">{row.apparent_mm.toFixed(1)} mm deep</th>
                <td>{row.true_mm.toFixed(2)} mm</td>
                <td>{(row.scale * 100).toFixed(1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** The blocks of the document by id and name. */
function blocksOf(document: unknown): (readonly [string, string])[] {
  const blocks = (document as { blocks?: unknown }).blocks;
  return (Array.isArray(blocks) ? blocks : []).map((block, i) => {
    const id = textAt(block, 'id') || `block-${i + 1}`;
    return [id, textAt(block, 'name') || id] as const;
  });
}

/** Which blocks recede. */
export function RecedingBlocks() {
  const { state, save } = useBuilding();
  const blocks = blocksOf(state.document);
  const said = (state.document.perspective as { blocks?: unknown } | undefined)?.blocks;
  const chosen = Array.isArray(said) ? said.map(String) : blocks.map(([id]) => id);
  if (blocks.length < 2) return null;
  return (
    <fieldset className="mb-2">
      <legend className="fs-6 fw-semibold mb-1">Recede</legend>
      {blocks.map(([id, name]) => (
        <Form.Check
          key={id}
          id={`recedes-${id}`}
          label={name}
          checked={chosen.includes(id)}
          // One at least, or there is nothing to recede.
          disabled={chosen.length === 1 && chosen[0] === id}
          onChange={() => {
            const next = blocks.map(([one]) => one).filter((one) => (one === id) !== chosen.includes(one));
            save([{ op: 'set', path: 'perspective.blocks', value: next.length === blocks.length ? null : next }]);
          }}
        />
      ))}
    </fieldset>
  );
}
