/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import {
  degreesText,
  demoJob,
  first,
  inches,
  cutAs,
  newJob,
  newPiece,
  offerName,
  plain,
  type Job,
  type Plan,
  type Spot,
} from '@sill/core';
import { fewOfDemo } from '../../../core/src/testing/planning';
import { drawAll, onBench, planOnce } from '../testing/bench';
import { readCuts, readSentence } from '../testing/packet-reader';
import { blocksOf, boardHeight, ROOM, settingHeight, stepHeight } from './heights';
import { laidOutDays, planned } from '../state/planning';
import Packet from './Packet';

const open = (job = demoJob()) => {
  const shown = onBench(<Packet />, { job, path: '/jobs/demo/packet' });
  const plan = shown.store.getState().planning.plan!;
  const layDays = () => act(() => void shown.store.dispatch(laidOutDays({ job, calendar: plan.calendar })));
  layDays();
  return { ...shown, plan, layDays };
};
const drawnPages = () => [...document.querySelectorAll<HTMLElement>('section[aria-label^="Page "]')];
/** All pages: before printing the rest is drawn at once. */
const pages = () => {
  if (document.querySelector('[aria-busy=true]')) drawAll();
  return drawnPages();
};
const titledOf = (all: readonly HTMLElement[]) => (title: string) =>
  all.filter((page) => [...page.querySelectorAll('h1')].some(({ textContent }) => textContent === title));
const titled = (title: string) => titledOf(pages())(title);

/** The short packet of the demo as it is printed: drawn once, for all who only read. */
const printed = (() => {
  let once: { readonly plan: Plan; readonly pages: readonly HTMLElement[] } | null = null;
  return () => {
    if (once) return once;
    const { plan, unmount } = open();
    once = { plan, pages: pages().map((page) => page.cloneNode(true) as HTMLElement) };
    unmount();
    return once;
  };
})();

/** The long packet, once it is laid out. */
async function long() {
  fireEvent.click(screen.getByRole('button', { name: /^Long/ }));
  await waitFor(() => expect(drawnPages().length).toBeGreaterThan(0), { timeout: 20_000 });
  return pages();
}

test('pieces that are cut larger than they are now: the first cut sheet says from what to what, no other does', () => {
  const unit = newPiece('p', 'shelf-unit');
  const job = { ...newJob('cut'), pieces: [{ ...unit, choices: { ...unit.choices, rails: '1x3' } }] };
  const board = first(planOnce(job).buying.boards);
  const [piece] = job.pieces;
  const lower = { ...piece!, size: { ...piece!.size, height: piece!.size.height - inches(6) } };
  let ids = 0;
  const facts = cutAs(job, board, null, { id: () => `c${++ids}`, at: null });
  open({ ...job, pieces: [lower], ledger: [...facts] });
  const sheets = pages().filter((page) => /^Cut sheet/.test(page.querySelector('h1')?.textContent ?? ''));
  const told = sheets.map(({ textContent }) => /Cut larger than/.test(textContent ?? ''));
  expect(told).toEqual(sheets.map((_, at) => at === 0));
  expect(first(sheets).textContent).toMatch(/Before anything else is done with .* from \S+.* to \S+.* long/);
});

test('while the plan may still change it says so, and can be told to print what there is', () => {
  const { store, plan, layDays } = open(fewOfDemo(1));
  const { job } = store.getState().bench;
  expect(screen.queryByText(/may change/)).toBeNull();
  act(() => void store.dispatch(planned({ job: job!, plan, proving: true })));
  pages();
  expect(document.querySelector('.packet')!.getAttribute('aria-busy')).toBe('true');
  fireEvent.click(screen.getByRole('button', { name: 'Stop looking, print this' }));
  // Then only its days are still laid out.
  expect(screen.getByRole('status').textContent).toMatch(/^Sooner days are still looked for.*may change\.$/);
  expect(document.querySelector('.packet')!.getAttribute('aria-busy')).toBe('true');
  layDays();
  expect(screen.queryByText(/may change/)).toBeNull();
  expect(document.querySelector('.packet')!.getAttribute('aria-busy')).toBe('false');
});

test('the first pages are there at once, the rest follows by itself', async () => {
  // Of one piece: pages come while nothing else is done, and on a busy machine those of four take longer than a test.
  open(fewOfDemo(1));
  expect(drawnPages()).toHaveLength(2);
  await waitFor(() => expect(document.querySelector('.packet')!.getAttribute('aria-busy')).toBe('false'), {
    timeout: 60_000,
  });
  expect(drawnPages().length).toBeGreaterThan(5);
  expect(drawnPages()).toHaveLength(pages().length);
}, 90_000);

