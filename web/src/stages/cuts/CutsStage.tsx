import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { SHORT_PIECE, printMaterial, type CutPiece, type Plan, type Setup } from '@sill/core';
import { DataTable, type Column } from '../../fields/DataTable';
import { BoardRow } from '../../drawing/BoardRow';
import { SheetPlan } from '../../drawing/SheetPlan';
import { usePlan } from '../../state/hooks';
import { useTicks } from '../../state/useTicks';
import { Dim } from '../../words/Dim';
import { runs, useLabel } from '../labels';
import { StageHead } from '../StageHead';
import { Waiting } from '../Waiting';

type Way = 'board' | 'setup' | 'piece';

const isWay = (way: string | null): way is Way => way === 'board' || way === 'setup' || way === 'piece';

/** Which piece from which board, in what order: by board, by saw setup, by piece. */
export function CutsStage() {
  const plan = usePlan();
  const [search, setSearch] = useSearchParams();
  const given = search.get('by');
  const way: Way = isWay(given) ? given : 'board';
  const set = (value: Way | null) =>
    value && setSearch((before) => ({ ...Object.fromEntries(before), by: value }), { replace: true });
  const pieces = plan ? plan.buying.boards.reduce((sum, board) => sum + board.pieces.length, 0) : 0;
  const about = plan ? `${plan.buying.boards.length} boards and sheets · ${pieces} pieces · cut in this order` : '';
  return (
    <>
      <StageHead title="Cuts" about={about}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={way}
          onChange={(_, value: Way | null) => set(value)}
          aria-label="Order of the diagrams"
        >
          <ToggleButton value="board">By board</ToggleButton>
          <ToggleButton value="setup">By saw setup</ToggleButton>
          <ToggleButton value="piece">By piece</ToggleButton>
        </ToggleButtonGroup>
      </StageHead>
      <Waiting wholeJob>{plan && <Cuts plan={plan} way={way} />}</Waiting>
    </>
  );
}

function Cuts({ plan, way }: { readonly plan: Plan; readonly way: Way }) {
  const [chosen, setChosen] = useState<string | null>(null);
  const lit = plan.setups.find((setup) => setup.id === chosen) ?? null;
  if (way === 'piece') return <ByPiece plan={plan} />;
  if (way === 'setup') return <BySetup plan={plan} />;
  return (
    <>
      <SetupStrip plan={plan} chosen={chosen} onChoose={(id) => setChosen(id === chosen ? null : id)} />
      <Boards plan={plan} lit={lit} />
    </>
  );
}

/** Cuts of a setup: its own crosscuts, or those of the pieces that a fence setting rips. */
const cutsOf = (plan: Plan, setup: Setup): ReadonlySet<number> => {
  if (setup.kind !== 'fence') return new Set(setup.cuts);
  const parts = new Set(setup.parts);
  return new Set(plan.cuts.filter((cut) => cut.piece && parts.has(cut.piece.blank.part)).map((cut) => cut.number));
};

export function SetupName({ setup }: { readonly setup: Setup }) {
  return (
    <>
      {setup.kind === 'guide' ? (
        `Sheet ${setup.boards[0]}`
      ) : (
        <>
          {setup.kind === 'stop' ? 'Stop ' : 'Rip '}
          <Dim of={setup.setting} />
        </>
      )}
    </>
  );
}

/** `15°`, or `15° and 45°` where the ends differ. */
const angleText = ({ left, right }: NonNullable<Setup['ends']>): string =>
  [...new Set([left, right].map((angle) => `${Math.round(Math.abs(angle) * 2) / 2}°`))].join(' and ');

/** What a setting is for, in a few words. */
export function SetupWords({ setup, brief = false }: { readonly setup: Setup; readonly brief?: boolean }) {
  const names = [...new Set(setup.parts.map((part) => part.name))].map((name) =>
    setup.count === 1 ? name : `${name}s`,
  );
  if (setup.kind === 'guide')
    return (
      <>
        {setup.count} cuts along a guide{!brief && `: ${names.join(', ')}`}
      </>
    );
  const angles = setup.ends ? `, saw at ${angleText(setup.ends)}` : '';
  const many = setup.gang > 1 && !brief ? `, up to ${setup.gang} together` : '';
  return (
    <>
      {setup.count} {names.join(' and ')}
      {setup.kind === 'fence' ? ', fence' : many}
      {!brief && angles}
    </>
  );
}

