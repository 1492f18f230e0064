import { fireEvent, screen, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BuildingState, Edit, Json } from '../../api/types';
import { buildingOf, faultAt, showIn, standInServer } from '../../testing/building';
import { DocumentForm } from './DocumentForm';

standInServer();

beforeEach(() => sessionStorage.clear());

function show(lamp: { [key: string]: Json }, more: Partial<BuildingState> = {}) {
  const document = { scale: '1:76.2', lamp, lamps: [{ id: 'l1', name: 'Yard lamp' }] };
  const state = buildingOf({ document, ...more });
  return showIn(state, <DocumentForm form="lamp" path="lamp" names={{ doors: ['front', 'yard'] }} />);
}

function enter(label: string, text: string) {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
}

const set = (path: string, value: Json): Edit[] => [{ op: 'set', path, value }];

describe('A form of the document', () => {
  it('asks for what applies, with what stands in where nothing is said', () => {
    show({ kind: 'standing' });
    expect(screen.queryByLabelText('chain')).toBeNull();
    expect(screen.getByLabelText('drop')).toHaveAttribute('placeholder', '4mm');
    expect(screen.getByLabelText('right')).toHaveValue('0mm');
    expect(screen.getByText('No link yet.')).toBeInTheDocument();
  });

  it('asks for what hangs on another field where that says so', () => {
    show({ kind: 'hung', across: '3mm' });
    expect(screen.getByLabelText('chain')).toBeInTheDocument();
    expect(screen.queryByLabelText('width')).toBeNull();
  });

  it('leaves what a choice entails to the server', () => {
    const { save } = show({ kind: 'standing' });
    fireEvent.change(screen.getByLabelText('it is'), { target: { value: 'hung' } });
    expect(save).toHaveBeenCalledWith([{ op: 'choose', path: 'lamp.kind', value: 'hung' }]);
    fireEvent.change(screen.getByLabelText('comes off'), { target: { value: 'up' } });
    expect(save).toHaveBeenCalledWith([{ op: 'choose', path: 'lamp.lifts', value: 'up' }]);
  });

  it('keeps a value that it does not offer, and shows it', () => {
    show({ kind: 'gas' });
    expect(screen.getByLabelText('it is')).toHaveValue('gas');
  });

  it('saves numbers, counts, words and flags as what they are, and lets go of what is emptied', () => {
    const { save } = show({ kind: 'standing', bulbs: 2 });
    enter('turned', '12.5');
    enter('called', 'Yard lamp');
    enter('bulbs', '');
    fireEvent.click(screen.getByLabelText('lit'));
    expect(save.mock.calls.map(([edits]) => edits)).toEqual([
      set('lamp.turn', 12.5),
      set('lamp.name', 'Yard lamp'),
      set('lamp.bulbs', null),
      set('lamp.lit', true),
    ]);
  });

  it('keeps what is no number at its field, across a reload', () => {
    const { save } = show({ kind: 'standing' });
    enter('bulbs', 'two');
    expect(screen.getByText('“two” is not a number')).toBeInTheDocument();
    expect(save).not.toHaveBeenCalled();
    expect(sessionStorage.getItem('draft:b:lamp.bulbs')).toBe('two');
  });

  it('says a pair as a whole where only the usual one stands there', async () => {
    const { save } = show({ kind: 'standing' });
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('gone')));
    enter('behind', '5mm');
    await vi.waitFor(() => expect(save).toHaveBeenCalledWith(set('lamp.at', ['0mm', '5mm'])));
  });

  it('begins what is there or is not, and takes it out', () => {
    const { save } = show({ kind: 'standing' });
    fireEvent.change(screen.getByLabelText('bracket'), { target: { value: 'there' } });
    expect(save).toHaveBeenCalledWith([{ op: 'begin', path: 'lamp.bracket' }]);
    const there = show({ kind: 'standing', bracket: { h: '2mm' } });
    expect(screen.getByLabelText('its height')).toHaveValue('2mm');
    fireEvent.change(screen.getAllByLabelText('bracket')[1] ?? document.body, { target: { value: '' } });
    expect(there.save).toHaveBeenCalledWith(set('lamp.bracket', null));
  });

  it('adds to a list and takes from it', () => {
    const links = [{ id: 'l1', name: 'Hook' }, { id: 'l2' }];
    const { save } = show({ kind: 'standing', links });
    expect(screen.getByText('Links: 2')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Add a link' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-entry', path: 'lamp.links' }]);
    fireEvent.click(screen.getByRole('button', { name: 'Remove Link 2' }));
    expect(save).toHaveBeenCalledWith(set('lamp.links.1', null));
  });

  it('lengthens and shortens a line of places, but not below its least', () => {
    const line = [
      ['0mm', '1mm'],
      ['2mm', '3mm'],
    ];
    const { save } = show({ kind: 'standing', line });
    expect(screen.getByLabelText('place 2, behind')).toHaveValue('3mm');
    expect(screen.queryByRole('button', { name: 'Remove the last place' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Add a place' }));
    expect(save).toHaveBeenCalledWith(set('lamp.line', [...line, ['2mm', '3mm']]));
  });

  it('calls values by the names of the document, and chooses from what that names', () => {
    const { save } = show({ kind: 'standing', near: { yard: '4mm' } });
    expect(screen.getByLabelText('yard')).toHaveValue('4mm');
    fireEvent.change(screen.getByLabelText('beside'), { target: { value: 'l1' } });
    expect(save).toHaveBeenCalledWith(set('lamp.of', 'l1'));
    expect(within(screen.getByLabelText('beside')).getByText('Yard lamp')).toBeInTheDocument();
  });

  it('adds what belongs there by its name, and says so where nothing is called that', () => {
    const { save } = show({ kind: 'standing' });
    fireEvent.click(screen.getByRole('button', { name: 'Add …' }));
    expect(screen.getByText('Under a window.')).toBeInTheDocument();
    const search = screen.getByLabelText('Find something to add');
    fireEvent.change(search, { target: { value: 'gargoyle' } });
    expect(screen.getByText('Nothing of that name goes here.')).toBeInTheDocument();
    fireEvent.change(search, { target: { value: 'over head' } });
    expect(search).toHaveFocus();
    fireEvent.keyDown(search, { key: 'Enter' });
    expect(save).toHaveBeenCalledWith([{ op: 'add-entry', path: 'lamp.dress', kind: 'arch' }]);
    fireEvent.click(screen.getByRole('button', { name: 'Add …' }));
    fireEvent.click(screen.getByRole('button', { name: /Sill/ }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-entry', path: 'lamp.dress', kind: 'sill' }]);
    expect(screen.queryByLabelText('Find something to add')).toBeNull();
  });

  it('shows what stands there, puts one before another, and takes the last away', () => {
    const [arch, sill] = [{ kind: 'arch' }, { kind: 'sill', beyond: '4mm' }];
    const { save } = show({ kind: 'standing', dress: [arch, sill] });
    expect(screen.getByLabelText('beyond the jambs')).toHaveValue('4mm');
    fireEvent.click(screen.getByRole('button', { name: 'Before brick arch' }));
    expect(save).toHaveBeenCalledWith(set('lamp.dress', [sill, arch]));
    fireEvent.click(screen.getByRole('button', { name: 'Remove sill' }));
    expect(save).toHaveBeenCalledWith(set('lamp.dress', [arch]));
  });

  it('shows what is said in an older way only where it is said', () => {
    show({ kind: 'standing' });
    expect(screen.queryByLabelText('as it was said before')).toBeNull();
    show({ kind: 'standing', older: '2mm' });
    expect(screen.getByLabelText('as it was said before')).toHaveValue('2mm');
  });

  it('calls a figure by what it counts from', () => {
    show({ kind: 'standing', gap: '2mm' });
    expect(screen.getByLabelText('gap')).toHaveValue('2mm');
    show({ kind: 'standing', gap: '3mm', of: 'a' });
    expect(screen.getByLabelText('gap to that')).toHaveValue('3mm');
  });

  it('opens the heading under which something is wrong, and says it at its field', () => {
    show({ kind: 'standing', turn: 99 }, { faults: [faultAt('lamp.turn', 'is too far round')] });
    expect(screen.getByText('Where it stands').closest('details')).toHaveAttribute('open');
    expect(screen.getByText('is too far round')).toBeInTheDocument();
  });

  it('chooses by picture with the keys of a group of radio buttons', () => {
    const state = buildingOf({ document: { roof: { kind: 'gable' } } });
    const { save } = showIn(state, <DocumentForm form="roof" path="roof" />);
    expect(screen.getByRole('radio', { name: 'gable' })).toBeChecked();
    fireEvent.click(screen.getByRole('radio', { name: 'hip' }));
    expect(save).toHaveBeenCalledWith([{ op: 'choose', path: 'roof.kind', value: 'hip' }]);
  });

  it('says when its figures cannot be fetched', async () => {
    showIn(buildingOf(), <DocumentForm form="nothing" path="nothing" />);
    expect(await screen.findByRole('alert')).toHaveTextContent('could not be fetched');
  });
});
