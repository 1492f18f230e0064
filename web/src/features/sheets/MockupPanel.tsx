import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { mockupOptions } from '../../api/options';
import { SelectField } from '../../ui/SelectField';
import { useBuilding } from '../../document/context';
import { RevisionNote } from '../../document/RevisionNote';

const SIZES = ['100', '75', '50', '33', '25'] as const;

/** The whole building as folded nets, to try in its place before any card is cut. */
export function MockupPanel() {
  const { state, derived } = useBuilding();
  const asked = derived?.kit.checks.find((check) => check.code === 'mockup.first');
  const [size, setSize] = useState<string>('50');
  const number = state.revision.number;
  const mockup = useQuery({ ...mockupOptions(state.id, number, size), placeholderData: keepPreviousData });
  const base = `/api/buildings/${state.id}/mockup`;
  const query = `r=${number}&size=${size}`;
  return (
    <section className="mt-4" aria-label="Mock-up">
      <div className="d-flex flex-wrap justify-content-between gap-2">
        <h2>Mock-up</h2>
        <div className="tools">
          <SelectField
            label="size"
            value={size}
            choices={SIZES.map((one) => [one, one === '100' ? 'the model’s own' : `${one} %`] as const)}
            onChange={setSize}
          />
          {mockup.isSuccess && (
            <a className="btn btn-outline-primary" href={`${base}.pdf?${query}`} download>
              Download the mock-up
            </a>
          )}
        </div>
      </div>
      <p className="quiet">
        Shells and roofs to cut from thin card or paper, fold and stick by their numbers, openings drawn on. Stand it in
        its place, then write down what you learnt.
      </p>
      {asked !== undefined && <p>{asked.text}</p>}
      {mockup.isError && (
        <p className="text-danger" role="alert">
          {mockup.error.message}
        </p>
      )}
      {mockup.isPending && <p role="status">Unfolding …</p>}
      {mockup.data !== undefined && !mockup.isError && (
        <>
          <div className="pages">
            {Array.from({ length: mockup.data.pages }, (_, i) => (
              <figure key={i}>
                <a href={`${base}/${i + 1}.svg?${query}`} target="_blank" rel="noreferrer">
                  <img src={`${base}/${i + 1}.svg?${query}`} alt={`Mock-up, page ${i + 1}`} loading="lazy" />
                </a>
                <figcaption>
                  Page {i + 1} of {mockup.data.pages}
                </figcaption>
              </figure>
            ))}
          </div>
          <details>
            <summary>{mockup.data.nets.length} pieces</summary>
            <ul>
              {mockup.data.nets.map((net, i) => (
                <li key={i}>
                  {net.name}: {net.faces} faces, {net.folds} folds, {net.tabs} tabs
                </li>
              ))}
            </ul>
          </details>
        </>
      )}
      <h3 className="mt-3">What you learnt from it</h3>
      <RevisionNote key={number} number={number} />
      <p className="quiet">
        It stays with revision {number}; <Link to={`/buildings/${state.id}/history`}>History</Link> lays what you
        changed afterwards beside it.
      </p>
    </section>
  );
}
