import { Button } from '@mui/material';
import { useState } from 'react';
import { celsius, dayOf, dateOf, dayWords, fahrenheit, set, type JobCalendar } from '@sill/core';
import { useChange, useEdges, useUnits } from '../../state/hooks';
import { newId } from '../../state/newId';
import { useLazyShopAirQuery } from '../../state/server';
import { useErrand } from '../../state/useErrand';
import { DayField } from '../../ui/DayField';
import { NumberField } from '../../ui/NumberField';

/** Readings asked of the shop's own thermometer: what the coming days will be, as far as it can know. */
const AHEAD = 14;

/** How warm and damp the shop is by day: coats and glue are laid where they set. */
export function AirDays({ calendar: { air } }: { readonly calendar: JobCalendar }) {
  const change = useChange();
  const { today } = useEdges();
  const isMetric = useUnits() === 'mm';
  const { busy, run } = useErrand();
  const [read] = useLazyShopAirQuery();
  const [on, setOn] = useState<string | null>(today());
  const [temperature, setTemperature] = useState(65);
  const [humidity, setHumidity] = useState(50);
  const rows = [...air].sort((a, b) => (a.on < b.on ? -1 : 1));
  const rowFor = (day: string, reading: { temperature: number; humidity: number; simulated: boolean }) => {
    const id = air.find((row) => row.on === day)?.id ?? newId();
    return set(null, ['calendar', 'air', id], { id, on: day, ...reading });
  };
  return (
    <fieldset className="choice">
      <legend>How warm and damp the shop is</legend>
      {rows.length > 0 && (
        <ul className="air-days">
          {rows.map((row) => (
            <li key={row.id}>
              {dayWords(row.on)}: {isMetric ? `${celsius(row.temperature)} °C` : `${row.temperature} °F`},{' '}
              {row.humidity} %{row.simulated && <em className="soft"> simulated</em>}
              <Button
                size="small"
                aria-label={`Forget ${dayWords(row.on)}`}
                onClick={() => change([set(null, ['calendar', 'air', row.id], undefined)])}
              >
                Forget
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="row wrap">
        <DayField label="On" value={on} onChange={setOn} />
        <div className="small-field">
          <NumberField
            label="Temperature"
            unit={isMetric ? '°C' : '°F'}
            least={isMetric ? celsius(-10) : -10}
            most={isMetric ? celsius(120) : 120}
            value={isMetric ? celsius(temperature) : temperature}
            onChange={(value) => value !== null && setTemperature(isMetric ? fahrenheit(value) : value)}
          />
        </div>
        <div className="small-field">
          <NumberField
            label="Humidity"
            unit="%"
            least={5}
            most={100}
            value={humidity}
            onChange={(value) => value !== null && setHumidity(value)}
          />
        </div>
        <Button
          disabled={on === null}
          onClick={() => on !== null && change([rowFor(on, { temperature, humidity, simulated: false })])}
        >
          Keep it
        </Button>
        <Button
          disabled={busy}
          onClick={() =>
            run(async () => {
              const days = Array.from({ length: AHEAD }, (_, k) => dateOf(dayOf(today()) + k));
              const found = await Promise.all(
                days.map(async (day) => ({ day, answer: await read({ query: { day, press: '0' } }).unwrap() })),
              );
              change(found.map(({ day, answer }) => rowFor(day, answer)));
              return 'The simulated thermometer sent invented readings for two weeks.';
            })
          }
        >
          Two weeks from the shop
        </Button>
      </div>
    </fieldset>
  );
}
