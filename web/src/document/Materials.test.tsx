import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { faultAt, showIn, standInServer } from '../testing/building';
import { hut, hutState } from '../testing/hut';
import { Materials } from './Materials';

standInServer();

const layers = {
  methods: {
    wall: [
      { stock: 'card-0.5', role: 'face' },
      { stock: 'greyboard-1', role: 'core' },
    ],
  },
};

describe('what it is cut from', () => {
  it('takes another stock for a layer, and one layer fewer', () => {
    const { save } = showIn(hutState({ document: layers }), <Materials />, hut());
    fireEvent.change(screen.getByLabelText('outside'), { target: { value: 'greyboard-1' } });
    expect(save).toHaveBeenCalledWith([{ op: 'stack-layers', stack: 'wall', stocks: ['greyboard-1', 'greyboard-1'] }]);
    fireEvent.click(screen.getAllByRole('button', { name: 'One layer fewer' })[0] as HTMLElement);
    expect(save).toHaveBeenCalledWith([{ op: 'stack-layers', stack: 'wall', stocks: ['card-0.5'] }]);
  });

  it('has frames cut in one of the layers behind the outermost, or in another', () => {
    const { save } = showIn(hutState({ document: layers }), <Materials />, hut());
    fireEvent.change(screen.getByLabelText('frames are cut in'), { target: { value: '1' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'methods.wall.1.role', value: 'frames' }]);
    const framed = {
      methods: { wall: [layers.methods.wall[0], { stock: 'card-0.5', role: 'frames' }, layers.methods.wall[1]] },
    };
    const other = showIn(hutState({ document: framed as never }), <Materials />, hut());
    fireEvent.change(screen.getAllByLabelText('frames are cut in')[1] as HTMLElement, { target: { value: '2' } });
    expect(other.save).toHaveBeenCalledWith([
      { op: 'set', path: 'methods.wall.1.role', value: 'core' },
      { op: 'set', path: 'methods.wall.2.role', value: 'frames' },
    ]);
  });

  it('shows a stock that nothing can be cut from, with what is wrong with it', () => {
    const state = hutState({
      document: { ...layers, stock: { box: { kind: 'card', name: 'Cereal box', thickness: 'thin' } } },
      faults: [faultAt('stock.box.thickness', '“thin” is not a length')],
    });
    const { save } = showIn(state, <Materials />, hut());
    const field = screen.getByLabelText('Cereal box');
    expect(field).toHaveValue('thin');
    expect(field).toHaveAccessibleDescription('“thin” is not a length');
    fireEvent.change(field, { target: { value: '0.44mm' } });
    fireEvent.blur(field);
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'stock.box.thickness', value: '0.44mm' }]);
  });

  it('puts a stock of one’s own on the shelf', () => {
    const { save } = showIn(hutState({ document: layers }), <Materials />, hut());
    fireEvent.change(screen.getByLabelText('what it is called'), { target: { value: 'Cereal box' } });
    fireEvent.change(screen.getByLabelText('thickness'), { target: { value: '0.44mm' } });
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-stock', name: 'Cereal box', kind: 'card', thickness: '0.44mm' }]);
  });
});
