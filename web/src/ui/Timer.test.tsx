/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { Timer } from './Timer';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const pass = (minutes: number) => act(() => jest.advanceTimersByTime(minutes * 60_000));

test('counts down from a tap, says what is due, then how late it is; again from the start', () => {
  render(<Timer minutes={10} begin="It is on" due="Wipe it off" />);
  fireEvent.click(screen.getByRole('button', { name: 'It is on: count 10 min' }));
  expect(screen.getByRole('timer').textContent).toBe('10:00');
  pass(4.5);
  expect(screen.getByRole('timer').textContent).toBe('5:30');
  expect(screen.queryByRole('alert')).toBeNull();
  pass(5.6);
  expect(screen.getByRole('alert').textContent).toBe('Wipe it off now. ');
  pass(3);
  expect(screen.getByRole('alert').textContent).toContain('3 min late');
  fireEvent.click(screen.getByRole('button', { name: 'Again' }));
  expect(screen.getByRole('button', { name: /count 10 min/ })).toBeTruthy();
});
