import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { faultAt, showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { today } from '../../ui/dates';
import { SheetsStage } from './SheetsStage';

standInServer();

describe('Sheets', () => {
  it('lists parts, and shows each page with its own files', () => {
    showIn(hutState(), <SheetsStage />, hut());
    expect(screen.getByRole('link', { name: 'W1' })).toHaveAttribute('href', '/buildings/b/stand?part=main.front.core');
    expect(screen.getByAltText('Sheet 1: 1 parts on greyboard 1.05 mm')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Download the PDF, 1:1' })).toHaveAttribute(
      'href',
      '/api/buildings/b/sheets.pdf',
    );
  });

  it('changes the paper, and begins to measure a stock', () => {
    const { save } = showIn(hutState(), <SheetsStage />, hut());
    fireEvent.change(screen.getByLabelText('pages'), { target: { value: 'letter' } });
    const field = screen.getByLabelText('greyboard 1.05 mm');
    expect(field).toHaveValue('');
    // What is left as it is measures nothing.
    fireEvent.blur(field);
    fireEvent.change(field, { target: { value: '1.1mm' } });
    fireEvent.blur(field);
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { op: 'set', path: 'sheets.paper', value: 'letter' },
      { op: 'set', path: 'stock.greyboard-1', value: { kind: 'card', thickness: '1.1mm' } },
    ]);
  });

  it('corrects the template of one part, and another one next', () => {
    const first = { part: 'main.front.core', side: 'right', by: '0.2mm', reason: 'came out short', date: today() };
    const { save } = showIn(hutState(), <SheetsStage />, hut());
    fireEvent.click(screen.getByText('Correct a template'));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'sheets.corrections', value: [first] }]);
    const state = hutState();
    state.document.sheets = { corrections: [{ ...first, part: 'main.gone' }] };
    showIn(state, <SheetsStage />, hut());
    expect(screen.getByText('A part that is gone')).toBeInTheDocument();
  });

  it('says before anybody prints that a picture is not here', async () => {
    const derived = hut();
    const laid = { revision: 1, packing: 'quick', looking: false, bound: 1, percent: 50, stage: '', sheets: [] };
    const [docket] = derived.docket;
    const missing = ['the picture of the paper “Old wall” is not here'];
    vi.stubGlobal('fetch', (url: string) =>
      url.endsWith('/sheets')
        ? Promise.resolve(new Response(JSON.stringify({ ...laid, docket, missing })))
        : new Promise(() => undefined),
    );
    showIn(hutState(), <SheetsStage />, derived);
    expect(await screen.findByText(/Nothing can be printed: the picture of the paper “Old wall”/)).toBeInTheDocument();
  });

  it('says in red what is on no page', () => {
    const large = {
      code: 'part.too-large',
      level: 'stop' as const,
      at: 'main.front',
      text: 'W1 is on no page.',
      mm: 300,
    };
    const derived = hut();
    derived.kit.checks.push(large);
    showIn(hutState(), <SheetsStage />, derived);
    expect(screen.getByText('W1 is on no page.')).toHaveClass('text-danger');
  });

  it('asks for both sides of a page of one’s own, which begins as A4', () => {
    const { save } = showIn(hutState(), <SheetsStage />, hut());
    fireEvent.change(screen.getByLabelText('pages'), { target: { value: 'own' } });
    fireEvent.change(screen.getByLabelText('lying'), { target: { value: 'wide' } });
    expect(save.mock.calls.map(([edits]) => edits)).toEqual([
      [
        { op: 'set', path: 'sheets.width', value: '210mm' },
        { op: 'set', path: 'sheets.height', value: '297mm' },
        { op: 'set', path: 'sheets.paper', value: 'own' },
      ],
      [{ op: 'set', path: 'sheets.landscape', value: true }],
    ]);
  });

  it('prints nothing while there are faults', () => {
    const faults = [faultAt('blocks.0.eaves', 'too low')];
    showIn(hutState({ faults }), <SheetsStage />, hut());
    expect(screen.getByText('There are faults to put right before anything is printed.')).toBeInTheDocument();
    expect(screen.queryByRole('link', { name: 'Download the PDF, 1:1' })).toBeNull();
  });
});
