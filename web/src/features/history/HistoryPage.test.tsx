import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hutState } from '../../testing/hut';
import { HistoryPage } from './HistoryPage';

const server = standInServer();

const revision = (number: number, summary: string) => ({
  number,
  summary,
  name: null,
  note: null,
  kind: 'edit' as const,
  parts_changed: 2,
  is_sound: true,
  at: '2026-11-28T10:00:00Z',
});

describe('History', () => {
  it('says in words what each revision did', async () => {
    server.answers = {
      revisions: { revisions: [revision(2, 'eaves from 9ft to 10ft'), revision(1, 'begun')], total: 2 },
    };
    showIn(hutState(), <HistoryPage />);
    expect(await screen.findByText('eaves from 9ft to 10ft')).toBeInTheDocument();
    expect(screen.getByText('begun')).toBeInTheDocument();
  });

  it('asks for a name under a pencil, with the focus in it', async () => {
    server.answers = { revisions: { revisions: [revision(1, 'begun')], total: 1 } };
    showIn(hutState(), <HistoryPage />);
    fireEvent.click(await screen.findByRole('button', { name: 'Name revision 1 …' }));
    await waitFor(() => expect(screen.getByLabelText('Name of revision 1')).toHaveFocus());
  });
});
