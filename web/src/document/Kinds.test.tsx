import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../testing/building';
import { hut, hutState } from '../testing/hut';
import { KindFields } from './KindFields';
import { Kinds } from './Kinds';

const server = standInServer();

function open(details: HTMLDetailsElement | null) {
  if (details === null) throw new Error('there is nothing to open');
  details.open = true;
  fireEvent(details, new Event('toggle'));
}

describe('Kinds of openings', () => {
  it('takes one over that is shipped', async () => {
    server.answers = { kinds: { kinds: [], shipped: [{ key: 'leaded', name: 'Leaded lights', kind: 'window' }] } };
    const { save } = showIn(hutState(), <Kinds />, hut());
    expect(screen.queryByText('Fetching them …')).toBeNull();
    open(screen.getByText('Begin with one that is there already').closest('details'));
    fireEvent.click(await screen.findByRole('button', { name: 'Leaded lights' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-kind', like: 'leaded' }]);
  });

  it('lets one thing at a time stand in it', () => {
    const { save } = showIn(hutState(), <KindFields id="sash" name="sash" />, hut());
    expect(screen.getByLabelText('in it stands')).toHaveValue('frame');
    fireEvent.change(screen.getByLabelText('in it stands'), { target: { value: 'blind' } });
    fireEvent.change(screen.getByLabelText('in it stands'), { target: { value: 'leaf' } });
    expect(save.mock.calls.map(([edits]) => edits)).toEqual([
      [{ op: 'fill-kind', style: 'sash', with: 'blind' }],
      [{ op: 'fill-kind', style: 'sash', with: 'leaf' }],
    ]);
  });
});
