import type { ReactNode } from 'react';
import {
  type Board,
  counted,
  dayWords,
  type Finding,
  first,
  holdingsOf,
  isSawn,
  type Job,
  last,
  type Phrase,
  plain,
  type Plan,
  printMaterial,
  type Session,
  type Setup,
  SHORT_WAIT,
} from '@sill/core';
import { Boards } from '../sheets/Boards';
import { DayList } from '../sheets/DayList';
import { SetupName, SetupWords } from '../sheets/SetupWords';
import { blocksOf as dayBlocksOf, blockWords } from '../words/days';
import { runs } from '../words/labels';
import { Dim } from '../words/Dim';
import { Words } from '../words/Words';
import { BuyingSheet, buyingRows } from './BuyingSheet';
import { FastenerSheet, fastenerRows } from './Fasteners';
import { blocksOf, boardHeight, ROOM, rowHeight, settingHeight, stepHeight, type Paper } from './heights';
import { paginate } from './paginate';
import { PartByPart, partHeight, type PartBlock } from './PartByPart';
import { alikeParts, PartsSheet } from './PartsSheet';
import { cardHeight, sampleCards, SampleCards } from './SampleCards';
import { StepSheet } from './StepSheet';
import { TickBox } from './TickBox';

export type PacketSheet = {
  readonly key: string;
  readonly title: ReactNode;
  readonly about: string;
  readonly body: ReactNode;
};

/** A setting and what to look out for at it, but for what was said at one before. */
type SetOnPaper = { readonly setup: Setup; readonly cautions: readonly Phrase[] };

function cautionedOnce(setups: readonly Setup[]): readonly SetOnPaper[] {
  const said = new Set<string>();
  return setups.map((setup) => ({
    setup,
    cautions: setup.cautions.filter((caution) => {
      const text = plain(caution, 'in');
      return !said.has(text) && said.add(text);
    }),
  }));
}

