import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Found } from '../../api/types';
import { Finder } from './Finder';

const found: Found = {
  results: [
    { kind: 'length', text: '7ft 6in of the real thing is 30.00 mm at 1:76.2', copy: '30.00 mm' },
    { kind: 'part', text: 'W2, Front wall, core', to: { what: 'part', id: 'main.front.core', wall: 'main.front' } },
    { kind: 'part', text: 'R3, Ridge strip', to: { what: 'part', id: 'main.ridge.strip' } },
    { kind: 'verb', text: 'Undo the last change', to: { what: 'verb', id: 'undo' } },
  ],
  help: null,
};

function Where() {
  const { pathname, search } = useLocation();
  return <output>{pathname + search}</output>;
}

async function open(answer: Found = found) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', (url: string) => {
    asked.push(url);
    return Promise.resolve(new Response(JSON.stringify(answer)));
  });
  const onVerb = vi.fn(() => true);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={['/buildings/b7/shell']}>
        <Finder onVerb={onVerb} />
        <Where />
        <input aria-label="elsewhere" />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  fireEvent.keyDown(document.body, { key: '/' });
  const field = await screen.findByRole('combobox');
  fireEvent.change(field, { target: { value: 'x' } });
  if (answer.results.length > 0) await screen.findAllByRole('option');
  return { field, asked, onVerb };
}

afterEach(() => vi.unstubAllGlobals());

describe('the finder', () => {
  it('asks for the open building and shows what it is told', async () => {
    const { asked } = await open();
    expect(asked[asked.length - 1]).toBe('/api/buildings/b7/find?text=x');
    expect(screen.getAllByRole('option')).toHaveLength(4);
    expect(screen.getAllByRole('option')[0]).toHaveAttribute('aria-selected', 'true');
  });

  it('chooses with the arrows, round and round', async () => {
    const { field } = await open();
    fireEvent.keyDown(field, { key: 'ArrowUp' });
    expect(screen.getAllByRole('option')[3]).toHaveAttribute('aria-selected', 'true');
    fireEvent.keyDown(field, { key: 'ArrowDown' });
    fireEvent.keyDown(field, { key: 'ArrowDown' });
    expect(screen.getAllByRole('option')[1]).toHaveAttribute('aria-selected', 'true');
  });

  it.each([
    [1, '/buildings/b7/shell?wall=main.front&part=main.front.core'],
    [2, '/buildings/b7/stand?part=main.ridge.strip'],
  ])('goes to what is chosen (%i)', async (steps, address) => {
    const { field } = await open();
    for (let i = 0; i < steps; i++) fireEvent.keyDown(field, { key: 'ArrowDown' });
    fireEvent.keyDown(field, { key: 'Enter' });
    await waitFor(() => expect(screen.getByText(address)).toBeInTheDocument());
    expect(screen.queryByRole('combobox')).toBeNull();
  });

  it('does what is chosen', async () => {
    const { field, onVerb } = await open();
    fireEvent.keyDown(field, { key: 'ArrowUp' });
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(onVerb).toHaveBeenCalledWith('undo', 'b7');
  });

  it('copies a figure', async () => {
    const writeText = vi.fn(() => Promise.resolve());
    vi.stubGlobal('navigator', { clipboard: { writeText } });
    const { field } = await open();
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(writeText).toHaveBeenCalledWith('30.00 mm');
    expect(await screen.findByText('Copied 30.00 mm.')).toBeInTheDocument();
  });

  it('says how one writes it where nothing is understood', async () => {
    await open({ results: [], help: 'Write a length with its unit' });
    expect(await screen.findByText('Write a length with its unit')).toBeInTheDocument();
  });

  it('leaves its key to whoever is typing', () => {
    render(
      <QueryClientProvider client={new QueryClient()}>
        <MemoryRouter>
          <Finder onVerb={() => true} />
          <input aria-label="elsewhere" />
        </MemoryRouter>
      </QueryClientProvider>,
    );
    fireEvent.keyDown(screen.getByLabelText('elsewhere'), { key: '/' });
    expect(screen.queryByRole('combobox')).toBeNull();
  });
});
