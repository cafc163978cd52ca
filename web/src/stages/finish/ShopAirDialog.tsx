import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { celsius, COATS, fahrenheit, keepsFrom, type Plan, type Product, type ShopAir, wrongReading } from '@sill/core';
import { useEdges, useUnits } from '../../state/hooks';
import { useLazyShopAirQuery } from '../../state/server';
import { useErrand } from '../../state/useErrand';
import { NumberField } from '../../ui/NumberField';
import { Words } from '../../words/Words';

type Facts = Plan['pieces'][number];

/** All that is put on, each once. */
function productsOf({ finishing }: Facts): readonly { readonly name: string; readonly facts: Product }[] {
  const found = new Map<string, Product>();
  for (const { sittings } of finishing.treatments)
    for (const { product, facts } of sittings.flat()) found.set(product, facts);
  return found.size > 0
    ? [...found].map(([name, facts]) => ({ name, facts }))
    : Object.entries(COATS).map(([name, facts]) => ({ name, facts }));
}

/** Whether a coat may go on now, by what thermometer and hygrometer read; typed, or sent by the shop's own. */
export function ShopAirDialog({ facts, onClose }: { readonly facts: Facts; readonly onClose: () => void }) {
  const units = useUnits();
  const { today } = useEdges();
  const { busy, run } = useErrand();
  const [read] = useLazyShopAirQuery();
  const [press, setPress] = useState(0);
  const [air, setAir] = useState<ShopAir>({ temperature: 68, humidity: 50 });
  const [simulated, setSimulated] = useState(false);
  const isMetric = units === 'mm';
  const wrong = wrongReading(air);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="air-title">
      <DialogTitle id="air-title">May a coat go on now?</DialogTitle>
      <DialogContent>
        <div className="form finish-form">
          <div className="row wrap">
            <NumberField
              label="Temperature"
              unit={isMetric ? '°C' : '°F'}
              least={-300}
              most={1000}
              value={isMetric ? celsius(air.temperature) : air.temperature}
              onChange={(value) => {
                if (value === null) return;
                setSimulated(false);
                setAir({ ...air, temperature: isMetric ? fahrenheit(value) : value });
              }}
            />
            <NumberField
              label="Humidity"
              unit="%"
              least={0}
              most={1000}
              value={air.humidity}
              onChange={(value) => {
                if (value === null) return;
                setSimulated(false);
                setAir({ ...air, humidity: value });
              }}
            />
            <Button
              disabled={busy}
              onClick={() =>
                run(async () => {
                  const answer = await read({ query: { day: today(), press: String(press) } }).unwrap();
                  setPress(press + 1);
                  setAir({ temperature: answer.temperature, humidity: answer.humidity });
                  setSimulated(answer.simulated);
                  return answer.simulated
                    ? 'The simulated thermometer sent an invented reading.'
                    : 'The thermometer sent its reading.';
                })
              }
            >
              From the shop
            </Button>
            {simulated && <em className="soft">simulated</em>}
          </div>
          {wrong !== null ? (
            <p role="alert">{wrong}</p>
          ) : (
            <ul className="air" aria-label="What may go on">
              {productsOf(facts).map(({ name, facts: product }) => {
                const because = keepsFrom(product, air);
                return (
                  <li key={name} data-may={because === null}>
                    <strong>{name}</strong>{' '}
                    {because === null ? 'may go on; keep it so until it is dry.' : <Words of={because} />}
                  </li>
                );
              })}
            </ul>
          )}
          <p className="soft">Wood and can are as warm as the air only after a night in it. The label comes first.</p>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