test('pages are numbered through, and each has the last word of safety', () => {
  const all = printed().pages;
  all.forEach((page, at) => {
    expect(page.textContent).toContain(`${at + 1} / ${all.length}`);
    expect(page.textContent).toContain('Manuals, labels and local rules first.');
  });
});

test('what no yard keeps is on the list all the same, and said to be nowhere in the total', () => {
  const demo = fewOfDemo(1);
  open({ ...demo, yard: { ...demo.yard, hardware: demo.yard.hardware.filter(({ kind }) => kind !== 'clip') } });
  const text = titled('Buying list')
    .map(({ textContent }) => textContent)
    .join(' ');
  expect(text).toMatch(/table-top clips.*not sold here, not in the total/);
});

test('parts that no board gives are on the list by name', () => {
  const demo = fewOfDemo(1);
  open({
    ...demo,
    yard: { ...demo.yard, boards: demo.yard.boards.filter(({ board }) => board !== '2x3') },
  });
  const text = titled('Buying list')
    .map(({ textContent }) => textContent)
    .join(' ');
  expect(text).toMatch(/2×3.*R1.*: nothing on sale or on hand gives them, not in the total/);
});

test('everything that is bought has a box a board, and the sum is the list’s', () => {
  const { plan, pages: all } = printed();
  const sheets = titledOf(all)('Buying list');
  const text = sheets.map(({ textContent }) => textContent).join(' ');
  const bare = (words: string) => words.replace(/[^\w×]/g, '');
  for (const { offer } of plan.list.boards) expect(bare(text)).toContain(bare(offerName(offer, 'in')));
  const boxes = sheets.reduce((sum, sheet) => sum + sheet.querySelectorAll('.box').length, 0);
  const boards = plan.list.boards.reduce((sum, { count }) => sum + count, 0);
  expect(boxes).toBe(boards + plan.list.hardware.length);
  expect(text).toContain((plan.list.total / 100).toFixed(2));
});

test('every part is on the parts list once, alike ones in one row with their count', async () => {
  const { plan } = open(fewOfDemo(1));
  expect(titled('Parts, finished sizes')).toEqual([]);
  await long();
  const counts = titled('Parts, finished sizes').flatMap((page) =>
    [...page.querySelectorAll('tbody tr')].map((row) => Number(row.children[2]!.textContent)),
  );
  expect(counts.reduce((sum, count) => sum + count, 0)).toBe(plan.parts.reduce((sum, { count }) => sum + count, 0));
  expect(counts.length).toBeLessThan(plan.parts.length);
});

test('every step of every piece is printed once, in order, every action with a box', () => {
  const { plan, pages: all } = printed();
  for (const { piece, steps } of plan.pieces) {
    const told = titledOf(all)(`Build ${piece.name}`).flatMap((page) => [...page.querySelectorAll('.print-step')]);
    expect(told.map((step) => step.querySelector('h2')!.textContent!.split('.')[0])).toEqual(
      steps.map((_, at) => String(at + 1)),
    );
    told.forEach((step, at) => {
      expect(step.querySelectorAll('ol .box')).toHaveLength(steps[at]!.actions.length);
      expect(step.textContent).toContain('Pick up');
      if (steps[at]!.sides) expect(step.textContent).toContain('Diagonals read');
      if (steps[at]!.stays) expect(step.textContent).toContain('where it stays');
      expect(step.querySelectorAll('.spacers')).toHaveLength(steps[at]!.spacers.length);
    });
  }
});

test('on either paper no page holds more than fits, by the heights that were measured; A4 takes no more pages', async () => {
  const { plan } = open(fewOfDemo(1));
  const short = pages().length;
  const letter = (await long()).length;
  expect(letter).toBeGreaterThan(short);
  fireEvent.click(screen.getByRole('button', { name: 'A4' }));
  await waitFor(() => expect(screen.getByRole('button', { name: /^Long, / })).not.toBeNull(), { timeout: 20_000 });
  expect(document.querySelector('.packet')!.getAttribute('data-paper')).toBe('a4');
  expect(pages().length).toBeLessThanOrEqual(letter);
  for (const facts of plan.pieces) {
    const heights = facts.steps
      .flatMap((step, at) => blocksOf({ facts, step, number: at + 1 }, 'a4'))
      .map(stepHeight('a4'));
    let at = 0;
    for (const page of titled(`Build ${facts.piece.name}`)) {
      const here = page.querySelectorAll('.print-step').length;
      const used = heights.slice(at, at + here).reduce((sum, height) => sum + height, 0);
      if (here > 1) expect(used).toBeLessThanOrEqual(ROOM.a4);
      at += here;
    }
    expect(at).toBe(heights.length);
  }
});

