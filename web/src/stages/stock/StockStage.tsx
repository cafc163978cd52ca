import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import { choosesWidth } from '@sill/core';
import { useJob, usePiece, usePlan } from '../../state/hooks';
import { StageHead } from '../StageHead';
import { TopOptions } from '../TopOptions';
import { Waiting } from '../Waiting';
import { BuyingTable } from './BuyingTable';
import { Savings } from './Savings';
import { ShopForm } from './ShopForm';
import { Yards } from './Yards';

type Tab = 'buy' | 'yards' | 'shop';

/** What to buy, what it costs, and the prices and shop it is worked out from. */
export function StockStage() {
  const job = useJob();
  const plan = usePlan();
  const piece = usePiece();
  const [tab, setTab] = useState<Tab>('buy');
  return (
    <>
      <StageHead title="Stock" about={tab === 'shop' ? 'what your shop can do' : `Cheapest mix at ${job.yard.name}`}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={tab}
          onChange={(_, value: Tab | null) => value && setTab(value)}
          aria-label="Part of the stock"
        >
          <ToggleButton value="buy">To buy</ToggleButton>
          <ToggleButton value="shop">My shop</ToggleButton>
          <ToggleButton value="yards">Yards</ToggleButton>
        </ToggleButtonGroup>
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
      {tab === 'yards' && <Yards />}
      {tab === 'shop' && <ShopForm />}
    </>
  );
}
