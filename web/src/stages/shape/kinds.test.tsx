/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import {
  demoJob,
  FAMILIES,
  familyOf,
  inches,
  pieceFrom,
  refusal,
  STARTS,
  TOPS,
  type Piece,
  type Specs,
} from '@sill/core';
import { onBench } from '../../testing/bench';
import { usePiece } from '../../state/hooks';
import { KindDialog } from './KindDialog';
import { SpecFields } from './SpecFields';

const at = { path: '/jobs/demo/shape?piece=glaze' };
const closed = jest.fn();
function Kinds({ which }: { readonly which: 'family' | 'top' }) {
  return <KindDialog piece={usePiece()!} which={which} onClose={closed} />;
}
const cards = () => within(screen.getByRole('dialog')).getAllByRole('button', { name: /./ }).slice(0, -1);
const nameOf = (card: HTMLElement) => card.querySelector('strong')!.firstChild!.textContent;

beforeEach(() => closed.mockClear());
afterEach(() => document.body.replaceChildren());

describe('another kind', () => {
  test('every way to build is a card, the one it has is marked', () => {
    const { jobNow } = onBench(<Kinds which="family" />, at);
    expect(cards().map(nameOf)).toEqual(FAMILIES.map(({ name }) => name));
    const taken = cards().filter((card) => card.getAttribute('aria-pressed') === 'true');
    expect(taken.map(nameOf)).toEqual([familyOf(jobNow().pieces[0]!).name]);
    expect(taken[0]!.textContent).toContain('· now');
  });

  test('a top that the piece can not have says why, and can not be taken', () => {
    const whyNot = (piece: Piece) => TOPS.map((top) => refusal(piece, familyOf(piece), top));
    const piece = STARTS.map((start) => pieceFrom(start, 'glaze')).find((one) =>
      whyNot(one).some((why) => why !== null),
    )!;
    const why = whyNot(piece);
    onBench(<Kinds which="top" />, { ...at, job: { ...demoJob(), pieces: [piece] } });
    cards().forEach((card, k) => {
      expect((card as HTMLButtonElement).disabled).toBe(why[k] !== null);
      expect(card.textContent).toContain(why[k] ?? TOPS[k]!.about);
    });
  });

  test('another way to build keeps the choices that it has too, and drops the others; the dialog closes', async () => {
    const { jobNow, user } = onBench(<Kinds which="family" />, at);
    const before = jobNow().pieces[0]!;
    const free = FAMILIES.find(
      (one, k) => one.id !== before.family && one.topped && !(cards()[k] as HTMLButtonElement).disabled,
    )!;
    await user.click(cards()[FAMILIES.indexOf(free)]!);
    const after = jobNow().pieces[0]!;
    expect([after.family, closed.mock.calls.length]).toEqual([free.id, 1]);
    for (const [name, value] of Object.entries(after.choices)) {
      expect(before.choices[name]).toBe(value);
      expect(Object.keys(free.choices)).toContain(name);
    }
    for (const name of Object.keys(before.choices))
      if (!(name in after.choices)) {
        const spec = free.choices[name];
        expect(spec === undefined || (spec.kind === 'pick' && !(String(before.choices[name]) in spec.options))).toBe(
          true,
        );
      }
    expect({ ...after, family: 0, choices: 0 }).toEqual({ ...before, family: 0, choices: 0 });
  });

  test('another top changes the top alone; it is closed without one too', async () => {
    const { jobNow, user } = onBench(<Kinds which="top" />, at);
    const before = jobNow().pieces[0]!;
    const free = TOPS.find((one, k) => one.id !== before.top && !(cards()[k] as HTMLButtonElement).disabled)!;
    await user.click(cards()[TOPS.indexOf(free)]!);
    const after = jobNow().pieces[0]!;
    expect(after.top).toBe(free.id);
    expect({ ...after, top: 0, topChoices: 0 }).toEqual({ ...before, top: 0, topChoices: 0 });
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(closed).toHaveBeenCalledTimes(2);
  });
});

describe('the fields of choices', () => {
  const specs: Specs = {
    shelf: { kind: 'yes', label: 'Shelf', initial: false },
    height: {
      kind: 'length',
      label: 'Height of it',
      initial: inches(8),
      least: inches(2),
      most: inches(20),
      when: ({ shelf }) => shelf === true,
    },
    overhang: { kind: 'length', label: 'Overhang', initial: inches(2), least: 0, most: inches(12) },
    rails: { kind: 'count', label: 'Rails', initial: 2, least: 1, most: 5 },
    splay: { kind: 'angle', label: 'Splay', initial: 8, least: 5, most: 15 },
    board: {
      kind: 'pick',
      label: 'Boards',
      initial: 'cheapest',
      options: { cheapest: 'cheapest', '4': '2×4', '6': '2×6' },
    },
    thickness: { kind: 'pick', label: 'Thick', initial: '2x', options: { '1x': '1x', '2x': '2x' } },
  };
  const told = jest.fn();
  const show = (choices: Piece['choices'], cheapest: string | null = null) =>
    onBench(
      <SpecFields specs={specs} choices={choices} lumber="common" onChange={told} cheapest={cheapest as never} />,
      at,
    );
  beforeEach(() => told.mockClear());

  test('numbers stand two in a row, in their order; a choice between them begins a new row', () => {
    show({});
    const rows = [...document.querySelectorAll('fieldset.sizes.two')].map((row) =>
      [...row.querySelectorAll('input')].map(({ labels }) => labels![0]!.textContent),
    );
    expect(rows).toEqual([['Overhang', 'Rails'], ['Splay']]);
  });

  test('what follows from another choice is asked once that is made', () => {
    show({});
    expect(screen.queryByLabelText('Height of it')).toBeNull();
    document.body.replaceChildren();
    show({ shelf: true });
    expect(screen.getByLabelText('Height of it')).toBeTruthy();
  });

  test('each tells its own name and what was chosen', async () => {
    const { user } = show({});
    await user.click(within(screen.getByRole('group', { name: /^Shelf/ })).getByRole('radio', { name: 'yes' }));
    const overhang = screen.getByLabelText('Overhang');
    await user.clear(overhang);
    await user.type(overhang, '3 1/2{Enter}');
    await user.click(screen.getByRole('radio', { name: '2×6' }));
    expect(told.mock.calls).toEqual([
      ['shelf', true],
      ['overhang', inches(3.5)],
      ['board', '6'],
    ]);
  });

  test('the cheapest says what it is now; widths are told as the boards they are', () => {
    show({}, '2x6');
    expect(screen.getByRole('radio', { name: 'cheapest (2×6 now)' })).toBeTruthy();
    document.body.replaceChildren();
    show({ thickness: '1x' });
    expect(screen.getByRole('radio', { name: '1×6' })).toBeTruthy();
    expect(screen.getByRole('radio', { name: 'cheapest' })).toBeTruthy();
  });

  test('less than the least is refused where it is typed, and nothing is told', async () => {
    const { user } = show({ shelf: true });
    const field = screen.getByLabelText('Height of it');
    await user.clear(field);
    await user.type(field, '1{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('2');
    expect(told).not.toHaveBeenCalled();
  });
});

test('the demo is what these tests take it for', () => expect(demoJob().pieces[0]!.id).toBe('glaze'));
