import { describe, expect, it } from 'vitest';
import { movesIn, thingMovesIn, withTyped } from './pending';

describe('what is typed and not answered yet', () => {
  const document = { name: 'Hut', blocks: [{ eaves: '9ft', walls: [{ edge: 'front' }] }] };

  it('stands in its fields, and the document that was answered stays as it was', () => {
    const typed = withTyped(document, [
      { op: 'set', path: 'blocks.0.eaves', value: '10ft' },
      { op: 'set', path: 'sheets.proof.x', value: '99mm' },
    ]);
    expect(typed).toEqual({
      name: 'Hut',
      blocks: [{ eaves: '10ft', walls: [{ edge: 'front' }] }],
      sheets: { proof: { x: '99mm' } },
    });
    expect(document.blocks[0]?.eaves).toBe('9ft');
  });

  it('leaves alone what only the server can follow', () => {
    expect(
      withTyped(document, [
        { op: 'set', path: 'blocks.7.eaves', value: '1ft' },
        { op: 'set', path: 'stock.card-0~.5.thickness', value: '1mm' },
        { op: 'move-opening', wall: 'front', id: 'w1', bricks: 1 },
      ]),
    ).toEqual(document);
  });

  it('adds up moves by wall and opening', () => {
    const move = (wall: string, id: string, bricks: number, courses = 0) =>
      ({ op: 'move-opening', wall, id, bricks, courses }) as const;
    expect(movesIn([move('front', 'w1', 1), move('front', 'w1', 0.25, -1), move('back', 'w1', 9)], 'front')).toEqual({
      w1: [1.25, -1],
    });
  });

  it('adds up how far things were moved', () => {
    const move = { op: 'move-thing', block: 'main', id: 'b1' } as const;
    const edits = [
      { ...move, bricks: 1, courses: 2 },
      { ...move, courses: -1 },
      { ...move, block: 'wing', bricks: 5 },
    ];
    expect(thingMovesIn(edits, 'main')).toEqual({ b1: [1, 1] });
  });
});