test('what is taller on paper is counted taller: more actions, more cuts, more parts at a setting', () => {
  const { plan } = printed();
  const facts = plan.pieces[0]!;
  const step = facts.steps.find(({ actions }) => actions.length > 2)!;
  const block = { facts, step, number: 1 };
  const more = { ...step, actions: [...step.actions, ...step.actions, ...step.actions] };
  expect(stepHeight('letter')({ ...block, step: more })).toBeGreaterThan(stepHeight('letter')(block));
  expect(
    stepHeight('letter')({
      ...block,
      step: { ...step, spacers: [{ thickness: 1, count: 2, under: ['A1'] }, ...step.spacers] },
    }),
  ).toBeGreaterThan(stepHeight('letter')(block));
  for (const board of plan.buying.boards) expect(boardHeight(board, plan)).toBeLessThan(ROOM.letter);
  for (const setup of plan.setups) expect(settingHeight(setup, 'A1')).toBeGreaterThan(5);
  expect(plain(step.title, 'in').length).toBeGreaterThan(3);
});

test('a job without pieces says that there is nothing to print, and leads to the brief', () => {
  open(newJob('Empty'));
  expect(screen.getByRole('heading', { name: 'There is nothing to print yet' })).toBeTruthy();
  expect(screen.getByRole('button', { name: 'To the brief' })).toBeTruthy();
});

describe('a reader that has only the printed pages', () => {
  const units64 = (length: number) => Math.round((length * 64) / inches(1));
  const placesOf = (spots: readonly Spot[]) =>
    spots.map(
      ({ tag, side, from, at, across, off }) =>
        `${tag}|${side.name}|${from.name}|${units64(at)}|${across?.name ?? '-'}|${units64(off)}`,
    );
  const sorted = (rows: readonly string[]) => [...new Set(rows)].sort();

  // Round tops, bolts with nuts, braces, splayed legs with tenons: what the demo has none of.
  const others: Job = {
    ...newJob('others'),
    pieces: [
      newPiece('round', 'pedestal'),
      newPiece('heavy', 'heavy'),
      { ...newPiece('splayed', 'splayed'), joins: { 'rail end': { by: 'loose tenon' } } },
    ],
  };

  test.each([
    ['the demo', printed],
    ['what it has none of', () => ({ ...open(others), pages: pages() })],
  ])('finds every hole, depth, place, cut-out, lift and screw that the operations of %s hold', (_, print) => {
    const { plan, pages: all } = print();
    let read = 0;
    for (const { piece, steps } of plan.pieces) {
      const spans = titledOf(all)(`Build ${piece.name}`).flatMap((page) => [
        ...page.querySelectorAll('.print-step ol li span:not(.box)'),
      ]);
      const sentences = spans
        .filter((item) => item.parentElement?.tagName === 'LI')
        .map((item) => readSentence(item.textContent!));
      const operations = steps.flatMap((step) => step.operations);
      expect(sentences).toHaveLength(operations.length);
      operations.forEach((operation, at) => {
        const told = sentences[at]!;
        if (operation.lift && operation.lift.people > 1) expect(told.people).toBe(operation.lift.people);
        switch (operation.kind) {
          case 'bore':
          case 'pocket':
          case 'slot': {
            read++;
            expect(told.kind).toBe(operation.kind);
            expect(told.count).toBe(operation.spots.length);
            expect(sorted(told.places)).toEqual(sorted(placesOf(operation.spots)));
            const depths =
              operation.kind === 'bore'
                ? operation.bits.flatMap(({ deep }) => deep ?? [])
                : operation.kind === 'slot'
                  ? [operation.long, operation.thick, operation.deep]
                  : [operation.jig];
            expect(told.depths).toEqual(depths.map(units64));
            if (operation.kind === 'bore')
              expect(told.bits).toEqual(operation.bits.map(({ bit }) => units64(bit.across)));
            if (operation.kind !== 'pocket') expect(told.slant).toBe(operation.slant);
            break;
          }
          case 'drive':
            read++;
            expect(told).toMatchObject({ kind: 'drive', count: operation.count });
            expect(told.depths).toEqual(
              [...new Set(operation.sunk.filter((deep) => deep > 0))].sort((a, b) => a - b).map(units64),
            );
            if (operation.pilot)
              expect(told.bits).toEqual(
                [operation.pilot.bit.across, ...(operation.nuts === 'out' ? [] : [operation.pilot.deep])].map(units64),
              );
            break;
          case 'place':
            for (const { rows } of operation.marks)
              for (const { at } of rows) if (at > 0) expect(told.depths).toContain(units64(at));
            expect(/middle of each/.test(told.text)).toBe(operation.row === 'middles');
            break;
          case 'spacers':
            expect(told.depths).toContain(units64(operation.thickness));
            break;
          case 'wait':
            expect(told.text).toContain(`${operation.wait} min`);
            break;
          case 'mitre':
            for (const { mitre, bevel } of operation.ends)
              for (const angle of [mitre, bevel]) if (angle !== 0) expect(told.text).toContain(degreesText(angle));
            break;
          case 'cut': {
            read++;
            expect(told.kind).toBe('cut');
            const part = plan.parts.find(({ id }) => id === operation.on[0])!;
            const sizes = [part.length, part.width, part.thickness];
            // Every line of a cut-out inside the part is told, from one of the two sides.
            for (const { axis, outline, from, to } of operation.taken[part.id]!) {
              const [a, b] = ([0, 1, 2] as const).filter((other) => other !== axis) as [0 | 1 | 2, 0 | 1 | 2];
              const lines = [
                ...outline.flatMap(([x, y, bulge = 0]) =>
                  bulge === 0
                    ? [
                        [a, x],
                        [b, y],
                      ]
                    : [],
                ),
                [axis, from],
                [axis, to],
              ] as [0 | 1 | 2, number][];
              for (const [along, place] of lines)
                if (place > 0 && place < sizes[along]!)
                  expect(
                    told.depths.some((number) =>
                      [place, sizes[along]! - place].some((one) => Math.abs(number - units64(one)) <= 1),
                    ),
                  ).toBe(true);
            }
            break;
          }
          case 'trim':
          case 'trim whole':
            for (const length of operation.kind === 'trim whole' && operation.round !== null
              ? [operation.round]
              : [operation.to, operation.off])
              expect(told.depths).toContain(units64(length));
        }
      });
    }
    expect(read).toBeGreaterThan(30);
    // And every numbered cut stands in a setting.
    const cuts = titledOf(all)('In this order').flatMap((page) => readCuts(page.textContent!.replace(/\s+/g, ' ')));
    expect([...new Set(cuts)].sort((a, b) => a - b)).toEqual(plan.cuts.map(({ number }) => number));
  });

  test('a number left out of the print is missed', () => {
    const told = readSentence(
      'Bore 2 holes for dowels, 1/2 wide, 1 1/16 deep, stop collar on the bit: A1, left end: 7/8 and 2 5/8 from the top edge, 3/4 from the inside face.',
    );
    expect(told).toMatchObject({ kind: 'bore', count: 2, depths: [68] });
    expect(told.places).toEqual(['A1|left end|top edge|56|inside face|48', 'A1|left end|top edge|168|inside face|48']);
    expect(readSentence('Bore 2 holes for dowels: A1, left end: 7/8 from the top edge.').depths).toEqual([]);
  });
});

