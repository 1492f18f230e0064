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
    expect(screen.queryByLabelText('laid')).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: 'hip' }));
    expect(save).toHaveBeenCalledWith([{ op: 'choose', path: 'blocks.0.roof.kind', value: 'hip' }]);
  });

  it('offers a pitch that nobody knows', () => {
    const derived = hut();
    derived.view.skin.roofs = derived.view.skin.roofs.map((one) => ({ ...one, usual_pitch: 45, words: 'plain tiles' }));
    const { save } = showIn(hutState(), <RoofStage />, derived);
    fireEvent.click(screen.getByRole('button', { name: '45°, as plain tiles usually are' }));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.roof.pitch', value: 45 }]);
  });

  it('says of one edge what the roof does over it', () => {
    const edge = hut().view.plan.blocks[0]?.edges[0];
    if (edge === undefined) throw new Error('The hut has a front');
    const { save } = showIn(hutState(), <EdgeFigures edge={edge} onDone={() => undefined} />, hut());
    fireEvent.change(screen.getByLabelText('the roof'), { target: { value: 'gable' } });
    expect(save).toHaveBeenCalledWith([{ op: 'roof-edge', block: 'main', edge: 'front', kind: 'gable' }]);
  });

  it('chooses what stands on a roof, moves it as the plan lies, and takes it away', () => {
    const chimney = {
      id: 'c1',
      path: 'blocks.0.features.0',
      kind: 'chimney',
      called: 'chimney',
      anchor: 'slope',
      openings: [],
      rings: [
        [
          [30, 20],
          [38, 20],
          [38, 28],
          [30, 28],
        ] as [number, number][],
      ],
      clashes: false,
      block: 'main',
      edge: 'right',
    };
    const derived = hut();
    const { plan: drawn, roof } = derived.view;
    const [block] = drawn.blocks;
    const [front] = block?.edges ?? [];
    if (block === undefined || front === undefined) throw new Error('The hut has a front');
    const right = { ...front, name: 'right', key: 'main.right', from: [72, 0], to: [72, 48] } as typeof front;
    const there = {
      ...derived,
      view: {
        ...derived.view,
        plan: { ...drawn, blocks: [{ ...block, edges: [front, right] }] },
        roof: { ...roof, things: [chimney] },
      },
    };
    const { save, gather } = showIn(hutState(), <RoofStage />, there);
    const plan = screen.getByRole('application');
    // From edge to edge, and on to the chimney.
    for (let i = 0; i < 3; i++) fireEvent.keyDown(plan, { key: 'PageDown' });
    expect(screen.getByRole('heading', { name: 'Chimney' })).toBeInTheDocument();
    // The right edge runs up the plan: up is along it, and to the left is up its slope.
    fireEvent.keyDown(plan, { key: 'ArrowUp' });
    expect(gather).toHaveBeenCalledWith([{ op: 'move-thing', block: 'main', id: 'c1', bricks: 1, courses: 0 }]);
    fireEvent.keyDown(plan, { key: 'ArrowLeft', shiftKey: true });
    expect(gather).toHaveBeenCalledWith([{ op: 'move-thing', block: 'main', id: 'c1', bricks: 0, courses: 0.25 }]);
    fireEvent.change(screen.getByLabelText('centred on'), { target: { value: 'middle' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.features.0.on.over', value: 'middle' }]);
    fireEvent.keyDown(plan, { key: 'Delete' });
    expect(save).toHaveBeenCalledWith([{ op: 'remove-thing', block: 'main', id: 'c1' }]);
  });

  it('says so where there is none yet', () => {
    showIn(hutState({ derived: null }), <RoofStage />);
    expect(screen.getByText('No roof yet')).toBeInTheDocument();
  });
});
