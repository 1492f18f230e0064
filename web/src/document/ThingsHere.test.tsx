import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { buildingOf, showIn } from '../testing/building';
import { ThingsHere } from './ThingsHere';

const roof = {
  form: 'things',
  title: 'On the slope over it',
  block: { id: 'main', path: 'blocks.0' },
  anchors: { slope: 'on the slope', 'roof-line': 'along a line of it' },
} as const;

const state = (features: { [key: string]: string | object }[]) =>
  buildingOf({ document: { scale: '1:76.2', blocks: [{ id: 'main', features: features as never }] } });

describe('what stands here', () => {
  it('is offered by its picture wherever there are kinds that could', () => {
    const { save } = showIn(state([]), <ThingsHere {...roof} on={{ edge: 'front' }} />);
    const add = (words: string) => {
      fireEvent.click(screen.getByRole('button', { name: 'Add …' }));
      fireEvent.change(screen.getByLabelText('Find something to add'), { target: { value: words } });
      fireEvent.keyDown(screen.getByLabelText('Find something to add'), { key: 'Enter' });
    };
    add('cowl on the slope');
    add('cowl along');
    const of = { op: 'add-thing', block: 'main', kind: 'cowl' };
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { ...of, on: { edge: 'front' } },
      { ...of, on: { anchor: 'roof-line', edge: 'front' } },
    ]);
  });

  it('has its figures, and is removed by its id', () => {
    const { save } = showIn(
      state([
        { kind: 'band', on: { edge: 'front' } },
        { kind: 'cowl', on: { edge: 'front' } },
        { kind: 'cowl', id: 'c2', on: { edge: 'back' } },
        { kind: 'cowl', id: 'c3', on: { edge: 'front', anchor: 'roof-line' } },
      ]),
      <ThingsHere {...roof} on={{ edge: 'front' }} />,
    );
    expect(screen.getAllByLabelText('width')).toHaveLength(2);
    const [first, second] = screen.getAllByRole('button', { name: 'Remove cowl', hidden: true });
    if (first !== undefined) fireEvent.click(first);
    if (second !== undefined) fireEvent.click(second);
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { op: 'remove-thing', block: 'main', id: 'thing-2' },
      { op: 'remove-thing', block: 'main', id: 'c3' },
    ]);
  });

  it('is nothing where no kind could stand', () => {
    const { container } = showIn(
      state([]),
      <ThingsHere form="things-of-the-plot" title="On the layout" block={null} anchors={{ ground: 'on the ground' }} />,
    );
    expect(container).toBeEmptyDOMElement();
  });
});
