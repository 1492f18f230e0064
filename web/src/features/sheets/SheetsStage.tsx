import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import ButtonGroup from 'react-bootstrap/ButtonGroup';
import Dropdown from 'react-bootstrap/Dropdown';
import { Link, useSearchParams } from 'react-router';
import { v4 as newId } from 'uuid';
import { api } from '../../api/client';
import { buildingOptions, madeOptions } from '../../api/options';
import type { Edit, Made, Part, Sheet, StockView } from '../../api/types';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { Empty } from '../../ui/States';
import { textAt, useBuilding } from '../../document/context';
import { CutterView } from './CutterView';
import { MockupPanel } from './MockupPanel';
import { TrialPrint } from './TrialPrint';

const FILES = [
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
  const print = useMutation({
    mutationFn: (sheets: string[]) => api.post<Made>(`buildings/${state.id}/prints`, { client_id: newId(), sheets }),
    onSuccess: (made) => {
      queries.setQueryData(madeOptions(state.id).queryKey, made);
      void queries.invalidateQueries({ queryKey: buildingOptions(state.id).queryKey, exact: true });
    },
  });
  if (derived === null) {
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
        <p className="quiet">
          Print at 100 %, then lay a steel rule on both rules: they must measure 100 mm. Knives slip: a sharp blade, a
          safety rule, the other hand behind the cut.
        </p>
        {cutting !== null && isSound && <CutterView key={cutting} sheet={cutting} close={() => setCutting(null)} />}
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
            {derived.kit.sheets.map((sheet) => (
              <Page
                key={sheet.id}
                sheet={sheet}
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
  isChosen: boolean;
  isBusy: boolean;
  onCut: () => void;
  onPrinted: () => void;
}

/** One page as it prints, and what can be done with it. */
function Page({ sheet, isChosen, isBusy, onCut, onPrinted }: PageProps) {
  const { state } = useBuilding();
  const base = `/api/buildings/${state.id}`;
  const r = state.derived_from ?? 0;
  return (
    <figure className={isChosen ? 'chosen' : undefined}>
      <a href={`${base}/sheets/${sheet.id}.svg?r=${r}`} target="_blank" rel="noreferrer">
        <img
          src={`${base}/sheets/${sheet.id}.svg?r=${r}&screen=1`}
          alt={`Sheet ${sheet.id}: ${sheet.parts.length} parts on ${sheet.stock}`}
          width={sheet.size[0]}
          height={sheet.size[1]}
          loading="lazy"
        />
      </a>
      <figcaption>
        Sheet {sheet.id}, {sheet.stock}
        {sheet.mirrored ? ', mirrored for the back' : ''} ·{' '}
        <a href={`${base}/sheets/${sheet.id}.svg?download=1`}>SVG</a> ·{' '}
        <a href={`${base}/sheets/${sheet.id}.plt`} download>
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
  return (
    <>
      <h3 className="mt-3">Parts</h3>
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
            {parts.map((part) => (
              <tr key={part.id}>
                <td>
                  <Link to={`/buildings/${state.id}/stand?part=${part.id}`}>{part.label}</Link>
                </td>
                <td>{part.name}</td>
                <td>{part.stock}</td>
                <td className="text-end">{part.qty}</td>
                <td>{part.like ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

/** A size of one's own begins as A4, to be changed. */
function paperEdits(value: string): Edit[] {
  const paper: Edit = { op: 'set', path: 'sheets.paper', value };
  return value === 'own'
    ? [{ op: 'set', path: 'sheets.width', value: '210mm' }, { op: 'set', path: 'sheets.height', value: '297mm' }, paper]
    : [paper];
}

/** The paper and its printer, and how thick the card really is. */
function PaperFigures({ stocks, isSound }: { stocks: StockView[]; isSound: boolean }) {
  const { state, save } = useBuilding();
  const text = (path: string) => textAt(state.document, path);
  return (
    <aside className="sheet" aria-label="Figures">
      <h2>Paper</h2>
      <SelectField
        label="pages"
        value={text('sheets.paper') || 'a4'}
        choices={[
          ['a5', 'A5'],
          ['a4', 'A4'],
          ['a3', 'A3'],
          ['letter', 'Letter'],
          ['legal', 'Legal'],
          ['tabloid', 'Tabloid'],
          ['own', 'a size of my own'],
        ]}
        onChange={(value) => save(paperEdits(value))}
      />
      {text('sheets.paper') === 'own' ? (
        <>
          <LengthField label="page width" path="sheets.width" value={text('sheets.width')} world="model" plain />
          <LengthField label="page height" path="sheets.height" value={text('sheets.height')} world="model" plain />
        </>
      ) : (
        <SelectField
          label="lying"
          value={text('sheets.landscape') === 'true' ? 'wide' : 'upright'}
          choices={[
            ['upright', 'upright'],
            ['wide', 'on its side'],
          ]}
          onChange={(value) => save([{ op: 'set', path: 'sheets.landscape', value: value === 'wide' }])}
        />
      )}
      <LengthField label="margin" path="sheets.margin" value={text('sheets.margin') || '8mm'} world="model" plain />
      <LengthField
        label="gap between parts"
        path="sheets.gap"
        value={text('sheets.gap') || '2mm'}
        world="model"
        plain
      />
      <h3 className="mt-3">The proving rules measured</h3>
      <p className="quiet">
        Type what a steel rule reads along each printed 100 mm; the pages are corrected by it. Print and measure again.
      </p>
      <LengthField label="across" path="sheets.proof.x" value={text('sheets.proof.x') || '100mm'} world="model" plain />
      <LengthField label="along" path="sheets.proof.y" value={text('sheets.proof.y') || '100mm'} world="model" plain />
      {isSound && <TrialPrint />}
      <h3 className="mt-3">Thickness as measured</h3>
      <p className="quiet">Best from a pile of ten. Every corner depends on it.</p>
      {stocks.map((stock) => (
        <StockField
          key={stock.id}
          id={stock.id}
          thickness={stock.thickness}
          measured={stock.measured}
          kind={stock.kind}
        />
      ))}
    </aside>
  );
}

function StockField({
  id,
  thickness,
  measured,
  kind,
}: {
  id: string;
  thickness: string;
  measured: boolean;
  kind: string;
}) {
  const { state, save } = useBuilding();
  const described = Object.keys((state.document.stock ?? {}) as object).includes(id);
  if (!described) {
    return (
      <div className="field-row">
        <span>{id}</span>
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => save([{ op: 'set', path: `stock.${keyOf(id)}`, value: { kind, thickness } }])}
        >
          {thickness}: measure
        </button>
        <span className="other">usual</span>
      </div>
    );
  }
  return <StockLength id={id} thickness={thickness} measured={measured} />;
}

function StockLength({ id, thickness, measured }: { id: string; thickness: string; measured: boolean }) {
  const { save } = useBuilding();
  return (
    <div className="field-row">
      <label htmlFor={`stock-${id}`}>{id}</label>
      <input
        id={`stock-${id}`}
        className="form-control"
        defaultValue={thickness}
        key={thickness}
        onBlur={(event) => {
          if (event.target.value !== thickness)
            save([{ op: 'set', path: `stock.${keyOf(id)}.thickness`, value: event.target.value }]);
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <span className="other">{measured ? 'measured' : 'usual'}</span>
    </div>
  );
}

/** Ids of stocks have points in them. */
function keyOf(id: string): string {
  return id.replaceAll('.', '~.');
}
