import type { Edit, StockView } from '../../api/types';
import { textAt, useBuilding } from '../../document/context';
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
      <h3 className="mt-3">Thickness as measured</h3>
      <p className="quiet">Best from a pile of ten. Every corner depends on it.</p>
      {stocks.map((stock) => (
        <StockField key={stock.id} stock={stock} />
      ))}
    </aside>
  );
}
