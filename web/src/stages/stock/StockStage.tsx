import { Button } from '@mui/material';
import { useNavigate, useSearchParams } from 'react-router';
import { choosesWidth, handsThere } from '@sill/core';
import { useJob, usePiece, usePlan } from '../../state/hooks';
import { StageHead } from '../shared/StageHead';
import { TopOptions } from '../shared/TopOptions';
import { Waiting } from '../shared/Waiting';
import { BuyingTable } from './BuyingTable';
import { LedgerTab } from './LedgerTab';
import { MeasuredToday } from './MeasuredToday';
import { OnHandTab } from './OnHand';
import { Savings } from './Savings';
import { ShopForm } from './ShopForm';
import { Yards } from './Yards';
import { Segmented } from '../../ui/Segmented';
import './StockStage.css';

const TABS = ['buy', 'hand', 'ledger', 'shop', 'yards'] as const;
type Tab = (typeof TABS)[number];

const ABOUT: Partial<Record<Tab, string>> = {
  shop: 'what your shop can do',
  hand: 'used before anything is bought',
  ledger: 'what happened, and what was paid',
};

/** What to buy, what it costs, and the prices and shop it is worked out from. */
export function StockStage() {
  const job = useJob();
  const plan = usePlan();
  const piece = usePiece();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const onHand = handsThere(job).length;
  const tab = TABS.find((name) => name === search.get('tab')) ?? 'buy';
  return (
    <>
      <StageHead
        title="Stock"
        about={ABOUT[tab] ?? `Cheapest mix at ${[job.yard, ...job.alsoAt].map(({ name }) => name).join(' and ')}`}
      >
        {plan && plan.list.boards.length > 0 && (
          <Button onClick={() => void navigate('../yard')}>Go to the yard</Button>
        )}
        <Segmented
          label="Part of the stock"
          value={tab}
          options={[
            ['buy', 'To buy'],
            ['hand', `On hand${onHand > 0 ? ` ${onHand}` : ''}`],
            ['ledger', 'Ledger'],
            ['shop', 'My shop'],
            ['yards', 'Yards'],
          ]}
          onChange={(value) =>
            setSearch((before) => ({ ...Object.fromEntries(before), tab: value }), { replace: true })
          }
        />
      </StageHead>
      {tab === 'buy' && (
        <Waiting wholeJob>
          {plan && (
            <div className="stack">
              <BuyingTable plan={plan} />
              <div className="stock-columns">
                {piece && choosesWidth(piece) && <TopOptions piece={piece} plan={plan} />}
                <Savings plan={plan} />
              </div>
            </div>
          )}
        </Waiting>
      )}
      {tab === 'hand' && (
        <div className="stack">
          <OnHandTab plan={plan} />
          <MeasuredToday plan={plan} />
        </div>
      )}
      {tab === 'ledger' && <LedgerTab plan={plan} />}
      {tab === 'yards' && <Yards />}
      {tab === 'shop' && <ShopForm />}
    </>
  );
}
