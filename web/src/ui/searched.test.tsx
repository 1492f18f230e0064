import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useSearched } from './searched';

function List({ count }: { count: number }) {
  const all = Array.from({ length: count }, (_none, i) => `W${i + 1} wall`);
  const { shown, search, more } = useSearched(all, (one) => one, 'parts');
  return (
    <>
      {search}
      <ul>
        {shown.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      {more}
    </>
  );
}

describe('a long list', () => {
  it('shows the first, and all of it in one press', () => {
    render(<List count={60} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(24);
    fireEvent.click(screen.getByRole('button', { name: 'All 60' }));
    expect(screen.getAllByRole('listitem')).toHaveLength(60);
  });

  it('is searched through by every word', () => {
    render(<List count={60} />);
    fireEvent.change(screen.getByLabelText('Look for'), { target: { value: 'wall w59' } });
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual(['W59 wall']);
    expect(screen.getByRole('status')).toHaveTextContent('1 of 60 parts');
  });

  it('is left as it is where it is short', () => {
    render(<List count={24} />);
    expect(screen.getAllByRole('listitem')).toHaveLength(24);
    expect(screen.queryByRole('searchbox')).toBeNull();
  });
});
