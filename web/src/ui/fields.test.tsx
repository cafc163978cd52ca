/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import type { ComponentProps } from 'react';
import { inches, mm, demoJob, type Length } from '@sill/core';
import { onBench } from '../testing/bench';
import { Choice } from './Choice';
import { LengthField } from './LengthField';
import { NumberField } from './NumberField';
import { TextLine } from './TextLine';

const box = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

describe('a length', () => {
  const field = (value: Length, rest: Partial<ComponentProps<typeof LengthField>> = {}, job = demoJob()) => {
    const taken: Length[] = [];
    shown = onBench(<LengthField label="long" value={value} onChange={(length) => taken.push(length)} {...rest} />, {
      job,
    });
    return taken;
  };
  let shown: ReturnType<typeof onBench>;

  test('is shown as a tape reads it', () => {
    field(inches(30.5));
    expect(box('long').value).toBe('30 ½');
  });

  test('is shown in millimetres where the job is', () => {
    field(mm(775), {}, { ...demoJob(), units: 'mm' });
    expect(box('long').value).toBe('775');
  });

  test.each([
    ['34 1/2', 34.5],
    ['2\' 10 1/2"', 34.5],
    ['36 - 1 1/2', 34.5],
    ['30½', 30.5],
  ])('takes %s on Enter', (typed, expected) => {
    const taken = field(inches(10));
    fireEvent.change(box('long'), { target: { value: typed } });
    fireEvent.keyDown(box('long'), { key: 'Enter' });
    expect(taken).toEqual([inches(expected)]);
  });

  test('is taken on leaving, and after a pause in typing', () => {
    jest.useFakeTimers();
    const taken = field(inches(10));
    fireEvent.change(box('long'), { target: { value: '12' } });
    fireEvent.blur(box('long'));
    expect(taken).toEqual([inches(12)]);
    fireEvent.change(box('long'), { target: { value: '13' } });
    act(() => void jest.advanceTimersByTime(700));
    expect(taken).toEqual([inches(12), inches(13)]);
    fireEvent.change(box('long'), { target: { value: '14' } });
    fireEvent.keyDown(box('long'), { key: 'Escape' });
    act(() => void jest.advanceTimersByTime(700));
    expect(taken).toEqual([inches(12), inches(13)]);
    jest.useRealTimers();
  });

  test('a reading is taken when it is all said: in no pause, on leaving or Enter', () => {
    jest.useFakeTimers();
    const taken = field(inches(10), { isReading: true });
    fireEvent.change(box('long'), { target: { value: '4' } });
    act(() => void jest.advanceTimersByTime(5000));
    expect(taken).toEqual([]);
    fireEvent.change(box('long'), { target: { value: '43 3/4' } });
    fireEvent.blur(box('long'));
    expect(taken).toEqual([inches(43.75)]);
    jest.useRealTimers();
  });

  test.each([
    ['12 1/2', [inches(12.5)]],
    ['12 and a bit', []],
  ])('“%s” is typed and the field goes: what can be read is taken, once', (typed, expected) => {
    const taken = field(inches(10));
    fireEvent.change(box('long'), { target: { value: typed } });
    shown.unmount();
    expect(taken).toEqual(expected);
  });

  test('taken on Enter, it is not taken again where the field goes with it', () => {
    const taken: Length[] = [];
    const away = (length: Length) => {
      taken.push(length);
      shown.unmount();
    };
    shown = onBench(<LengthField label="long" value={inches(10)} onChange={away} />);
    fireEvent.change(box('long'), { target: { value: '12' } });
    fireEvent.keyDown(box('long'), { key: 'Enter' });
    expect(taken).toEqual([inches(12)]);
  });

  test.each([
    ['', 'A length is needed'],
    ['long', 'is not a length'],
    ['0', 'It must be more than 0.'],
    ['-3', 'It must be more than 0.'],
    ['200 m', 'longer than 100 m'],
  ])('“%s” is told why, stays as typed, and is not taken', (typed, message) => {
    const taken = field(inches(10), { least: 1 });
    fireEvent.change(box('long'), { target: { value: typed } });
    expect(screen.getByRole('alert').textContent).toContain(message);
    fireEvent.keyDown(box('long'), { key: 'Enter' });
    fireEvent.blur(box('long'));
    expect(taken).toEqual([]);
    expect(box('long').value).toBe(typed);
    expect(box('long').getAttribute('aria-invalid')).toBe('true');
  });

  test('has limits, said in the reader’s units; Escape goes back', () => {
    field(inches(1 / 8), { least: inches(1 / 64), most: inches(0.375) });
    fireEvent.change(box('long'), { target: { value: '1/2' } });
    expect(screen.getByRole('alert').textContent).toBe('It must be at most 3/8".');
    fireEvent.change(box('long'), { target: { value: '1/128' } });
    expect(screen.getByRole('alert').textContent).toBe('It must be at least 1/64".');
    fireEvent.keyDown(box('long'), { key: 'Escape' });
    expect(screen.queryByRole('alert')).toBeNull();
    expect(box('long').value).toBe('⅛');
  });

  test('the same length typed again is no change', () => {
    const taken = field(inches(10));
    fireEvent.change(box('long'), { target: { value: '10.0' } });
    fireEvent.keyDown(box('long'), { key: 'Enter' });
    expect(taken).toEqual([]);
  });
});

