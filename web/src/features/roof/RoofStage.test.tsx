import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { EdgeFigures } from './EdgeFigures';
import { RoofStage } from './RoofStage';

standInServer();

describe('Roof', () => {
  it('changes the kind of roof', () => {
    const { save } = showIn(hutState(), <RoofStage />, hut());
    fireEvent.click(screen.getByRole('radio', { name: 'hip' }));
    expect(save).toHaveBeenCalledWith([{ op: 'choose', path: 'blocks.0.roof.kind', value: 'hip' }]);
  });

  it('says of one edge what the roof does over it', () => {
    const edge = hut().view.plan.blocks[0]?.edges[0];
    if (edge === undefined) throw new Error('The hut has a front');
    const { save } = showIn(hutState(), <EdgeFigures edge={edge} onDone={() => undefined} />, hut());
    fireEvent.change(screen.getByLabelText('the roof'), { target: { value: 'gable' } });
    expect(save).toHaveBeenCalledWith([{ op: 'roof-edge', block: 'main', edge: 'front', kind: 'gable' }]);
  });

  it('says so where there is none yet', () => {
    showIn(hutState({ derived: null }), <RoofStage />);
    expect(screen.getByText('No roof yet')).toBeInTheDocument();
  });
});
