import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { SkinStage } from './SkinStage';

standInServer();

const SENT = { sha256: 'ab', pixels: [900, 600], mm_per_pixel: [0.1, 0.1], tone: '#806040' };

function withPaper() {
  const derived = hut();
  derived.view.skin.papers = [
    {
      id: 'p1',
      name: 'Old wall',
      path: 'papers.0',
      sha256: 'ab',
      size: '90.00 mm by 60.00 mm as it was scanned, 254 dots an inch',
      named: ['blocks.0.walls.0.paper'],
      uses: [{ words: 'the front wall of Hut', printed: 'printed at 95.24 %, 267 dots an inch' }],
    },
  ];
  return derived;
}

const own = () => fireEvent.click(screen.getByRole('button', { name: 'your own papers' }));

function answering(status: number, body: unknown) {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(body), { status })));
}

function choose(label: string) {
  fireEvent.change(screen.getByLabelText(label), { target: { files: [new File(['x'], 'Quay wall.png')] } });
}

describe('Papers of one’s own', () => {
  it('says what they are for where there is none, and takes one in under its name', async () => {
    const { save } = showIn(hutState(), <SkinStage />, hut());
    own();
    expect(screen.getByText(/Scan or photograph a paper/)).toBeInTheDocument();
    answering(201, { picture: SENT });
    choose('Picture of a paper of your own');
    await waitFor(() =>
      expect(save).toHaveBeenCalledWith([
        { op: 'set', path: 'papers.=p1', value: { id: 'p1', name: 'Quay wall', ...SENT } },
      ]),
    );
  });

  it('says why one is not taken in', async () => {
    const { save } = showIn(hutState(), <SkinStage />, hut());
    own();
    answering(422, { message: 'No.', problems: [{ path: 'picture', code: 'picture.none', text: 'it is no picture' }] });
    choose('Picture of a paper of your own');
    expect(await screen.findByRole('alert')).toHaveTextContent('Not taken in: it is no picture.');
    expect(save).not.toHaveBeenCalled();
  });

  it('says how one comes out, and takes it out wherever it is named', () => {
    const { save } = showIn(hutState(), <SkinStage />, withPaper());
    own();
    expect(screen.getByText(/printed at 95.24 %/)).toHaveTextContent('On the front wall of Hut');
    fireEvent.click(screen.getByRole('button', { name: 'Take this paper out' }));
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'blocks.0.walls.0.paper', value: null },
      { op: 'set', path: 'papers.0', value: null },
    ]);
  });

  it('says where its picture is gone, and takes another', async () => {
    const { save } = showIn(hutState(), <SkinStage />, withPaper());
    own();
    fireEvent.error(screen.getByAltText('Old wall, as it was scanned'));
    expect(screen.getByText(/is not here/)).toBeInTheDocument();
    answering(201, { picture: { ...SENT, sha256: 'cd' } });
    choose('Another picture of Old wall');
    await waitFor(() =>
      expect(save).toHaveBeenCalledWith(expect.arrayContaining([{ op: 'set', path: 'papers.0.sha256', value: 'cd' }])),
    );
    // It is looked for again, also where it is the same one.
    expect(screen.queryByText(/is not here/)).toBeNull();
  });

  it('covers a wall in one, and again in what is drawn', () => {
    const { save } = showIn(hutState(), <SkinStage />, withPaper());
    fireEvent.click(screen.getByLabelText('Old wall'));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.walls.0.paper', value: 'p1' }]);
    const state = hutState();
    state.document = { blocks: [{ walls: [{ edge: 'front', finish: 'brick-stretcher', paper: 'p1' }] }] };
    const worn = showIn(state, <SkinStage />, withPaper());
    expect(screen.getAllByLabelText('Old wall')[1]).toBeChecked();
    fireEvent.click(screen.getAllByLabelText('ashlar')[1] ?? document.body);
    expect(worn.save).toHaveBeenCalledWith([
      { op: 'set', path: 'blocks.0.walls.0.finish', value: 'stone-ashlar' },
      { op: 'set', path: 'blocks.0.walls.0.paper', value: null },
    ]);
    expect(screen.getByLabelText('Its courses are those of')).toHaveValue('brick-stretcher');
  });
});
