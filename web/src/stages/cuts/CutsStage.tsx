import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { counted, type Plan } from '@sill/core';
import { usePlan } from '../../state/hooks';
import { BenchButton } from '../shared/BenchButton';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { Boards, type TapeReading } from '../../sheets/Boards';
import { ByPiece } from './ByPiece';
import { BoardMenu } from './BoardMenu';
import { BySetup } from './BySetup';
import { CutBench } from './CutBench';
import { CutsMenu } from './CutsMenu';
import { useSawing } from './useSawing';
import { Dragging } from './Dragging';
import { Offcuts } from './Offcuts';
import { SetupName, SetupWords } from '../../sheets/SetupWords';
import { Segmented } from '../../ui/Segmented';
import './CutsStage.css';

const WAYS = { board: 'By board', setup: 'By saw setup', piece: 'By piece' } as const;
type CutsView = keyof typeof WAYS;
const TAPES = { none: 'Not shown', hooked: 'Hooked once', steps: 'After each cut' } as const;
const ZOOMS = { '1': 'Whole', '2': 'Twice as large', '4': 'Four times as large' } as const;
type Zoom = keyof typeof ZOOMS;

/** One of a few values kept in the address, so that a view can be sent and gone back to. */
function useSearchChoice<Name extends string>(key: string, options: Readonly<Record<Name, string>>, initial: Name) {
  const [search, setSearch] = useSearchParams();
  const given = search.get(key);
  const value = given !== null && given in options ? (given as Name) : initial;
  const set = (next: Name) =>
    setSearch((before) => ({ ...Object.fromEntries(before), [key]: next }), { replace: true });
  return [value, set] as const;
}

/** Which piece from which board, in what order: by board, by saw setup, by piece. */
export function CutsStage() {
  const plan = usePlan();
  const [way, setWay] = useSearchChoice<CutsView>('by', WAYS, 'board');
  const [tape, setTape] = useSearchChoice<TapeReading>('tape', TAPES, 'none');
  const [zoom, setZoom] = useSearchChoice<Zoom>('size', ZOOMS, '1');
  const [bench, setBench] = useState(false);
  const pieces = plan ? plan.buying.boards.reduce((sum, board) => sum + board.pieces.length, 0) : 0;
  const about = plan ? `${counted(plan.buying.boards.length, 'board')} · ${counted(pieces, 'piece')}` : '';
  return (
    <>
      <StageHead title="Cuts" about={about}>
        <Segmented
          label="Order of the diagrams"
          value={way}
          options={Object.entries(WAYS) as [CutsView, string][]}
          onChange={setWay}
        />
        {plan && plan.cuts.length > 0 && (
          <>
            <CutsMenu
              plan={plan}
              views={[
                {
                  name: 'Tape readings',
                  options: TAPES,
                  value: tape,
                  onChange: (next) => setTape(next as TapeReading),
                },
                {
                  name: 'Size of the drawings',
                  options: ZOOMS,
                  value: zoom,
                  onChange: (next) => setZoom(next as Zoom),
                },
              ]}
            />
            <BenchButton onOpen={() => setBench(true)} />
          </>
        )}
      </StageHead>
      <Waiting wholeJob>
        {plan &&
          (way === 'piece' ? (
            <ByPiece plan={plan} />
          ) : way === 'setup' ? (
            <BySetup plan={plan} />
          ) : (
            <ByBoard plan={plan} tape={tape} zoom={Number(zoom)} />
          ))}
      </Waiting>
      {bench && plan && <CutBench plan={plan} onClose={() => setBench(false)} />}
    </>
  );
}

type BoardProps = { readonly plan: Plan; readonly tape: TapeReading; readonly zoom: number };

function ByBoard({ plan, tape, zoom }: BoardProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  const lit = plan.setups.find((setup) => setup.id === chosen) ?? null;
  return (
    <>
      <SetupStrip plan={plan} chosen={chosen} onChoose={(id) => setChosen(id === chosen ? null : id)} />
      <Dragging>
        <Boards
          plan={plan}
          lit={lit}
          tape={tape}
          zoom={zoom}
          tools={(board) => <BoardMenu board={board} plan={plan} />}
        />
      </Dragging>
      <Offcuts plan={plan} />
    </>
  );
}

type StripProps = {
  readonly plan: Plan;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
};

function SetupStrip({ plan, chosen, onChoose }: StripProps) {
  const { has } = useSawing(plan);
  return (
    <div className="setups" role="group" aria-label="Saw settings in order">
      {plan.setups.map((setup) => (
        <button
          key={setup.id}
          type="button"
          className="setup"
          aria-pressed={setup.id === chosen}
          data-done={has(setup)}
          onClick={() => onChoose(setup.id)}
        >
          <strong>
            <SetupName setup={setup} />
          </strong>
          <span>
            <SetupWords setup={setup} brief />
            {has(setup) && ' · done'}
          </span>
        </button>
      ))}
    </div>
  );
}
