import { planJob } from '../plan';
import { demoJob } from '../piece';

const plan = planJob(demoJob(), { today: '2026-11-24', effort: 'quick' });

test('cuts are numbered through, board by board, left to right', () => {
  expect(plan.cuts.map((cut) => cut.number)).toEqual(plan.cuts.map((_, at) => at + 1));
  plan.cuts.slice(1).forEach((cut, at) => {
    const before = plan.cuts[at]!;
    const sheet = cut.piece === null;
    expect(cut.board > before.board || (cut.board === before.board && (sheet || cut.at > before.at))).toBe(true);
  });
});

test('every piece is cut at exactly one stop; every ripped one at exactly one fence', () => {
  const stops = plan.setups.filter((setup) => setup.kind === 'stop');
  const onBoards = plan.cuts.filter((cut) => cut.piece !== null);
  expect(stops.flatMap((setup) => setup.cuts).sort((a, b) => a - b)).toEqual(onBoards.map((cut) => cut.number));
  const ripped = onBoards.filter((cut) => cut.piece!.blank.rip !== null);
  const fences = plan.setups.filter((setup) => setup.kind === 'fence');
  expect(fences.reduce((sum, setup) => sum + setup.count, 0)).toBe(ripped.length);
});

test('every sheet is broken down in a setting of its own, every cut through it once', () => {
  const guides = plan.setups.filter((setup) => setup.kind === 'guide');
  const sheets = plan.buying.boards.filter((board) => 'sheet' in board.offer);
  expect(guides.map((setup) => setup.boards)).toEqual(sheets.map((board) => [board.number]));
  expect(guides.flatMap((setup) => setup.cuts)).toEqual(
    plan.cuts.filter((cut) => cut.piece === null).map((cut) => cut.number),
  );
  expect(new Set(plan.setups.map((setup) => setup.id)).size).toBe(plan.setups.length);
});

test('the order of the stops can be followed on every board: no later stop is needed before an earlier one', () => {
  const stops = plan.setups.filter((setup) => setup.kind === 'stop');
  const orderOf = new Map(stops.flatMap((setup, at) => setup.cuts.map((cut) => [cut, at] as const)));
  for (const board of plan.buying.boards) {
    const order = plan.cuts
      .filter((cut) => cut.board === board.number && cut.piece !== null)
      .map((cut) => orderOf.get(cut.number)!);
    expect(order).toEqual([...order].sort((a, b) => a - b));
  }
});

test('legs from narrow stock are ganged, wide boards less', () => {
  const [legs] = plan.setups.filter((setup) => setup.parts.some((part) => part.role === 'leg'));
  expect(legs!.gang).toBeGreaterThanOrEqual(2);
  for (const setup of plan.setups) expect(setup.gang).toBeLessThanOrEqual(setup.count);
});
