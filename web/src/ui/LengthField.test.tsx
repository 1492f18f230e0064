import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BuildingState } from '../api/types';
import { buildingOf, showIn, faultAt } from '../testing/building';
import { LengthField } from './LengthField';

const PATH = 'blocks.0.eaves';

function show(faults: BuildingState['faults'] = []) {
  const { save } = showIn(buildingOf({ faults }), <LengthField label="eaves" path={PATH} value="9ft 6in" />);
  return { save, field: screen.getByLabelText('eaves') };
}

let asked: string[][] = [];

beforeEach(() => {
  asked = [];
  vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
    const { lengths } = JSON.parse(typeof init.body === 'string' ? init.body : '{}') as { lengths: { text: string }[] };
    const readings = lengths.map(({ text }) =>
      /^\d+$/.test(text)
        ? { size: null, fault: `“${text}” has no unit`, asks: null, offers: [`${text}ft`, `${text}in`] }
        : {
            size: { real_mm: 1, model_mm: 38, imperial: text, metric: '', model: '38.00 mm' },
            fault: null,
            asks: null,
            offers: [],
          },
    );
    asked.push(lengths.map(({ text }) => text));
    return Promise.resolve(new Response(JSON.stringify({ readings }), { status: 200 }));
  });
});

describe('a length field', () => {
  it('shows the model’s size beside the real one', async () => {
    show();
    expect(await screen.findByText('38.00 mm')).toBeInTheDocument();
  });

  it('saves what was typed, as it was typed, when it is left', async () => {
    const { save, field } = show();
    fireEvent.change(field, { target: { value: '10ft' } });
    fireEvent.blur(field);
    await waitFor(() => expect(save).toHaveBeenCalledWith([{ op: 'set', path: PATH, value: '10ft' }]));
    expect(sessionStorage.length).toBe(0);
  });

  it('offers what a bare figure may mean, and saves what is pressed', async () => {
    const { save, field } = show();
    fireEvent.change(field, { target: { value: '9' } });
    fireEvent.click(await screen.findByRole('button', { name: '9in' }));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: PATH, value: '9in' }]);
    expect(sessionStorage.length).toBe(0);
  });

  it('keeps what cannot be read, with its fault, and saves nothing', async () => {
    const { save, field } = show();
    fireEvent.change(field, { target: { value: '10' } });
    fireEvent.blur(field);
    expect(await screen.findByRole('alert')).toHaveTextContent('“10” has no unit');
    expect(field).toHaveValue('10');
    expect(field).toHaveAttribute('aria-invalid', 'true');
    expect(sessionStorage.getItem(`draft:b:${PATH}`)).toBe('10');
    expect(save).not.toHaveBeenCalled();
  });

  it('brings a kept draft back, and Escape lets go of it', async () => {
    sessionStorage.setItem(`draft:b:${PATH}`, '11');
    const { field } = show();
    expect(field).toHaveValue('11');
    fireEvent.keyDown(field, { key: 'Escape' });
    await waitFor(() => expect(field).toHaveValue('9ft 6in'));
    expect(sessionStorage.length).toBe(0);
  });

  it('shows the fault that is stored with the revision', async () => {
    show([faultAt(PATH, 'stands below the base')]);
    expect(await screen.findByRole('alert')).toHaveTextContent('stands below the base');
  });

  it('asks once for all lengths of a screen, and not again for what it knows', async () => {
    const fields = ['9ft', '10ft', '9ft'].map((value, i) => (
      <LengthField key={i} label={`length ${i}`} path={`lengths.${i}`} value={value} />
    ));
    showIn(buildingOf(), <>{fields}</>);
    await waitFor(() => expect(screen.getAllByText('38.00 mm')).toHaveLength(3));
    expect(asked).toEqual([['9ft', '10ft']]);
  });

  it('keeps and passes on what no server can read now', async () => {
    const { save, field } = show();
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('gone')));
    fireEvent.change(field, { target: { value: '11ft' } });
    fireEvent.blur(field);
    await waitFor(() => expect(save).toHaveBeenCalledWith([{ op: 'set', path: PATH, value: '11ft' }]));
  });
});
