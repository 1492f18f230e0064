import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { PrototypeStage } from './PrototypeStage';

standInServer();

describe('Prototype', () => {
  it('says how large the building is, in the person’s units', () => {
    showIn(hutState(), <PrototypeStage />, hut());
    expect(screen.getByText(/18ft wide/)).toBeInTheDocument();
    expect(screen.getByText(/9.5ft to the eaves/)).toBeInTheDocument();
  });

  it('adds what stands beside the block that is chosen, and cannot take the only one away', () => {
    const { save } = showIn(hutState(), <PrototypeStage />, hut());
    fireEvent.click(screen.getByRole('button', { name: 'Add a wing' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-block', kind: 'wing', beside: 'main' }]);
    const blocks = within(screen.getByRole('toolbar', { name: 'Blocks' }));
    expect(blocks.queryByRole('button', { name: /Remove/ })).toBeNull();
  });

  it('makes a chimney of a block that is no more than a stack', () => {
    const derived = hut();
    const { plan } = derived.view;
    const blocks = plan.blocks.map((block) => ({ ...block, is_stack: true }));
    const { save } = showIn(hutState(), <PrototypeStage />, {
      ...derived,
      view: { ...derived.view, plan: { ...plan, blocks } },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Make it a chimney' }));
    expect(save).toHaveBeenCalledWith([{ op: 'block-to-chimney', block: 'main' }]);
  });

  it('shares the storeys of another block, says what they add up to and takes the eaves to them', () => {
    const derived = hut();
    const { plan } = derived.view;
    const [own] = plan.blocks;
    if (own === undefined) throw new Error('the hut has a block');
    const storeys = [{ id: 'ground', floor: '0ft', height: '9ft' }];
    const show = (main: { [key: string]: string }, sum: string | null) =>
      showIn(
        hutState({
          document: {
            blocks: [
              { id: 'main', ...main },
              { id: 'wing', storeys },
            ],
          },
        }),
        <PrototypeStage />,
        {
          ...derived,
          view: {
            ...derived.view,
            plan: {
              ...plan,
              blocks: [
                { ...own, storeys: sum },
                { ...own, id: 'wing', name: 'Wing', path: 'blocks.1' },
              ],
            },
          },
        },
      );
    const alone = show({}, null);
    expect(screen.queryByRole('button', { name: 'Eaves to the bed joint over them' })).toBeNull();
    fireEvent.change(screen.getByLabelText('storeys'), { target: { value: 'wing' } });
    expect(alone.save).toHaveBeenCalledWith([{ op: 'share-storeys', block: 'main', with: 'wing' }]);
    cleanup();
    // Where they come to more than the eaves there is no sum, but the press that mends it.
    const over = show({ storeys_of: 'wing' }, null);
    fireEvent.click(screen.getByRole('button', { name: 'Eaves to the bed joint over them' }));
    expect(over.save).toHaveBeenCalledWith([{ op: 'eaves-to-storeys', block: 'main' }]);
    fireEvent.change(screen.getByLabelText('storeys'), { target: { value: '' } });
    expect(over.save).toHaveBeenCalledWith([{ op: 'share-storeys', block: 'main' }]);
    cleanup();
    show({ storeys_of: 'wing' }, '9ft ground = 9ft to the eaves, 36 courses.');
    expect(screen.getByText('9ft ground = 9ft to the eaves, 36 courses.')).toBeInTheDocument();
  });

  it('takes the bricks of a usual size', () => {
    const { save } = showIn(hutState(), <PrototypeStage />, hut());
    expect(screen.getByLabelText('usual bricks')).toHaveDisplayValue('imperial');
    fireEvent.change(screen.getByLabelText('usual bricks'), { target: { value: '2' } });
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'gauge.brick', value: '225mm' },
      { op: 'set', path: 'gauge.course', value: '75mm' },
      { op: 'set', path: 'gauge.joint', value: '10mm' },
    ]);
  });

  it('takes another scale', () => {
    const { save } = showIn(hutState(), <PrototypeStage />, hut());
    fireEvent.change(screen.getByLabelText('usual scales'), { target: { value: '1:148' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'scale', value: '1:148' }]);
  });
});
