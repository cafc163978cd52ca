import { demoJob, first, inches, isSheet, type Part } from '@sill/core';
import { planned } from '../../../core/src/testing/planning';
import { fastenerRows } from './Fasteners';
import { blocksOf, boardHeight, rowHeight, ROOM, stepHeight, type StepBlock } from './heights';
import { alikeParts } from './PartsSheet';
import { cardHeight, sampleCards } from './SampleCards';

const plan = planned(demoJob(), '2026-11-24');

describe('rows of the parts list', () => {
  const rows = alikeParts(plan.parts);

  test('every part is in one row, with those that differ by their tag alone', () => {
    expect(rows.flat()).toHaveLength(plan.parts.length);
    expect(new Set(rows.flat().map(({ id }) => id)).size).toBe(plan.parts.length);
    const same = ({ piece, name, length, width, thickness, material }: Part) =>
      [piece, name, length, width, thickness, material].join();
    for (const row of rows) expect(new Set(row.map(same)).size).toBe(1);
    const keys = rows.map((row) => [same(first(row)), first(row).plies, first(row).count].join());
    expect(new Set(keys).size).toBe(rows.length);
  });

  test('one that is made twice stands in a row of its own', () => {
    const [part] = plan.parts;
    const twice = { ...part!, id: 'x', tag: 'X', count: 2 };
    expect(alikeParts([part!, { ...part!, id: 'y' }, twice]).map((row) => row.length)).toEqual([2, 1]);
  });

  test('what breaks into more lines is higher', () => {
    const one = rowHeight('A1', 'apron', '2×4');
    expect(rowHeight('A1', 'long apron of it', '2×4')).toBeGreaterThan(one);
    expect(rowHeight('A'.repeat(29), 'apron', '2×4')).toBeCloseTo(one + 5.5, 9);
  });
});

test('fasteners stand piece by piece, as many as all its copies take', () => {
  const rows = fastenerRows(plan);
  const names = plan.pieces.map(({ piece }) => piece.name);
  expect([...new Set(rows.map(({ piece }) => piece))]).toEqual(
    names.filter((name) => rows.some((row) => row.piece === name)),
  );
  for (const { piece, fastenings } of plan.pieces) {
    const screws = rows.filter((row) => row.piece === piece.name && row.kind === 'pocket-screw');
    const driven = fastenings.filter(({ fastener }) => fastener?.kind === 'pocket-screw');
    expect(screws.reduce((sum, { count }) => sum + count, 0)).toBe(
      piece.copies * driven.reduce((sum, { positions }) => sum + positions.length, 0),
    );
  }
});

describe('cards for samples', () => {
  const cards = sampleCards(plan);

  test('each recipe that colours or coats has one card a piece, with every layer of it', () => {
    const keys = cards.map(({ piece, recipe }) => `${piece} ${recipe.id}`);
    expect(new Set(keys).size).toBe(keys.length);
    for (const { piece, finishing } of plan.pieces) {
      const ids = new Set(
        [...finishing.treatments, ...finishing.tries]
          .filter(({ sittings }) => sittings.length > 0)
          .map(({ recipe }) => recipe.id),
      );
      expect(cards.filter((card) => card.piece === piece.name).map(({ recipe }) => recipe.id)).toEqual([...ids]);
    }
    for (const card of cards) expect(card.layers.length).toBeGreaterThan(0);
  });

  test('a card says the offcut that is kept for it, and is higher with each layer', () => {
    const kept = plan.offcuts.filter(({ jobs }) => jobs.some(({ kind }) => kind === 'sample'));
    for (const { board, length } of cards)
      expect(board === null ? length : kept.some((use) => use.board === board && use.offcut.length === length)).toBe(
        board === null ? null : true,
      );
    const [card] = cards;
    expect(cardHeight({ ...card!, layers: [...card!.layers, ...card!.layers] })).toBe(
      cardHeight(card!) + 8 * card!.layers.length,
    );
  });
});

describe('what a page holds', () => {
  const blocks = plan.pieces.flatMap((facts) =>
    facts.steps.map((step, at): StepBlock => ({ facts, step, number: at + 1 })),
  );

  test('a step in as many blocks as it takes: every action once, in its order, none taller than a page', () => {
    for (const paper of ['letter', 'a4'] as const)
      for (const block of blocks) {
        const parts = blocksOf(block, paper);
        expect(parts.flatMap(({ step }) => step.actions)).toEqual(block.step.actions);
        for (const part of parts)
          if (part.step.actions.length > 1) expect(stepHeight(paper)(part)).toBeLessThan(ROOM[paper]);
        expect(parts.map(({ goesOn }) => goesOn)).toEqual(parts.map((_, at) => at > 0));
      }
  });

  test('in words alone a step is no taller; a board that is longer or has more cuts is', () => {
    for (const block of blocks.slice(0, 12))
      expect(stepHeight('letter')({ ...block, plain: true })).toBeLessThanOrEqual(stepHeight('letter')(block) + 60);
    const sheet = plan.buying.boards.find(({ material }) => isSheet(material))!;
    expect(boardHeight({ ...sheet, width: 2 * sheet.width }, plan)).toBeGreaterThan(boardHeight(sheet, plan));
    // Two sheets side by side to one scale: a half one is half as high.
    const half = boardHeight({ ...sheet, width: inches(24) }, plan);
    expect(half).toBeLessThan(boardHeight({ ...sheet, width: inches(48) }, plan));
  });
});
