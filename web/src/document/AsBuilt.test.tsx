import { fireEvent, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Json } from '../api/types';
import { faultAt, showIn, standInServer } from '../testing/building';
import { hut, hutState } from '../testing/hut';
import { AsBuilt, builtAt } from './AsBuilt';

standInServer();

const front = () => {
  const edge = hut().view.plan.blocks[0]?.edges[0];
  if (edge === undefined) throw new Error('The hut has a front');
  return edge;
};

const measured = (built: { [key: string]: Json }): { [key: string]: Json } => ({
  scale: '1:76.2',
  blocks: [{ id: 'main', walls: [{ edge: 'back' }, { edge: 'front', built }], roof: { kind: 'hip' } }],
});

const fact = { measured: '71.4mm', reason: 'cut a hair short', date: '2026-11-29' };

describe('As built', () => {
  beforeEach(() => {
    sessionStorage.clear();
    vi.setSystemTime(new Date(2026, 10, 30, 9));
  });

  it('takes what was measured, why and on which day', () => {
    const { save } = showIn(hutState(), <AsBuilt edge={front()} of={['length', 'up']} />, hut());
    fireEvent.click(screen.getByRole('button', { name: /^panel, up to the ridge, 35.25/ }));
    expect(screen.getByLabelText('measured on the model')).toHaveFocus();
    fireEvent.click(screen.getByRole('button', { name: 'Take it as the truth' }));
    expect(save).not.toHaveBeenCalled();
    expect(screen.getByText('please give what you measured, for example 71.4mm')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('measured on the model'), { target: { value: ' 35mm ' } });
    fireEvent.change(screen.getByLabelText('why'), { target: { value: 'scrap first' } });
    fireEvent.click(screen.getByRole('button', { name: 'Take it as the truth' }));
    expect(save).toHaveBeenCalledWith([
      {
        op: 'as-built',
        block: 'main',
        edge: 'front',
        figure: 'up',
        measured: '35mm',
        reason: 'scrap first',
        date: '2026-11-30',
      },
    ]);
  });

  it('keeps what is typed across a reload, until it is left', () => {
    const { save } = showIn(hutState(), <AsBuilt edge={front()} of={['length']} />, hut());
    fireEvent.click(screen.getByRole('button', { name: 'length…' }));
    fireEvent.change(screen.getByLabelText('measured on the model'), { target: { value: '71' } });
    document.body.innerHTML = '';
    showIn(hutState(), <AsBuilt edge={front()} of={['length']} />, hut());
    expect(screen.getByLabelText('measured on the model')).toHaveValue('71');
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.queryByLabelText('measured on the model')).toBeNull();
    expect(sessionStorage.length).toBe(0);
    expect(save).not.toHaveBeenCalled();
  });

  it('says what was measured, also while it contradicts, and takes it out', () => {
    const state = hutState({
      document: measured({ length: fact }),
      faults: [faultAt('blocks.0.walls.1.built.length', 'contradicts the back')],
    });
    const { save } = showIn(state, <AsBuilt edge={{ ...front(), measurable: [] }} of={['length', 'height']} />, hut());
    expect(screen.getByText('71.4mm')).toBeInTheDocument();
    expect(screen.getByText(/cut a hair short, 2026-11-29/)).toBeInTheDocument();
    expect(screen.getByRole('alert')).toHaveTextContent('contradicts the back');
    // Nothing is offered that cannot be measured now.
    expect(screen.queryByText('to the eaves')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Take it out' }));
    expect(save).toHaveBeenCalledWith([
      { op: 'as-built', block: 'main', edge: 'front', figure: 'length', measured: null },
    ]);
  });

  it('finds what was measured by block and edge', () => {
    expect(builtAt(measured({ length: fact }), front(), 0, 'length')).toBe('blocks.0.walls.1.built.length');
    expect(builtAt(measured({ length: fact }), front(), 0, 'height')).toBeNull();
    expect(builtAt(measured({}), front(), 0, 'up')).toBeNull();
    expect(builtAt({}, front(), 0, 'length')).toBeNull();
    const numbered = { blocks: [{ id: 'main', walls: [{ edge: 2 }, { edge: 0, built: { length: fact } }] }] };
    expect(builtAt(numbered, front(), 0, 'length')).toBe('blocks.0.walls.1.built.length');
  });
});
