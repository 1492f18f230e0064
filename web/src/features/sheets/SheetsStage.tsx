import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import ButtonGroup from 'react-bootstrap/ButtonGroup';
import Dropdown from 'react-bootstrap/Dropdown';
import { Link, useSearchParams } from 'react-router';
import { v4 as newId } from 'uuid';
import { api } from '../../api/client';
import { buildingOptions, madeOptions } from '../../api/options';
import type { LaidSheets, Made, Part, Sheet } from '../../api/types';
import { useSearched } from '../../ui/searched';
import { Empty } from '../../ui/States';
import { useBuilding, useStockName } from '../../document/context';
import { useSheets } from '../../document/sheets';
import { CutterView } from './CutterView';
import { MockupPanel } from './MockupPanel';
import { PaperFigures } from './PaperFigures';

const FILES = [
  ['marking-out.pdf', 'Marking-out pages'],
  ['templates.pdf', 'Templates of openings'],
  ['sheets.dxf', 'Sheets as DXF'],
  ['cutlist.csv', 'Cut list as CSV'],
  ['model.obj', 'Model as OBJ'],
  ['kit.json', 'Kit'],
  ['document', 'Building'],
] as const;

/** What is printed or cut on what, in what order? */
export function SheetsStage() {
  const { state, derived } = useBuilding();
  const queries = useQueryClient();
  const named = useSearchParams()[0].get('sheet');
  const [cutting, setCutting] = useState<string | null>(null);
  const laid = useSheets();
  const print = useMutation({
    mutationFn: (sheets: string[]) =>
      api.post<Made>(`buildings/${state.id}/prints`, {
        client_id: newId(),
        sheets,
        packing: laid?.packing ?? 'quick',
      }),
    onSuccess: (made) => {
      queries.setQueryData(madeOptions(state.id).queryKey, made);
      void queries.invalidateQueries({ queryKey: buildingOptions(state.id).queryKey, exact: true });
    },
  });
  if (derived === null || laid === null) {
    return (
      <Empty title="No sheets yet">
        <p>They are laid out as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  const isSound = state.faults.length === 0;
  return (
    <>
      <section className="sheet" aria-label="Pages">
        <Downloads isSound={isSound} />
        {derived.kit.checks
          .filter(({ code }) => code === 'part.too-large' || code.startsWith('template.'))
          .map(({ at, text }) => (
            <p key={at} className="text-danger">
              {text}
            </p>
          ))}
        {laid.missing.map((text) => (
          <p key={text} role="alert" className="text-danger">
            Nothing can be printed: {text}.
          </p>
        ))}
        <Laid laid={laid} />
        <p className="quiet">
          Print at 100 %, then lay a steel rule on both rules: they must measure 100 mm. Knives slip: a sharp blade, a
          safety rule, the other hand behind the cut.
        </p>
        {cutting !== null && isSound && (
          <CutterView key={cutting} sheet={cutting} packing={laid.packing} close={() => setCutting(null)} />
        )}
        {print.isError && (
          <p role="alert" className="text-danger">
            {print.error.message}
          </p>
        )}
        {print.isSuccess && (
          <p role="status" className="remark">
            Marked. <Link to={`/buildings/${state.id}/bench`}>What is made</Link> shows it from now on.
          </p>
        )}
        {isSound && (
          <div className="pages">
            {laid.sheets.map((sheet) => (
              <Page
                key={sheet.id}
                sheet={sheet}
                packing={laid.packing}
                isChosen={sheet.id === named}
                isBusy={print.isPending}
                onCut={() => setCutting(sheet.id)}
                onPrinted={() => print.mutate([sheet.id])}
              />
            ))}
          </div>
        )}
        <PartsTable parts={derived.kit.parts} />
        {isSound && <MockupPanel />}
      </section>
      <PaperFigures stocks={derived.view.stocks} isSound={isSound} />
    </>
  );
}

/** How well they are packed. */
function Laid({ laid }: { laid: LaidSheets }) {
  const pages = (count: number) => (count === 1 ? 'one page' : `${count} pages`);
  return (
    <p role="status">
      {pages(laid.sheets.length)}, {laid.percent.toFixed(0)} % of them parts; by the parts’ areas there are no fewer
      than {laid.bound === 1 ? 'one' : laid.bound}.{laid.looking ? ' Looking for a tighter packing …' : ''}
    </p>
  );
}

/** One block or wall alone, for an evening of its own. */
function Only() {
  const { state, derived } = useBuilding();
  const base = `/api/buildings/${state.id}/sheets.pdf`;
  const parts = derived?.kit.parts ?? [];
  return (
    <Dropdown as={ButtonGroup}>
      <Dropdown.Toggle variant="outline-secondary" id="only-some">
        Only some of it
      </Dropdown.Toggle>
      <Dropdown.Menu className="only-some">
        {(derived?.view.plan.blocks ?? []).map(({ id, name }) => {
          const walls = parts
            .filter(({ of }) => of.block === id && of.edge !== null && of.layer === 'core')
            .map(({ of }) => of.edge);
          return [
            <Dropdown.Item key={id} href={`${base}?of=${id}`} download>
              All of {name}
            </Dropdown.Item>,
            ...[...new Set(walls)].map((edge) => (
              <Dropdown.Item key={`${id}.${edge}`} href={`${base}?of=${id}.${edge}`} download>
                {name}, {edge}
              </Dropdown.Item>
            )),
          ];
        })}
        <Dropdown.Item href={`${base}?only=trial`} download>
          A trial in packet card, outlines only
        </Dropdown.Item>
        {state.made !== null && (
          <Dropdown.Item href={`${base}?only=stale`} download>
            Stale pieces
          </Dropdown.Item>
        )}
      </Dropdown.Menu>
    </Dropdown>
  );
}

function Downloads({ isSound }: { isSound: boolean }) {
  const { state } = useBuilding();
  const base = `/api/buildings/${state.id}`;
  return (
    <div className="d-flex flex-wrap justify-content-between gap-2 mb-2">
      <h2>Pages as they print</h2>
      {isSound ? (
        <div className="tools">
          <a className="btn btn-primary" href={`${base}/sheets.pdf`} download>
            Download the PDF, 1:1
          </a>
          <Only />
          <Dropdown as={ButtonGroup}>
            <Dropdown.Toggle variant="outline-secondary" id="other-files">
              Other files
            </Dropdown.Toggle>
            <Dropdown.Menu>
              {FILES.map(([file, words]) => (
                <Dropdown.Item key={file} href={`${base}/${file}`} download>
                  {words}
                </Dropdown.Item>
              ))}
            </Dropdown.Menu>
          </Dropdown>
        </div>
      ) : (
        <p className="text-danger">There are faults to put right before anything is printed.</p>
      )}
    </div>
  );
}

interface PageProps {
  sheet: Sheet;
  packing: LaidSheets['packing'];
  isChosen: boolean;
  isBusy: boolean;
  onCut: () => void;
  onPrinted: () => void;
}

/** One page as it prints, and what can be done with it. */
function Page({ sheet, packing, isChosen, isBusy, onCut, onPrinted }: PageProps) {
  const { state } = useBuilding();
  const base = `/api/buildings/${state.id}`;
  const r = state.derived_from ?? 0;
  const stockName = useStockName();
  const stocks = sheet.frames.map((frame) => stockName(frame.stock)).join(', ');
  return (
    <figure className={isChosen ? 'chosen' : undefined}>
      <a href={`${base}/sheets/${sheet.id}.svg?r=${r}&packing=${packing}`} target="_blank" rel="noreferrer">
        <img
          src={`${base}/sheets/${sheet.id}.svg?r=${r}&screen=1&packing=${packing}`}
          alt={`Sheet ${sheet.id}: ${sheet.parts.length} parts on ${stocks}`}
          width={sheet.size[0]}
          height={sheet.size[1]}
          loading="lazy"
        />
      </a>
      <figcaption>
        Sheet {sheet.id}, {stocks}
        {sheet.mirrored ? ', mirrored for the back' : ''}
        {sheet.printed ? ', printed: what is still good of it' : ''} ·{' '}
        <a href={`${base}/sheets/${sheet.id}.svg?download=1&packing=${packing}`}>SVG</a> ·{' '}
        <a href={`${base}/sheets/${sheet.id}.plt?packing=${packing}`} download>
          Plotter
        </a>
        <div className="tools">
          <Button size="sm" variant="outline-secondary" onClick={onCut}>
            Watch it cut
          </Button>
          <Button size="sm" variant="outline-secondary" disabled={isBusy} onClick={onPrinted}>
            Mark as printed
          </Button>
        </div>
      </figcaption>
    </figure>
  );
}

function PartsTable({ parts }: { parts: Part[] }) {
  const { state } = useBuilding();
  const stockName = useStockName();
  const { shown, search, more } = useSearched(parts, ({ label, name }) => `${label} ${name}`, 'parts');
  return (
    <>
      <h3 className="mt-3">Parts</h3>
      {search}
      <div className="table-responsive">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">label</th>
              <th scope="col">part</th>
              <th scope="col">stock</th>
              <th scope="col" className="text-end">
                pieces
              </th>
              <th scope="col">alike</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((part) => (
              <tr key={part.id}>
                <td>
                  <Link to={`/buildings/${state.id}/stand?part=${part.id}`}>{part.label}</Link>
                </td>
                <td>{part.name}</td>
                <td>{stockName(part.stock)}</td>
                <td className="text-end">{part.qty}</td>
                <td>{part.like ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {more}
    </>
  );
}
