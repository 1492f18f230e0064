import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn } from '../testing/building';
import { hut, hutState } from '../testing/hut';
import { ColourField } from './ColourField';

describe('A colour', () => {
  it('that is not said is said so, and is given', () => {
    const { save } = showIn(hutState(), <ColourField label="other" path="a.b" value="" unsaid="as elsewhere" />, hut());
    expect(screen.getByText('as elsewhere')).toBeInTheDocument();
    const swatch = screen.getByLabelText('other');
    expect(swatch).toHaveAttribute('value', expect.stringMatching(/^#[\da-f]{6}$/));
    fireEvent.change(swatch, { target: { value: '#4a5568' } });
    fireEvent.blur(swatch);
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'a.b', value: '#4a5568' }]);
  });

  it('is taken back with a press', () => {
    const { save } = showIn(
      hutState(),
      <ColourField label="other" path="a.b" value="#4a5568" unsaid="as elsewhere" />,
      hut(),
    );
    fireEvent.click(screen.getByRole('button', { name: 'as elsewhere' }));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'a.b', value: null }]);
  });
});
