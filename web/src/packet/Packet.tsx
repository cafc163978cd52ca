import { Button } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import {
  SHORT_PIECE,
  hardwareName,
  isPoured,
  offerName,
  printMaterial,
  type Job,
  type Part,
  type Plan,
  type Setup,
} from '@sill/core';
import { PartPicture } from '../drawing/PartPicture';
import { Boards } from '../stages/cuts/Boards';
import { SetupName, SetupWords } from '../stages/cuts/SetupWords';
import { drawnIn, joinedIn, measured } from '../stages/build/BuildStage';
import { runs, useLabel } from '../stages/labels';
import { useJob, usePlan } from '../state/hooks';
import { Dim, Text } from '../words/Dim';
import { Words } from '../words/Words';
import { cents, taxWords } from '../words/money';
import {
  boardHeight,
  PICTURE,
  ROOM,
  rowHeight,
  settingHeight,
  stepHeight,
  type Paper,
  type StepBlock,
} from './heights';
import { FastenerSheet, fastenerRows } from './Fasteners';
import { PaperChoice } from './PaperChoice';
import { paginate } from './paginate';

type Sheet = { readonly key: string; readonly title: ReactNode; readonly about: string; readonly body: ReactNode };

const box = <span className="box" aria-hidden />;

type BuyingRow = {
  readonly key: string;
  readonly height: number;
  readonly cells: readonly ReactNode[];
  readonly total?: boolean;
};

/** Rows of the list with their heights on paper, mm, the sums at the end. */
function buyingRows({ list }: Plan, job: Job, label: (id: string) => string): readonly BuyingRow[] {
  const high = (lines: number) => 2.8 + 5.5 * lines;
  const boards = list.boards.map((line): BuyingRow => {
    const name = offerName(line.offer, job.units);
    const use = `${runs(line.partIds.map(label))}${line.spare > 0 ? ` ${line.spare} spare` : ''}`;
    return {
      key: line.offer.id,
      height: high(Math.max(Math.ceil(name.length / 15), Math.ceil(line.count / 5), Math.ceil(use.length / 42))),
      cells: [
        Array.from({ length: line.count }, (_, at) => <span key={at}>{box}</span>),
        <>
          <b>
            <Text of={name} />
          </b>{' '}
          {'grade' in line.offer ? line.offer.grade : ''}
        </>,
        line.count,
        cents(line.offer.price),
        cents(line.total),
        use,
      ],
    };
  });
  const hardware = list.hardware.map((line): BuyingRow => {
    const name = hardwareName(line.offer.kind, line.offer.size);
    return {
      key: line.offer.id,
      height: high(Math.ceil(name.length / 15)),
      cells: [
        box,
        <Text key="name" of={name} />,
        line.count,
        cents(line.offer.price),
        cents(line.total),
        `${line.need.count} ${isPoured(line.offer.kind) ? 'fl oz' : ''} needed, ${line.offer.count} in one`,
      ],
    };
  });
  return [
    ...boards,
    ...hardware,
    { key: 'tax', height: high(1), cells: ['', taxWords(list), '', '', cents(list.tax), ''] },
    {
      key: 'total',
      height: high(1),
      total: true,
      cells: ['', 'Total', '', '', cents(list.total), job.budget !== null && `budget ${cents(job.budget)}`],
    },
  ];
}

