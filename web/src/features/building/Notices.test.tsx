import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { buildingOf, faultAt, showIn } from '../../testing/building';
import { placeOf } from '../../document/places';
import { Faults } from './Notices';

describe('What is wrong with a building', () => {
  it('says where in names, leads there, and offers the ways out', () => {
    const undo = vi.fn();
    const cure = vi.fn();
    const edit = { op: 'set' as const, path: 'blocks.0.walls.0.openings.1.from', value: '12ft' };
    const fault = {
      ...faultAt('blocks.0.walls.0.openings.1.from', 'ends 1ft past the wall’s end'),
      cure: { words: 'Move it to 12ft', edit },
    };
    const state = buildingOf({ faults: [fault], history: { undo: 'window moved', redo: null } });
    const { container } = showIn(state, <Faults state={state} units="imperial" onUndo={undo} onCure={cure} />);
    expect(container).toHaveTextContent('Front, second window: ends 1ft past the wall’s end.');
    expect(container).not.toHaveTextContent('blocks.');
    expect(screen.getByRole('link', { name: 'Go to it: Front, second window' })).toHaveAttribute(
      'href',
      '/buildings/b/shell?wall=main.front&opening=w2',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Undo that' }));
    fireEvent.click(screen.getByRole('button', { name: 'Move it to 12ft' }));
    expect(undo).toHaveBeenCalledOnce();
    expect(cure).toHaveBeenCalledWith(fault);
  });

  it('leads to a block where it is of no wall, and shows six at first', () => {
    expect(placeOf('b', { stage: 'roof', block: 'wing', wall: null, opening: null })).toBe(
      '/buildings/b/roof?block=wing',
    );
    expect(placeOf('b', { stage: 'sheets', block: null, wall: null, opening: null })).toBe('/buildings/b/sheets');
    const faults = Array.from({ length: 8 }, (_, i) => faultAt(`blocks.${i}.eaves`, 'too low'));
    const state = buildingOf({ faults });
    showIn(state, <Faults state={state} units="metric" onUndo={vi.fn()} onCure={vi.fn()} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
    fireEvent.click(screen.getByRole('button', { name: '2 more' }));
    expect(screen.getAllByRole('listitem')).toHaveLength(8);
  });
});