test('half cut: the sheets have the boards that are left, the order the settings that are', () => {
  const job = { ...newJob('half'), pieces: [newPiece('p', 'shelf-unit')] };
  const { boards } = planOnce(job).buying;
  let ids = 0;
  const stamp = { id: () => `h${++ids}`, at: null };
  const half = boards.slice(0, Math.floor(boards.length / 2));
  const done = { ...job, ledger: half.flatMap((board) => cutAs(job, board, null, stamp)) };
  const plan = planOnce(done);
  open(done);
  const sheets = pages().filter((page) => /^Cut sheet/.test(page.querySelector('h1')?.textContent ?? ''));
  const text = sheets.map(({ textContent }) => textContent).join(' ');
  expect(text).toContain(`${half.length} boards of this job, cut already, left out.`);
  const left = plan.buying.boards.filter(({ state }) => state !== 'cut');
  expect(left).toHaveLength(boards.length - half.length);
  const tags = left.flatMap(({ pieces }) => pieces.map(({ blank }) => blank.part.tag));
  for (const tag of tags) expect(text).toContain(tag);
  const order = titled('In this order')
    .map(({ textContent }) => textContent)
    .join(' ');
  const numbers = [...order.matchAll(/Cuts ([\d, ]+)/g)].flatMap(([, list]) => list!.split(', ').map(Number));
  const isLeft = new Set(left.map(({ number }) => number));
  expect(numbers.length).toBeGreaterThan(0);
  for (const number of numbers) expect(isLeft.has(plan.cuts[number - 1]!.board)).toBe(true);
});
