import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { perspectiveOptions } from '../../api/options';
import { textAt, useBuilding } from '../building/context';

const FIELDS = [
  ['depth', 'true depth', '50mm'],
  ['apparent', 'is to look', '150mm'],
  ['width', 'mouth, wide', '30mm'],
  ['height', 'mouth, high', '28mm'],
  ['axis', 'eye’s axis above its floor', '14mm'],
] as const;

/** The inside of a doorway or a subway that looks deeper than it is. */
export function ForcedPerspective() {
  const { state } = useBuilding();
  const id = useId();
  const distance = textAt(state.document, 'plot.eye.distance');
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [asked, setAsked] = useState<Record<string, string> | null>(null);
  const answer = useQuery({
    ...perspectiveOptions(state.id, state.derived_from ?? 0, asked ?? {}),
    enabled: asked !== null,
  });
  return (
    <section aria-label="Forced perspective">
      <h3 className="mt-3">A depth that looks deeper than it is</h3>
      <form
        className="tools mb-2"
        onSubmit={(event) => {
          event.preventDefault();
          setAsked({ distance, ...Object.fromEntries(FIELDS.map(([key, , usual]) => [key, typed[key] ?? usual])) });
        }}
      >
        {FIELDS.map(([key, label, usual]) => (
          <span key={key}>
            <Form.Label htmlFor={`${id}-${key}`} className="mb-0">
              {label}
            </Form.Label>
            <Form.Control
              id={`${id}-${key}`}
              size="sm"
              className="short"
              value={typed[key] ?? usual}
              onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            />
          </span>
        ))}
        <Button type="submit" size="sm" variant="outline-primary">
          Work it out
        </Button>
      </form>
      {answer.isError && (
        <p className="text-danger" role="alert">
          {answer.error.message}
        </p>
      )}
      {answer.data !== undefined && (
        <>
          <ul>
            {answer.data.texts.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <div className="side-by-side">
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
                {answer.data.pieces.map((piece) => (
                  <tr key={piece.name}>
                    <th scope="row">{piece.name}</th>
                    <td>{piece.front_mm.toFixed(2)}</td>
                    <td>{piece.back_mm.toFixed(2)}</td>
                    <td>
                      {piece.long_mm.toFixed(2)}, {piece.other_mm.toFixed(2)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <table className="table table-sm scales">
              <thead>
                <tr>
                  <th scope="col">looks</th>
                  <th scope="col">stands at</th>
                  <th scope="col">as large as</th>
                </tr>
              </thead>
              <tbody>
                {answer.data.depths.map((row) => (
                  <tr key={row.apparent_mm}>
                    <th scope="row">{row.apparent_mm.toFixed(1)} mm deep</th>
                    <td>{row.true_mm.toFixed(2)} mm</td>
                    <td>{(row.scale * 100).toFixed(1)} %</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
    </section>
  );
}