function BuyingSheet({
  rows,
  job,
  last,
}: {
  readonly rows: readonly BuyingRow[];
  readonly job: Job;
  readonly last: boolean;
}) {
  return (
    <>
      <table className="print-table">
        <thead>
          <tr>
            <th />
            <th>Board</th>
            <th>Count</th>
            <th>Each</th>
            <th>Total</th>
            <th>For</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} className={row.total ? 'total' : ''}>
              {row.cells.map((cell, at) => (
                <td key={at}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {last && (
        <p>
          At the yard: sight down each board from both ends for crook, bow and twist. Leave boards with long splits or
          loose knots. The car takes <Dim of={job.shop.car} mark />.
        </p>
      )}
    </>
  );
}

type PartsProps = { readonly rows: readonly (readonly Part[])[]; readonly label: (id: string) => string };

function PartsSheet({ rows, label }: PartsProps) {
  return (
    <table className="print-table">
      <thead>
        <tr>
          <th />
          <th>Tags</th>
          <th>Count</th>
          <th>Part</th>
          <th>Long</th>
          <th>Wide</th>
          <th>Thick</th>
          <th>From</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {rows.map(([part, ...others]) => (
          <tr key={part!.id}>
            <td>{box}</td>
            <td>
              <b>{runs([part!, ...others].map(({ id }) => label(id)))}</b>
            </td>
            <td>{(1 + others.length) * part!.count}</td>
            <td>{part!.name}</td>
            <td>
              <Dim of={part!.length} />
            </td>
            <td>
              <Dim of={part!.width} />
            </td>
            <td>
              <Dim of={part!.thickness} />
            </td>
            <td>
              {part!.plies > 1 && `${part!.plies} × `}
              <Text of={printMaterial(part!.material)} />
            </td>
            <td>{part!.fit ? 'fit' : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function OrderSheet({ setups, label }: { readonly setups: readonly Setup[]; readonly label: (id: string) => string }) {
  return (
    <table className="print-order">
      <tbody>
        {setups.map((setup) => (
          <tr key={setup.id}>
            <td>{box}</td>
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

function StepSheet({ facts, step, number }: StepBlock) {
  return (
    <article className="print-step">
      <h2>
        {number}. <Words of={step.title} />{' '}
        <small>
          {step.work} min{step.wait > 0 ? `, then ${step.wait} min in clamps` : ''}
          {step.stays ? ', where it stays' : ''}
        </small>
      </h2>
      <div>
        <PartPicture
          width={PICTURE}
          parts={drawnIn(step, facts)}
          tags={step.adds.length + step.there.length <= 9}
          measure={measured(step, facts.parts)}
          joints={joinedIn(step, facts.fastenings)}
          label="The step"
        />
        <ol>
          {step.actions.map((action) => (
            <li key={action.id}>
              {box}
              <span>
                <Words of={action.text} />
              </span>
            </li>
          ))}
        </ol>
      </div>
      <p>
        <b>Pick up</b> <Words of={step.pickUp} />
      </p>
      {step.settings.map((setting, at) => (
        <p key={at}>
          <b>Set</b> <Words of={setting} />
        </p>
      ))}
      {step.sides && <p>Diagonals read ________ and ________</p>}
      {step.cautions.map((caution, at) => (
        <p key={at} className="caution">
          <Words of={caution} />
        </p>
      ))}
    </article>
  );
}

/** Parts that are alike but for their tag, in one row. */
function alike(parts: readonly Part[]): readonly (readonly Part[])[] {
  const rows = new Map<string, Part[]>();
  for (const part of parts) {
    const key = JSON.stringify([
      part.piece,
      part.name,
      part.length,
      part.width,
      part.thickness,
      part.material,
      part.plies,
      part.count,
    ]);
    rows.set(key, [...(rows.get(key) ?? []), part]);
  }
  return [...rows.values()];
}

function sheetsOf(plan: Plan, job: Job, label: (id: string) => string, paper: Paper): readonly Sheet[] {
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
  paginate(
    alike(plan.parts),
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
  paginate(fastenerRows(plan), () => 13, room - 12).forEach((rows, at) =>
    sheets.push({
      key: `fasteners${at}`,
      title: 'Fasteners',
      about: 'and what is drilled for them',
      body: <FastenerSheet rows={rows} />,
    }),
  );
  for (const facts of plan.pieces) {
    const blocks = facts.steps.map((step, at) => ({ facts, step, number: at + 1 }));
    const pages = paginate(blocks, stepHeight(paper), room);
    pages.forEach((page, at) =>
      sheets.push({
        key: `${facts.piece.id}${at}`,
        title: `Build ${facts.piece.name}`,
        about: `steps ${page[0]!.number} to ${page.at(-1)!.number} of ${facts.steps.length}${facts.piece.copies > 1 ? `, ${facts.piece.copies} times` : ''}`,
        body: page.map((block) => <StepSheet key={block.step.id} {...block} />),
      }),
    );
  }
  return sheets;
}

/** The shop packet: buying list, parts, cut sheets, order and steps, laid out for paper. */
export default function Packet() {
  const job = useJob();
  const plan = usePlan();
  const label = useLabel();
  const navigate = useNavigate();
  const [paper, setPaper] = useState<Paper>('letter');
  if (!plan) return <p role="status">Working out the plan.</p>;
  if (plan.parts.length === 0)
    return (
      <div className="blank-page">
        <h1>There is nothing to print yet</h1>
        <Button onClick={() => void navigate('../brief')}>To the brief</Button>
      </div>
    );
  const sheets = sheetsOf(plan, job, label, paper);
  return (
    <div className="packet" data-paper={paper}>
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <h1>Shop packet</h1>
        <PaperChoice paper={paper} onChange={setPaper} />
        <span>{sheets.length} pages</span>
        <Button variant="contained" color="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {sheets.map((sheet, at) => (
        <section key={sheet.key} className="page" aria-label={`Page ${at + 1}`}>
          <header>
            <h1>{sheet.title}</h1>
            <p>
              {sheet.about} · {job.name}
            </p>
          </header>
          {/* On a narrow screen it scrolls: keys must reach it. */}
          <div className="page-body" tabIndex={0}>
            {sheet.body}
          </div>
          <footer>
            <span>
              Unplug before changing a blade. Nothing shorter than <Dim of={SHORT_PIECE} mark /> near the blade by hand.
              Manuals, labels and local rules first.
            </span>
            <span>
              {at + 1} / {sheets.length}
            </span>
          </footer>
        </section>
      ))}
    </div>
  );
}
