import type { ReactNode } from 'react';
import { printMaterial, type Job, type Plan, type Setup } from '@sill/core';
import { Boards } from '../sheets/Boards';
import { SetupName, SetupWords } from '../sheets/SetupWords';
import { runs } from '../words/labels';
import { Dim } from '../words/Dim';
import { BuyingSheet, buyingRows } from './BuyingSheet';
import { FastenerSheet, fastenerRows } from './Fasteners';
import { blocksOf, boardHeight, ROOM, rowHeight, settingHeight, stepHeight, type Paper } from './heights';
import { paginate } from './paginate';
import { PartByPart, partHeight, type PartBlock } from './PartByPart';
import { alikeParts, PartsSheet } from './PartsSheet';
import { StepSheet } from './StepSheet';
import { TickBox } from './TickBox';

export type Sheet = {
  readonly key: string;
  readonly title: ReactNode;
  readonly about: string;
  readonly body: ReactNode;
};

function OrderSheet({ setups, label }: { readonly setups: readonly Setup[]; readonly label: (id: string) => string }) {
  return (
    <table className="print-order">
      <tbody>
        {setups.map((setup) => (
          <tr key={setup.id}>
            <td>
              <TickBox />
            </td>
            <th scope="row">
              <SetupName setup={setup} />
            </th>
            <td>
              <SetupWords setup={setup} />: {runs(setup.parts.map((part) => label(part.id)))}
              {setup.extraFor && `. Left long for ${setup.extraFor}.`}{' '}
              {setup.cuts.length > 0 && <b>Cuts {setup.cuts.join(', ')}</b>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** How much is printed: what a person carries to the yard and to the bench, or every part and fastener besides. */
export type Extent = 'short' | 'long';

/** The sheets of a packet, laid out in turns: it yields between them, so that a page can answer meanwhile. */
export function* layOut(
  plan: Plan,
  job: Job,
  label: (id: string) => string,
  paper: Paper,
  extent: Extent,
): Generator<undefined, readonly Sheet[]> {
  const room = ROOM[paper];
  const sheets: Sheet[] = [];
  const buying = paginate(buyingRows(plan, job, label), ({ height }) => height, room - 24);
  buying.forEach((rows, at) =>
    sheets.push({
      key: `buy${at}`,
      title: 'Buying list',
      about: plan.list.byYard.map(({ yard }) => yard.name).join(' and '),
      body: <BuyingSheet rows={rows} job={job} last={at === buying.length - 1} />,
    }),
  );
  const long = extent === 'long';
  paginate(
    long ? alikeParts(plan.parts) : [],
    (row) => rowHeight(runs(row.map(({ id }) => label(id))), row[0]!.name, printMaterial(row[0]!.material)),
    room - 12,
  ).forEach((rows, at) =>
    sheets.push({
      key: `parts${at}`,
      title: 'Parts, finished sizes',
      about: 'tick when cut and checked',
      body: <PartsSheet rows={rows} label={label} />,
    }),
  );
  const cutPages = paginate(plan.buying.boards, (board) => boardHeight(board, plan), room - 14);
  cutPages.forEach((boards, at) =>
    sheets.push({
      key: `cuts${at}`,
      title: `Cut sheet ${at + 1} of ${cutPages.length}`,
      about: `boards ${boards[0]!.number} to ${boards.at(-1)!.number}`,
      body: (
        <>
          <p>
            Saw kerf <Dim of={job.shop.kerf} /> counted. Square one end of every board first (hatched,{' '}
            <Dim of={job.shop.squareEnds} />
            ). Measure each piece after the cut before, or hook the tape once and mark every cut by the readings below
            its board, beside the number of the cut.
          </p>
          <Boards plan={plan} lit={null} only={new Set(boards.map((board) => board.number))} tape="hooked" />
        </>
      ),
    }),
  );
  const orderHeight = (setup: Setup) => settingHeight(setup, runs(setup.parts.map((part) => label(part.id))));
  paginate(plan.setups, orderHeight, room - 8).forEach((setups, at) =>
    sheets.push({
      key: `order${at}`,
      title: 'In this order',
      about: 'saw settings',
      body: <OrderSheet setups={setups} label={label} />,
    }),
  );
  paginate(long ? fastenerRows(plan) : [], () => 13, room - 12).forEach((rows, at) =>
    sheets.push({
      key: `fasteners${at}`,
      title: 'Fasteners',
      about: 'and what is drilled for them',
      body: <FastenerSheet rows={rows} />,
    }),
  );
  for (const facts of plan.pieces) {
    yield;
    const blocks = facts.steps.flatMap((step, at) => blocksOf({ facts, step, number: at + 1, plain: !long }, paper));
    const pages = paginate(blocks, stepHeight(paper), room);
    pages.forEach((page, at) =>
      sheets.push({
        key: `${facts.piece.id}${at}`,
        title: `Build ${facts.piece.name}`,
        about: `steps ${page[0]!.number} to ${page.at(-1)!.number} of ${facts.steps.length}${facts.piece.copies > 1 ? `, ${facts.piece.copies} times` : ''}`,
        body: page.map((block) => <StepSheet key={`${block.step.id} ${String(block.goesOn)}`} {...block} />),
      }),
    );
  }
  if (!long) return sheets;
  for (const facts of plan.pieces) {
    yield;
    const own = facts.parts.filter(({ bought, loose }) => bought === null && !loose);
    const blocks = alikeParts(own).map((parts): PartBlock => ({ parts, facts }));
    paginate(blocks, partHeight, room).forEach((page, at) =>
      sheets.push({
        key: `${facts.piece.id} part ${at}`,
        title: `Part by part, ${facts.piece.name}`,
        about: 'drawn from the face and from the edge',
        body: page.map((block) => <PartByPart key={block.parts[0]!.id} block={block} label={label} />),
      }),
    );
  }
  return sheets;
}
