/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Segmented } from './Segmented';

const OPTIONS = [
  ['top', 'Top first'],
  ['base', 'Base first'],
] as const;

test('one of a few: the chosen one is marked, another is told, the chosen one pressed again stays', () => {
  const told = jest.fn();
  render(<Segmented label="What is built first" value="top" options={OPTIONS} onChange={told} />);
  expect(screen.getByRole('group', { name: 'What is built first' })).toBeTruthy();
  const [top, base] = screen.getAllByRole('button');
  expect([top, base].map((one) => one!.getAttribute('aria-pressed'))).toEqual(['true', 'false']);
  fireEvent.click(top!);
  expect(told).not.toHaveBeenCalled();
  fireEvent.click(base!);
  expect(told.mock.calls).toEqual([['base']]);
});

test('no is a choice as good as yes', () => {
  const told = jest.fn();
  render(
    <Segmented
      label="Which pieces"
      value={true}
      options={[
        [false, 'This piece'],
        [true, 'Whole job'],
      ]}
      onChange={told}
    />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'This piece' }));
  expect(told).toHaveBeenCalledWith(false);
});