describe('a number', () => {
  const field = (props: Partial<Parameters<typeof NumberField>[0]>) => {
    const taken: (number | null)[] = [];
    onBench(<NumberField label="n" value={5} least={1} most={20} onChange={(value) => taken.push(value)} {...props} />);
    return taken;
  };
  const type = (value: string) => fireEvent.change(box('n'), { target: { value } });

  test('whole ones within limits are taken at once', () => {
    const taken = field({});
    for (const typed of ['7', '0', '21', '2.5', 'x', '']) type(typed);
    expect(taken).toEqual([7]);
    expect(screen.getByRole('alert').textContent).toBe('A number from 1 to 20 is needed.');
  });

  test('money is typed in dollars and kept in cents', () => {
    const taken = field({ money: true, value: 18840, least: 0, most: 1000 });
    expect(box('n').value).toBe('188.40');
    for (const typed of ['240', '$12.5', '0.07', '19,99', '1001', '-1']) type(typed);
    expect(taken).toEqual([24000, 1250, 7, 1999]);
    expect(screen.getByRole('alert').textContent).toContain('such as 240 or 188.40');
  });

  test('a budget of 1,200 is twelve hundred, and 1.200 is asked about', () => {
    const taken = field({ money: true, value: 18840, least: 1, most: 1_000_000 });
    for (const typed of ['1,200', '1.200']) type(typed);
    expect(taken).toEqual([120000]);
    expect(screen.getByRole('alert').textContent).toContain('Did you mean 1200 or 1.2?');
    expect(box('n').value).toBe('1.200');
  });

  test('an optional one may be empty; a rate may have a fraction', () => {
    expect(field({ optional: true })).toEqual([]);
    type('');
    expect(screen.queryByRole('alert')).toBeNull();
    const taken = field({ label: 'tax', fractions: true, value: 6.5, least: 0, most: 50 });
    fireEvent.change(box('tax'), { target: { value: '7.25' } });
    expect(taken).toEqual([7.25]);
  });
});

test('a name may not be empty: it says so and the last one stays in force', () => {
  const taken: string[] = [];
  onBench(<TextLine label="name" value="Table" required most={8} onChange={(value) => taken.push(value)} />);
  fireEvent.change(box('name'), { target: { value: '  ' } });
  expect(box('name').getAttribute('aria-invalid')).toBe('true');
  expect(taken).toEqual([]);
  fireEvent.change(box('name'), { target: { value: 'Glaze table' } });
  expect(taken).toEqual(['Glaze ta']);
  fireEvent.blur(box('name'));
  expect(box('name').value).toBe('Table');
});

test('a choice is a group of radios; one that can not be taken says why', async () => {
  const taken: string[] = [];
  const { user } = onBench(
    <Choice
      label="Legs"
      value="a"
      options={[
        { value: 'a', label: 'two boards' },
        { value: 'b', label: 'solid' },
        { value: 'c', label: 'turned', not: 'no lathe' },
      ]}
      onChange={(value) => taken.push(value)}
    />,
  );
  expect(screen.getByRole('group', { name: 'Legs' })).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('two boards').checked).toBe(true);
  await user.click(screen.getByLabelText('solid'));
  await user.click(screen.getByLabelText('turned'));
  expect(taken).toEqual(['b']);
  expect(screen.getByTitle('no lathe')).toBeTruthy();
});
