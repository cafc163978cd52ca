import { Button, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { SHORT_PIECE, printMaterial, type Job, type Plan, type Setup } from '@sill/core';
import { Boards } from '../stages/cuts/Boards';
import { useGrowing } from '../fields/growing';
import { SetupName, SetupWords } from '../stages/cuts/SetupWords';
import { runs, useLabel } from '../stages/labels';
import { useJob, usePlan } from '../state/hooks';
import { Dim } from '../words/Dim';
import { BuyingSheet, buyingRows } from './BuyingSheet';
import { FastenerSheet, fastenerRows } from './Fasteners';
import { blocksOf, boardHeight, ROOM, rowHeight, settingHeight, stepHeight, type Paper } from './heights';
import { PaperChoice } from './PaperChoice';
import { paginate } from './paginate';
import { PartByPart, partHeight, type PartBlock } from './PartByPart';
import { alikeParts, PartsSheet } from './PartsSheet';
import { StepSheet } from './StepSheet';
import { TickBox } from './TickBox';
import { NoPlan } from '../frame/NoPlan';

type Sheet = { readonly key: string; readonly title: ReactNode; readonly about: string; readonly body: ReactNode };

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
type Extent = 'short' | 'long';

function sheetsOf(plan: Plan, job: Job, label: (id: string) => string, paper: Paper, extent: Extent): readonly Sheet[] {
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

/** Pages that are drawn at once; the rest follows. */
const FIRST = 2;

/** The shop packet: buying list, parts, cut sheets, order and steps, laid out for paper. */
export default function Packet() {
  const job = useJob();
  const plan = usePlan();
  const label = useLabel();
  const navigate = useNavigate();
  const [paper, setPaper] = useState<Paper>('letter');
  const [extent, setExtent] = useState<Extent>('short');
  const short = useMemo(() => (plan ? sheetsOf(plan, job, label, paper, 'short') : []), [plan, job, label, paper]);
  // The short one is there first; the long one is laid out after it.
  const later = useDeferredValue(true, false);
  const long = useMemo(
    () => (plan && later ? sheetsOf(plan, job, label, paper, 'long') : null),
    [plan, job, label, paper, later],
  );
  const sheets = (extent === 'long' && long) || short;
  const drawn = useGrowing(sheets.length, `${paper} ${extent}`, FIRST);
  if (!plan) return <NoPlan />;
  if (plan.parts.length === 0)
    return (
      <div className="blank-page">
        <h1>There is nothing to print yet</h1>
        <Button onClick={() => void navigate('../brief')}>To the brief</Button>
      </div>
    );
  return (
    <div className="packet" data-paper={paper} aria-busy={drawn < sheets.length}>
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <h1>Shop packet</h1>
        <PaperChoice paper={paper} onChange={setPaper} />
        <ToggleButtonGroup
          size="small"
          exclusive
          value={extent}
          onChange={(_, value: Extent | null) => value && setExtent(value)}
          aria-label="How much is printed"
        >
          <ToggleButton value="short">Short, {short.length} pages</ToggleButton>
          <ToggleButton value="long">Long{long && `, ${long.length} pages`}</ToggleButton>
        </ToggleButtonGroup>
        <Button variant="contained" color="primary" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {sheets.slice(0, drawn).map((sheet, at) => (
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