function SetupStrip({
  plan,
  chosen,
  onChoose,
}: {
  readonly plan: Plan;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}) {
  const { has } = useTicks();
  return (
    <div className="setups" role="group" aria-label="Saw settings in order">
      {plan.setups.map((setup) => (
        <button
          key={setup.id}
          type="button"
          className="setup"
          aria-pressed={setup.id === chosen}
          data-done={has(setup.id)}
          onClick={() => onChoose(setup.id)}
        >
          <strong>
            <SetupName setup={setup} />
          </strong>
          <span>
            <SetupWords setup={setup} brief />
            {has(setup.id) && ' · done'}
          </span>
        </button>
      ))}
    </div>
  );
}

export function Boards({
  plan,
  lit,
  only,
}: {
  readonly plan: Plan;
  readonly lit: Setup | null;
  readonly only?: ReadonlySet<number>;
}) {
  const label = useLabel();
  const longest = Math.max(
    0,
    ...plan.buying.boards.filter((board) => !('sheet' in board.offer)).map((board) => board.length),
  );
  const litCuts = lit ? cutsOf(plan, lit) : null;
  return (
    <div className="boards">
      {plan.buying.boards
        .filter((board) => only === undefined || only.has(board.number))
        .map((board) => {
          const own = {
            board,
            cuts: plan.cuts.filter((cut) => cut.board === board.number),
            label,
            lit: litCuts,
          };
          return 'sheet' in board.offer ? (
            <SheetPlan key={board.number} {...own} />
          ) : (
            <BoardRow key={board.number} {...own} longest={longest} />
          );
        })}
    </div>
  );
}

function BySetup({ plan }: { readonly plan: Plan }) {
  const { has, toggle } = useTicks();
  const label = useLabel();
  return (
    <div className="stack">
      <p className="caution">
        Eye, ear and dust protection; guards stay on; unplug before you change a blade. Nothing under{' '}
        <Dim of={SHORT_PIECE} mark /> near the blade by hand. The saw’s manual and local rules come first.
      </p>
      {plan.setups.map((setup, at) => (
        <section key={setup.id} className="sheet setup-block" data-done={has(setup.id)}>
          <label className="tick">
            <input type="checkbox" checked={has(setup.id)} onChange={() => toggle(setup.id)} />
            <span>
              <strong>
                {at + 1}. <SetupName setup={setup} />
              </strong>{' '}
              <SetupWords setup={setup} />: {runs(setup.parts.map((part) => label(part.id)))}
              {setup.cuts.length > 0 && (
                <>
                  {' '}
                  · cuts <b>{setup.cuts.join(', ')}</b>
                </>
              )}
              {setup.extraFor && <> · left long for {setup.extraFor}</>}
            </span>
          </label>
          <Boards plan={plan} lit={setup} only={new Set(setup.boards)} />
        </section>
      ))}
    </div>
  );
}

function ByPiece({ plan }: { readonly plan: Plan }) {
  const label = useLabel();
  type Row = { readonly id: string; readonly piece: CutPiece; readonly board: number; readonly cut: number | null };
  const rows = plan.buying.boards.flatMap((board): Row[] =>
    board.pieces.map((piece, at) => ({
      id: `${board.number}.${at}`,
      piece,
      board: board.number,
      cut: plan.cuts.find((cut) => cut.piece === piece)?.number ?? null,
    })),
  );
  const columns: Column<Row>[] = [
    { key: 'piece', head: 'Piece', value: (row) => label(row.piece.blank.part.id) },
    { key: 'name', head: 'Part', value: (row) => row.piece.blank.part.name },
    {
      key: 'rough',
      head: 'Cut to',
      number: true,
      value: (row) => row.piece.length,
      cell: (row) => <Dim of={row.piece.length} />,
    },
    {
      key: 'finished',
      head: 'Finished',
      number: true,
      value: (row) => row.piece.blank.part.length,
      cell: (row) => <Dim of={row.piece.blank.part.length} />,
    },
    {
      key: 'rip',
      head: 'Rip to',
      number: true,
      value: (row) => row.piece.blank.rip?.to ?? 0,
      cell: (row) => (row.piece.blank.rip ? <Dim of={row.piece.blank.rip.to} /> : ''),
    },
    { key: 'board', head: 'Board', number: true, value: (row) => row.board },
    { key: 'stock', head: 'From', value: (row) => printMaterial(row.piece.blank.material) },
    { key: 'cut', head: 'Cut', number: true, value: (row) => row.cut ?? '' },
  ];
  return (
    <section className="sheet">
      <DataTable
        name="Pieces"
        rows={rows}
        columns={columns}
        rowId={(row) => row.id}
        partOf={(row) => row.piece.blank.part.id}
      />
    </section>
  );
}
