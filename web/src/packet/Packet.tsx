import { Button, GlobalStyles, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import {
  SHORT_PIECE,
  hardwareName,
  plain,
  offerName,
  printMaterial,
  type Job,
  type Phrase,
  type Plan,
  type Setup,
  type Step,
} from '@sill/core';
import { PartPicture } from '../drawing/PartPicture';
import { Boards, SetupName, SetupWords } from '../stages/cuts/CutsStage';
import { drawnIn, measured } from '../stages/build/BuildStage';
import { runs, useLabel } from '../stages/labels';
import { useJob, usePlan } from '../state/hooks';
import { Dim, Text } from '../words/Dim';
import { Words } from '../words/Words';
import { cents } from '../words/money';
import { paginate } from './paginate';

type Paper = 'letter' | 'a4';

/** Height inside the margins, mm, less the head and foot of a page. */
const ROOM: Record<Paper, number> = { letter: 219, a4: 237 };

type Sheet = { readonly key: string; readonly title: ReactNode; readonly about: string; readonly body: ReactNode };

const box = <span className="box" aria-hidden />;

function BuyingSheet({
  plan,
  job,
  label,
}: {
  readonly plan: Plan;
  readonly job: Job;
  readonly label: (id: string) => string;
}) {
  const { list } = plan;
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
          {list.boards.map((line) => (
            <tr key={line.offer.id}>
              <td>
                {Array.from({ length: line.count }, (_, at) => (
                  <span key={at}>{box}</span>
                ))}
              </td>
              <td>
                <b>
                  <Text of={offerName(line.offer, job.units)} />
                </b>{' '}
                {'grade' in line.offer ? line.offer.grade : ''}
              </td>
              <td>{line.count}</td>
              <td>{cents(line.offer.price)}</td>
              <td>{cents(line.total)}</td>
              <td>
                {runs(line.partIds.map(label))}
                {line.spare > 0 && ` ${line.spare} spare`}
              </td>
            </tr>
          ))}
          {list.hardware.map((line) => (
            <tr key={line.offer.id}>
              <td>{box}</td>
              <td>
                <Text of={hardwareName(line.offer.kind, line.offer.size)} />
              </td>
              <td>{line.count}</td>
              <td>{cents(line.offer.price)}</td>
              <td>{cents(line.total)}</td>
              <td>
                {line.need.count} {line.offer.kind === 'glue' ? 'fl oz' : ''} needed, {line.offer.count} in one
              </td>
            </tr>
          ))}
          <tr>
            <td />
            <td>Tax {job.yard.tax} %</td>
            <td />
            <td />
            <td>{cents(list.tax)}</td>
            <td />
          </tr>
          <tr className="total">
            <td />
            <td>Total</td>
            <td />
            <td />
            <td>{cents(list.total)}</td>
            <td>{job.budget !== null && `budget ${cents(job.budget)}`}</td>
          </tr>
        </tbody>
      </table>
      <p>
        At the yard: sight down each board from both ends for crook, bow and twist. Leave boards with long splits or
        loose knots. The car takes <Dim of={job.shop.car} mark />.
      </p>
    </>
  );
}

function PartsSheet({ parts, label }: { readonly parts: Plan['parts']; readonly label: (id: string) => string }) {
  return (
    <table className="print-table">
      <thead>
        <tr>
          <th />
          <th>Tag</th>
          <th>Part</th>
          <th>Long</th>
          <th>Wide</th>
          <th>Thick</th>
          <th>From</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {parts.map((part) => (
          <tr key={part.id}>
            <td>{box}</td>
            <td>
              <b>{label(part.id)}</b>
            </td>
            <td>{part.name}</td>
            <td>
              <Dim of={part.length} />
            </td>
            <td>
              <Dim of={part.width} />
            </td>
            <td>
              <Dim of={part.thickness} />
            </td>
            <td>
              {part.plies > 1 && `${part.plies} × `}
              <Text of={printMaterial(part.material)} />
            </td>
            <td>{part.fit ? 'fit' : ''}</td>
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

type StepBlock = { readonly facts: Plan['pieces'][number]; readonly step: Step; readonly number: number };

function StepSheet({ facts, step, number }: StepBlock) {
  return (
    <article className="print-step">
      <h2>
        {number}. <Words of={step.title} />{' '}
        <small>
          {step.work} min{step.wait > 0 ? `, then ${step.wait} min in clamps` : ''}
        </small>
      </h2>
      <div>
        <PartPicture
          width={290}
          parts={drawnIn(step, facts.parts)}
          tags={step.adds.length + step.there.length <= 9}
          measure={measured(step, facts.parts)}
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
      {step.cautions.map((caution, at) => (
        <p key={at} className="caution">
          <Words of={caution} />
        </p>
      ))}
    </article>
  );
}

/** Height of a step on paper, mm, as measured on print-outs: lines of its actions beside the picture, and the rest. */
const stepHeight = ({ step }: StepBlock): number => {
  const linesOf = (text: Phrase, letters: number) => Math.ceil(plain(text, 'in').length / letters);
  const actions = step.actions.reduce((sum, action) => sum + linesOf(action.text, 58) * 5.3 + 1.7, 0);
  const below = [...step.cautions, step.pickUp].reduce((sum, text) => sum + linesOf(text, 92) * 5.3 + 1.2, 0);
  return Math.max(44, actions) + below + 17;
};

function sheetsOf(plan: Plan, job: Job, label: (id: string) => string, room: number): readonly Sheet[] {
  const sheets: Sheet[] = [
    {
      key: 'buy',
      title: 'Buying list',
      about: job.yard.name,
      body: <BuyingSheet plan={plan} job={job} label={label} />,
    },
  ];
  paginate(plan.parts, () => 7.6, room - 10).forEach((parts, at) =>
    sheets.push({
      key: `parts${at}`,
      title: 'Parts, finished sizes',
      about: 'tick when cut and checked',
      body: <PartsSheet parts={parts} label={label} />,
    }),
  );
  const cutPages = paginate(plan.buying.boards, () => 22, room - 14);
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
            ). Measure each piece after the cut before.
          </p>
          <Boards plan={plan} lit={null} only={new Set(boards.map((board) => board.number))} />
        </>
      ),
    }),
  );
  paginate(plan.setups, () => 15, room).forEach((setups, at) =>
    sheets.push({
      key: `order${at}`,
      title: 'In this order',
      about: 'saw settings',
      body: <OrderSheet setups={setups} label={label} />,
    }),
  );
  for (const facts of plan.pieces) {
    const blocks = facts.steps.map((step, at) => ({ facts, step, number: at + 1 }));
    const pages = paginate(blocks, stepHeight, room);
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
  const sheets = sheetsOf(plan, job, label, ROOM[paper]);
  return (
    <div className="packet" data-paper={paper}>
      <GlobalStyles styles={{ '@page': { size: paper === 'letter' ? 'letter' : 'A4', margin: '13mm' } }} />
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <h1>Shop packet</h1>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={paper}
          onChange={(_, value: Paper | null) => value && setPaper(value)}
          aria-label="Paper"
        >
          <ToggleButton value="letter">Letter</ToggleButton>
          <ToggleButton value="a4">A4</ToggleButton>
        </ToggleButtonGroup>
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
          <div className="page-body">{sheet.body}</div>
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
