import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { faultAt, showIn, standInServer } from '../../testing/building';
import { frontWall, hut, hutState, openingAt, thingAt } from '../../testing/hut';
import { ShellStage } from './ShellStage';

standInServer();

describe('Shell', () => {
  it('adds an opening of a kind to the wall that is drawn', () => {
    const { save } = showIn(hutState(), <ShellStage />, hut());
    expect(screen.getAllByRole('heading', { name: 'Front, from outside' })).not.toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: 'Add sash' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-opening', wall: 'main.front', style: 'sash' }]);
  });

  it('chooses an opening, copies it, makes it a row, and takes it away', () => {
    const { save, container } = showIn(hutState(), <ShellStage />, hut());
    const mark = container.querySelector('[data-opening=w1]');
    expect(mark).not.toBeNull();
    if (mark !== null) fireEvent.pointerDown(mark);
    expect(screen.getByLabelText('from the left end')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Copy the sash' }));
    fireEvent.click(screen.getByRole('button', { name: 'One more in the row' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove the sash' }));
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { op: 'copy-opening', wall: 'main.front', id: 'w1' },
      { op: 'repeat-opening', wall: 'main.front', id: 'w1', count: 2 },
      { op: 'remove-opening', wall: 'main.front', id: 'w1' },
    ]);
  });

  it('lets a row in bays answer as one', () => {
    const row = (key: string, left: number) => ({
      ...openingAt(key, left),
      row: 'r1',
      path: 'blocks.0.walls.0.rows.0',
    });
    const derived = hut();
    derived.view.walls = [frontWall({ openings: [row('r1-1', 6), row('r1-2', 30)] })];
    const { save, gather, container } = showIn(hutState(), <ShellStage />, derived);
    const mark = container.querySelector('[data-opening=r1-2]');
    if (mark !== null) fireEvent.pointerDown(mark);
    expect(screen.getByRole('heading', { name: /sash.*a row of 2/ })).toBeInTheDocument();
    fireEvent.keyDown(screen.getByRole('application'), { key: 'ArrowLeft' });
    expect(gather).toHaveBeenCalledWith([{ op: 'move-opening', wall: 'main.front', id: 'r1', bricks: -1, courses: 0 }]);
    fireEvent.change(screen.getByLabelText('they stand'), { target: { value: 'margin' } });
    fireEvent.click(screen.getByRole('button', { name: 'Break into single ones' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove the row' }));
    expect(
      save.mock.calls.map(([edits]) => edits.map((edit) => ('how' in edit ? [edit.op, edit.how] : edit.op))),
    ).toEqual([[['stand-row', 'margin']], ['break-row'], ['remove-opening']]);
  });

  it('copies to another wall by Ctrl+C and Ctrl+V', () => {
    const derived = hut();
    derived.view.walls = [
      frontWall({ openings: [openingAt('w1', 10)] }),
      frontWall({ key: 'main.back', edge: 'back', title: 'Back, from outside', openings: [] }),
    ];
    const { save, container } = showIn(hutState(), <ShellStage />, derived);
    const mark = container.querySelector('[data-opening=w1]');
    if (mark !== null) fireEvent.pointerDown(mark);
    fireEvent.keyDown(window, { key: 'c', ctrlKey: true });
    fireEvent.click(screen.getByRole('button', { name: 'back' }));
    fireEvent.keyDown(window, { key: 'v', ctrlKey: true });
    expect(save).toHaveBeenCalledWith([{ op: 'copy-opening', wall: 'main.front', id: 'w1', to: 'main.back' }]);
  });

  it('adds a thing along the wall, over the chosen opening and the next, or at a corner', () => {
    const derived = hut();
    const end = { name: null, angle: '90°', kind: 'stopped', other: 'left', said: '' } as const;
    const ends = [
      { ...end, end: 'left', vertex: 0 },
      { ...end, end: 'right', vertex: 1 },
    ] as const;
    derived.view.walls = [frontWall({ openings: [openingAt('w1', 10), openingAt('w2', 40)], ends: [...ends] })];
    const { save, container } = showIn(hutState(), <ShellStage />, derived);
    const add = (words: string) => {
      fireEvent.click(screen.getByRole('button', { name: 'Add to the wall …' }));
      fireEvent.change(screen.getByLabelText('Find something to add'), { target: { value: words } });
      fireEvent.keyDown(screen.getByLabelText('Find something to add'), { key: 'Enter' });
    };
    add('band along');
    add('arch');
    add('quoin right');
    const mark = container.querySelector('[data-opening=w2]');
    if (mark !== null) fireEvent.pointerDown(mark);
    add('arch');
    const of = { op: 'add-thing', block: 'main' };
    const both = { edge: 'front', openings: ['w1', 'w2'] };
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { ...of, kind: 'band', on: { edge: 'front' } },
      { ...of, kind: 'arch', on: both },
      { ...of, kind: 'quoin', on: { anchor: 'corner', corner: 1 } },
      { ...of, kind: 'arch', on: both },
    ]);
  });

  it('chooses a thing, moves it, copies it, repeats it, and takes it away', () => {
    const derived = hut();
    derived.view.walls = [
      frontWall({ openings: [openingAt('w1', 10)], things: [thingAt('b1', 25)] }),
      frontWall({ key: 'main.back', edge: 'back', title: 'Back, from outside', openings: [] }),
    ];
    const { save, gather, container } = showIn(hutState(), <ShellStage />, derived);
    fireEvent.click(screen.getByRole('link', { name: 'band' }));
    expect(screen.getByRole('heading', { name: 'Band' })).toBeInTheDocument();
    expect(screen.getByLabelText('foot above base')).toBeInTheDocument();
    expect(container.querySelector('[data-thing=b1] path')).toHaveAttribute('stroke', 'var(--brick)');
    fireEvent.keyDown(screen.getByRole('application'), { key: 'ArrowUp' });
    expect(gather).toHaveBeenCalledWith([{ op: 'move-thing', block: 'main', id: 'b1', bricks: 0, courses: 1 }]);
    fireEvent.click(screen.getByRole('button', { name: 'Copy it' }));
    fireEvent.click(screen.getByRole('button', { name: 'Copy it to another wall' }));
    fireEvent.click(screen.getByRole('button', { name: 'to back, mirrored' }));
    fireEvent.click(screen.getByText('Repeat it up the wall'));
    fireEvent.change(screen.getByLabelText('in all'), { target: { value: '3' } });
    fireEvent.click(screen.getByRole('button', { name: 'Repeat' }));
    fireEvent.keyDown(screen.getByRole('application'), { key: 'Delete' });
    const of = { block: 'main', id: 'b1' };
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { op: 'copy-thing', ...of },
      { op: 'copy-thing', ...of, to: 'main.back', mirrored: true },
      { op: 'repeat-thing', ...of, count: 3, every: '3ft' },
      { op: 'remove-thing', ...of },
    ]);
  });

  it('dresses one opening otherwise than its kind, and as that again', () => {
    const { save, container } = showIn(hutState(), <ShellStage />, hut());
    const mark = container.querySelector('[data-opening=w1]');
    if (mark !== null) fireEvent.pointerDown(mark);
    fireEvent.click(screen.getByRole('button', { name: 'Dress it otherwise than its kind' }));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.walls.0.openings.0.dress', value: [] }]);
  });

  it('says over which openings a thing goes, two at the least', () => {
    const derived = hut();
    const arch = thingAt('a1', 31, { kind: 'arch', called: 'arch', anchor: 'openings', openings: ['w1', 'w2'] });
    derived.view.walls = [
      frontWall({ openings: [openingAt('w1', 4), openingAt('w2', 24), openingAt('w3', 48)], things: [arch] }),
    ];
    const { save } = showIn(hutState(), <ShellStage />, derived);
    fireEvent.click(screen.getByRole('link', { name: 'arch' }));
    const [first, , third] = screen.getAllByRole('checkbox');
    expect(first).toBeDisabled();
    if (third !== undefined) fireEvent.click(third);
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'blocks.0.features.0.on.openings', value: ['w1', 'w2', 'w3'] },
    ]);
  });

  it('draws a building that is wrong as it is described', () => {
    const wrong = hut().view;
    wrong.walls = [frontWall({ openings: [{ ...openingAt('w1', 66), clashes: true }] })];
    const state = hutState({ sketch: wrong, faults: [faultAt('blocks.0.walls.0.openings.0.from', 'past the end')] });
    const { container } = showIn(state, <ShellStage />, hut());
    expect(container.querySelectorAll('[data-opening]')).toHaveLength(1);
    expect(container.querySelector('[data-opening=w1] path')).toHaveAttribute('stroke', 'var(--signal)');
  });

  it('says so where nothing stands yet', () => {
    showIn(hutState({ derived: null }), <ShellStage />);
    expect(screen.getByText('Nothing to draw yet')).toBeInTheDocument();
  });
});
