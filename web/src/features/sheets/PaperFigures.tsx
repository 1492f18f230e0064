import type { Edit, StockView } from '../../api/types';
import { textAt, useBuilding } from '../../document/context';
import { today } from '../../ui/dates';
import { Entries } from '../../ui/Entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { StockField } from '../../document/StockField';
import { TrialPrint } from './TrialPrint';

/** A size of one's own begins as A4, to be changed. */
function paperEdits(value: string): Edit[] {
  const paper: Edit = { op: 'set', path: 'sheets.paper', value };
  return value === 'own'
    ? [{ op: 'set', path: 'sheets.width', value: '210mm' }, { op: 'set', path: 'sheets.height', value: '297mm' }, paper]
    : [paper];
}

/** The paper and its printer, and how thick the card really is. */
export function PaperFigures({ stocks, isSound }: { stocks: StockView[]; isSound: boolean }) {
  const { state, save } = useBuilding();
  const text = (path: string) => textAt(state.document, path);
  return (
    <aside className="sheet" aria-label="Figures">
      <h2>Paper</h2>
      <SelectField
        label="pages"
        path="sheets.paper"
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
          path="sheets.landscape"
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
      <SelectField
        label="in order"
        path="sheets.order"
        value={text('sheets.order') || 'stock'}
        choices={[
          ['stock', 'by stock'],
          ['block', 'block after block'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'sheets.order', value }])}
      />
      <SelectField
        label="spares of tiny parts"
        path="sheets.spares"
        value={text('sheets.spares') === 'true' ? 'one' : 'none'}
        choices={[
          ['none', 'none'],
          ['one', 'one of each'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'sheets.spares', value: value === 'one' }])}
      />
      <h3 className="mt-3">The proving rules measured</h3>
      <p className="quiet">
        Type what a steel rule reads along each printed 100 mm; the pages are corrected by it. Print and measure again.
      </p>
      <LengthField label="across" path="sheets.proof.x" value={text('sheets.proof.x') || '100mm'} world="model" plain />
      <LengthField label="along" path="sheets.proof.y" value={text('sheets.proof.y') || '100mm'} world="model" plain />
      {isSound && <TrialPrint />}
      <h3 className="mt-3">Templates that come out wrong</h3>
      <p className="quiet">
        One part’s template too long or too short? Correct the printed sheet here; the part itself stays as it is.
      </p>
      <Corrections />
      <h3 className="mt-3">Thickness as measured</h3>
      <p className="quiet">Best from a pile of ten. Every corner depends on it.</p>
      {stocks.map((stock) => (
        <StockField key={stock.id} stock={stock} />
      ))}
    </aside>
  );
}

/** What is printed otherwise than it is, part by part. */
function Corrections() {
  const { derived } = useBuilding();
  const parts = derived?.kit.parts ?? [];
  const named = new Map(parts.map((part) => [part.id, `${part.label}, ${part.name}`] as const));
  return (
    <Entries
      title="Corrected"
      path="sheets.corrections"
      add="Correct a template"
      named={(entry) => named.get(textAt(entry, 'part')) ?? 'A part that is gone'}
      fresh={(others) => ({
        part: parts.find((part) => !others.some((one) => one.part === part.id))?.id ?? '',
        side: 'right',
        by: '0.2mm',
        reason: 'came out short',
        date: today(),
      })}
      fields={[
        { key: 'part', label: 'part', what: 'choice', choices: [...named] },
        {
          key: 'side',
          label: 'at its',
          what: 'choice',
          choices: [
            ['left', 'left'],
            ['right', 'right'],
            ['top', 'top'],
            ['bottom', 'bottom'],
          ],
        },
        { key: 'by', label: 'farther out by', what: 'length', world: 'model', plain: true },
        { key: 'reason', label: 'why', what: 'text' },
        { key: 'date', label: 'on', what: 'text' },
      ]}
    />
  );
}