function OrderSheet({ rows, label }: { readonly rows: readonly SetOnPaper[]; readonly label: (id: string) => string }) {
  return (
    <table className="print-order">
      <tbody>
        {rows.map(({ setup, cautions }) => (
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
              {cautions.map((caution, at) => (
                <p key={at} className="caution">
                  <Words of={caution} />
                </p>
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** How much is printed: what a person carries to the yard and to the bench, or every part and fastener besides. */
export type Extent = 'short' | 'long';

type Laying = {
  readonly plan: Plan;
  readonly job: Job;
  readonly label: (id: string) => string;
  readonly paper: Paper;
  readonly extent: Extent;
};
type Page = Omit<PacketSheet, 'key'>;

const buyingPages = ({ plan, job, label, paper }: Laying): readonly Page[] =>
  paginate(buyingRows(plan, job, label), ({ height }) => height, ROOM[paper] - 24).map((rows, at, all) => ({
    title: 'Buying list',
    about: plan.list.byYard.map(({ yard }) => yard.name).join(' and '),
    body: <BuyingSheet rows={rows} job={job} last={at === all.length - 1} />,
  }));

const partPages = ({ plan, label, paper }: Laying): readonly Page[] =>
  paginate(
    alikeParts(plan.parts),
    (row) => rowHeight(runs(row.map(({ id }) => label(id))), first(row).name, printMaterial(first(row).material)),
    ROOM[paper] - 12,
  ).map((rows) => ({
    title: 'Parts, finished sizes',
    about: 'tick when cut and checked',
    body: <PartsSheet rows={rows} label={label} />,
  }));

/** What is to be done with pieces that are cut already, before any board is laid under the saw. */
const notesOnCut = ({ findings }: Plan): readonly Finding[] =>
  findings.filter(({ kind }) => kind === 'cut-otherwise' || kind === 'cut-unfit');
/** Height of such a note on paper, mm. */
const noteHeight = ({ title, because }: Finding): number =>
  4 + 5.5 * Math.ceil(`${plain(title, 'in')}. ${plain(because, 'in')}`.length / 84);

const cutPages = ({ plan, job, paper }: Laying): readonly Page[] => {
  const notes = notesOnCut(plan);
  const noted = notes.reduce((sum, note) => sum + noteHeight(note), 0);
  // What is cut is not taken to the saw again.
  const left = plan.buying.boards.filter(({ state }) => state !== 'cut');
  const cut = plan.buying.boards.length - left.length;
  const heightOf = (board: Board) => boardHeight(board, plan) + (board === left[0] ? noted + (cut > 0 ? 6 : 0) : 0);
  const sheets = paginate(left, heightOf, ROOM[paper] - 14);
  return (sheets.length === 0 && notes.length > 0 ? [[]] : sheets).map((boards, at, all) => ({
    title: `Cut sheet ${at + 1} of ${all.length}`,
    about: boards.length > 0 ? `boards ${first(boards).number} to ${last(boards).number}` : 'all boards are cut',
    body: (
      <>
        <p>
          Saw kerf <Dim of={job.shop.kerf} /> counted. Square one end of every board first (hatched,{' '}
          <Dim of={job.shop.squareEnds} />
          ). Measure each piece after the cut before, or hook the tape once and mark every cut by the readings below its
          board, beside the number of the cut.
        </p>
        {at === 0 && cut > 0 && <p>{counted(cut, 'board')} of this job, cut already, left out.</p>}
        {(at === 0 ? notes : []).map(({ id, title, because }) => (
          <p key={id} className="caution">
            <TickBox />{' '}
            <b>
              <Words of={title} />.
            </b>{' '}
            <Words of={because} />
          </p>
        ))}
        <Boards plan={plan} lit={null} only={new Set(boards.map((board) => board.number))} tape="hooked" />
      </>
    ),
  }));
};

const orderPages = ({ plan, job, label, paper }: Laying): readonly Page[] =>
  paginate(
    cautionedOnce(
      plan.setups.filter(
        (setup) => !isSawn(setup, { boards: plan.buying.boards, setups: plan.setups }, holdingsOf(job)),
      ),
    ),
    ({ setup, cautions }) => settingHeight(setup, runs(setup.parts.map((part) => label(part.id))), cautions),
    ROOM[paper] - 8,
  ).map((rows) => ({
    title: 'In this order',
    about: 'saw settings',
    body: <OrderSheet rows={rows} label={label} />,
  }));

const fastenerPages = ({ plan, paper }: Laying): readonly Page[] =>
  paginate(fastenerRows(plan), () => 13, ROOM[paper] - 12).map((rows) => ({
    title: 'Fasteners',
    about: 'and what is drilled for them',
    body: <FastenerSheet rows={rows} />,
  }));

const stepPages = (facts: Plan['pieces'][number], { paper, extent }: Laying): readonly Page[] => {
  const plain = extent === 'short';
  const blocks = facts.steps.flatMap((step, at) => blocksOf({ facts, step, number: at + 1, plain }, paper));
  return paginate(blocks, stepHeight(paper), ROOM[paper]).map((page) => ({
    title: `Build ${facts.piece.name}`,
    about: `steps ${first(page).number} to ${last(page).number} of ${facts.steps.length}${facts.piece.copies > 1 ? `, ${facts.piece.copies} times` : ''}`,
    body: page.map((block) => <StepSheet key={`${block.step.id} ${String(block.goesOn)}`} {...block} />),
  }));
};

const samplePages = ({ plan, paper }: Laying): readonly Page[] =>
  paginate(sampleCards(plan), cardHeight, ROOM[paper]).map((cards) => ({
    title: 'Sample cards',
    about: 'cut out, stick on the backs of the samples',
    body: <SampleCards cards={cards} />,
  }));

const pagesPartByPart = (facts: Plan['pieces'][number], { paper, label }: Laying): readonly Page[] => {
  const own = facts.parts.filter(({ bought, loose }) => bought === null && !loose);
  const blocks = alikeParts(own).map((parts): PartBlock => ({ parts, facts }));
  return paginate(blocks, partHeight, ROOM[paper]).map((page) => ({
    title: `Part by part, ${facts.piece.name}`,
    about: 'drawn from the face and from the edge',
    body: page.map((block) => <PartByPart key={first(block.parts).id} block={block} label={label} />),
  }));
};

/** Height of a session on paper, mm: its head, and a line or two for each piece of it. */
const sessionHeight =
  ({ units }: Job) =>
  ({ placed }: Session): number =>
    12 +
    dayBlocksOf(placed).reduce((sum, block) => {
      const waits = (block.placed.at(-1)?.task.wait ?? 0) >= SHORT_WAIT;
      return sum + 6 * Math.ceil((blockWords(block, units).length + 30) / 80) + (waits ? 5 : 0) + 2;
    }, 0);

const dayPages = ({ plan, job, paper }: Laying): readonly Page[] =>
  paginate(plan.calendar.sessions, sessionHeight(job), ROOM[paper] - 8).map((sessions) => ({
    title: 'Days',
    about: `${plan.calendar.ready === null ? '' : `ready ${dayWords(plan.calendar.ready)}, `}for the wall`,
    body: <DayList calendar={plan.calendar} sessions={sessions} box={<TickBox />} />,
  }));

/** What a packet is made of, in the order it is printed: once for the job, or once for each piece. */
const PACKET: readonly {
  readonly key: string;
  readonly in: Extent;
  readonly job?: (laying: Laying) => readonly Page[];
  readonly piece?: (facts: Plan['pieces'][number], laying: Laying) => readonly Page[];
}[] = [
  { key: 'buy', in: 'short', job: buyingPages },
  { key: 'parts', in: 'long', job: partPages },
  { key: 'cuts', in: 'short', job: cutPages },
  { key: 'order', in: 'short', job: orderPages },
  { key: 'days', in: 'short', job: dayPages },
  { key: 'fasteners', in: 'long', job: fastenerPages },
  { key: 'steps', in: 'short', piece: stepPages },
  { key: 'samples', in: 'short', job: samplePages },
  { key: 'part by part', in: 'long', piece: pagesPartByPart },
];

/** The sheets of a packet, laid out in turns: it yields between them, so that a page can answer meanwhile. */
export function* layOut(
  plan: Plan,
  job: Job,
  label: (id: string) => string,
  paper: Paper,
  extent: Extent,
): Generator<undefined, readonly PacketSheet[]> {
  const laying = { plan, job, label, paper, extent };
  const sheets: PacketSheet[] = [];
  const add = (pages: readonly Page[], key: string) =>
    sheets.push(...pages.map((page, at) => ({ ...page, key: `${key} ${at}` })));
  for (const { key, in: least, job: once, piece: each } of PACKET) {
    if (least === 'long' && extent === 'short') continue;
    if (once) add(once(laying), key);
    if (each)
      for (const facts of plan.pieces) {
        yield;
        add(each(facts, laying), `${key} ${facts.piece.id}`);
      }
  }
  return sheets;
}
