import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { buildingOf, showIn, standInServer } from '../testing/building';
import { StockTexture } from './StockTexture';

standInServer();

const stock = { id: 'clap-0.8', name: 'clap 0.8 mm', kind: 'card', thickness: '0.8mm', measured: true };

function show(texture?: { of: string; pitch: string; lines?: string }) {
  const own = { kind: 'card', thickness: '0.8mm', ...(texture === undefined ? {} : { texture }) };
  const state = buildingOf({ document: { scale: '1:76.2', stock: { 'clap-0.8': own } } });
  return showIn(state, <StockTexture stock={stock} />);
}

describe('What is pressed into a sheet', () => {
  it('is nothing until somebody says so', () => {
    const { save } = show();
    expect(screen.queryByLabelText('from line to line')).toBeNull();
    fireEvent.change(screen.getByLabelText('face of clap 0.8 mm'), { target: { value: 'clapboard' } });
    const value = { of: 'clapboard', pitch: '2mm' };
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'stock.clap-0~.8.texture', value }]);
  });

  it('keeps its distance where it is of something else, and goes as a whole', () => {
    const { save } = show({ of: 'boards', pitch: '1.7mm' });
    expect(screen.getByLabelText('from line to line')).toHaveValue('1.7mm');
    fireEvent.change(screen.getByLabelText('face of clap 0.8 mm'), { target: { value: 'tiles' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'stock.clap-0~.8.texture.of', value: 'tiles' }]);
    fireEvent.change(screen.getByLabelText('its lines go'), { target: { value: 'up' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'stock.clap-0~.8.texture.lines', value: 'up' }]);
    fireEvent.change(screen.getByLabelText('face of clap 0.8 mm'), { target: { value: '' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'stock.clap-0~.8.texture', value: null }]);
  });
});
