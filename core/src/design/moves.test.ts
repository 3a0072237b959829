import { describe, expect, test } from '@jest/globals';
import { doublyTaken, type MoveEvent, placedOn } from './moves.ts';

const units = [1, 2, 3].map((column) => ({ id: `u${column}`, containerId: 'c', row: 1, column }));
const to = (unitId: string, column: number, row = 1) => ({ unitId, containerId: 'c', row, column });
const event = (happenedOn: string, moves: MoveEvent['moves'], isUndone = false): MoveEvent => ({
  happenedOn,
  isUndone,
  moves,
});
const columns = (events: MoveEvent[], day: string) =>
  placedOn(units, events, day).map(({ row, column }) => `${row}.${column}`);

describe('where pots stand', () => {
  const swap = event('2027-03-10', [to('u1', 2), to('u2', 1)]);

  test('is where they were sown until the day of the move', () => {
    expect(columns([swap], '2027-03-09')).toEqual(['1.1', '1.2', '1.3']);
    expect(columns([swap], '2027-03-10')).toEqual(['1.2', '1.1', '1.3']);
    expect(columns([{ ...swap, isUndone: true }], '2027-03-10')).toEqual(['1.1', '1.2', '1.3']);
  });

  test('follows the days of the moves, not the order in which they were noted; on one day the later one', () => {
    const later = event('2027-03-12', [to('u1', 4)]);
    expect(columns([later, swap], '2027-03-20')).toEqual(['1.4', '1.1', '1.3']);
    const sameDay = event('2027-03-10', [to('u1', 1, 2)]);
    expect(columns([swap, sameDay], '2027-03-20')).toEqual(['2.1', '1.1', '1.3']);
    expect(columns([sameDay, swap], '2027-03-20')).toEqual(['1.2', '1.1', '1.3']);
  });

  test('is never one place for two', () => {
    expect(doublyTaken(placedOn(units, [swap], '2027-03-10'))).toBeUndefined();
    const onto = event('2027-03-10', [to('u1', 2)]);
    expect(doublyTaken(placedOn(units, [onto], '2027-03-10'))).toMatchObject({ row: 1, column: 2 });
  });
});
