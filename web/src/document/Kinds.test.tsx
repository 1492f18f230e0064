import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../testing/building';
import { hut, hutState } from '../testing/hut';
import { KindFields } from './KindFields';
import { Kinds } from './Kinds';

const server = standInServer();

describe('Kinds of openings', () => {
  it('takes one over that is shipped', async () => {
    server.answers = { kinds: { kinds: [], shipped: [{ key: 'leaded', name: 'Leaded lights', kind: 'window' }] } };
    const { save } = showIn(hutState(), <Kinds />, hut());
    fireEvent.click(await screen.findByRole('button', { name: 'Leaded lights' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-kind', like: 'leaded' }]);
  });

  it('lets one thing at a time stand in it', () => {
    const { save } = showIn(hutState(), <KindFields id="sash" name="sash" />, hut());
    expect(screen.getByLabelText('in it stands')).toHaveValue('frame');
    fireEvent.change(screen.getByLabelText('in it stands'), { target: { value: 'blind' } });
    fireEvent.change(screen.getByLabelText('in it stands'), { target: { value: 'leaf' } });
    // Whatever else was said of it goes in the same change.
    const isSaid = 'frame' in (hutState().document.styles as { sash: object }).sash;
    const gone = isSaid ? [{ op: 'set', path: 'styles.sash.frame', value: null }] : [];
    expect(save.mock.calls.map(([edits]) => edits)).toEqual([
      [...gone, { op: 'set', path: 'styles.sash.blind', value: {} }],
      [...gone, { op: 'set', path: 'styles.sash.leaf', value: { kind: 'louvred', rail: '3in', board: '4in' } }],
    ]);
  });
});
