import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { set, type Change, type JobCalendar } from '@sill/core';
import { useChange, useChangeJob, useEdges, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { DayField } from '../../ui/DayField';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { AirDays } from './AirDays';
import { TimeSpan } from './TimeSpan';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
const DAY_OPTIONS = DAYS.map((name, at) => [at + 1, name] as const);

/** When there is time to work, when there is not, and what else the days are laid out by. */
export default function HoursDialog({ onClose }: { readonly onClose: () => void }) {
  const { calendar } = useJob();
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="hours-title">
      <DialogTitle id="hours-title">When I have time</DialogTitle>
      <DialogContent>
        <div className="form hours-form">
          <Wanted calendar={calendar} />
          <Weekly calendar={calendar} />
          <Single calendar={calendar} />
          <Away calendar={calendar} />
          <Rules calendar={calendar} />
          <Store calendar={calendar} />
          <AirDays calendar={calendar} />
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Done</Button>
      </DialogActions>
    </Dialog>
  );
}

type Props = { readonly calendar: JobCalendar };
const NONE = 'none';

function Wanted({ calendar: { due, zone } }: Props) {
  const change = useChangeJob();
  const { zoneHere } = useEdges();
  const here = zoneHere();
  const zones: readonly (readonly [string, string])[] = [
    [NONE, 'a clock that is never changed'],
    [here, `${here}, as this device`],
    ...(zone !== null && zone !== here ? [[zone, zone] as const] : []),
  ];
  return (
    <div className="row wrap">
      <DayField label="Must be ready by" value={due} onChange={(day) => change(['calendar', 'due'], day)} />
      <Pick
        label="Times are of"
        value={zone ?? NONE}
        options={zones}
        onChange={(next) => change(['calendar', 'zone'], next === NONE ? null : next)}
      />
    </div>
  );
}

type Free = Pick<JobCalendar['week'][number], 'from' | 'to' | 'quiet' | 'helpers'>;

/** Hours of one row: from when to when, quietly or not, with how many more. */
function FreeFields({ row, onChange }: { readonly row: Free; readonly onChange: (next: Partial<Free>) => void }) {
  return (
    <>
      <TimeSpan from={row.from} to={row.to} onChange={onChange} />
      <label className="tick">
        <input type="checkbox" checked={row.quiet} onChange={({ target }) => onChange({ quiet: target.checked })} />
        quiet work only
      </label>
      <div className="small-field">
        <NumberField
          label="Helpers"
          least={0}
          most={9}
          value={row.helpers}
          onChange={(helpers) => helpers !== null && onChange({ helpers })}
        />
      </div>
    </>
  );
}

function Weekly({ calendar: { week } }: Props) {
  const change = useChangeJob();
  const rows = [...week].sort((a, b) => a.day - b.day || a.from - b.from);
  return (
    <fieldset className="choice">
      <legend>Every week</legend>
      <ul className="hours">
        {rows.map((row) => (
          <li key={row.id} className="row wrap">
            <Pick
              label="Day"
              value={row.day}
              options={DAY_OPTIONS}
              onChange={(day) => change(['calendar', 'week', row.id], { ...row, day: Number(day) })}
            />
            <FreeFields row={row} onChange={(next) => change(['calendar', 'week', row.id], { ...row, ...next })} />
            <Button
              aria-label={`No time on ${DAYS[row.day - 1]} any more`}
              onClick={() => change(['calendar', 'week', row.id], undefined)}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <Button
        onClick={() => {
          const id = newId();
          const row = { id, day: 3, from: 19 * 60, to: 21 * 60, quiet: true, helpers: 0 };
          change(['calendar', 'week', id], row);
        }}
      >
        Add hours
      </Button>
    </fieldset>
  );
}

function Single({ calendar: { extra } }: Props) {
  const change = useChangeJob();
  const { today } = useEdges();
  return (
    <fieldset className="choice">
      <legend>On one day more</legend>
      <ul className="hours">
        {extra.map((row) => (
          <li key={row.id} className="row wrap">
            <DayField
              label="Day"
              value={row.on}
              onChange={(on) => on !== null && change(['calendar', 'extra', row.id], { ...row, on })}
            />
            <FreeFields row={row} onChange={(next) => change(['calendar', 'extra', row.id], { ...row, ...next })} />
            <Button onClick={() => change(['calendar', 'extra', row.id], undefined)}>Remove</Button>
          </li>
        ))}
      </ul>
      <Button
        onClick={() => {
          const id = newId();
          change(['calendar', 'extra', id], { id, on: today(), from: 19 * 60, to: 21 * 60, quiet: true, helpers: 0 });
        }}
      >
        Add a day
      </Button>
    </fieldset>
  );
}

function Away({ calendar: { off, busy } }: Props) {
  const changeAll = useChange();
  const change = useChangeJob();
  const { today } = useEdges();
  return (
    <fieldset className="choice">
      <legend>Days off, and busy times</legend>
      <ul className="hours">
        {off.map((row) => (
          <li key={row.id} className="row wrap">
            <DayField
              label="First day"
              value={row.from}
              onChange={(from) =>
                from !== null &&
                change(['calendar', 'off', row.id], { ...row, from, to: row.to < from ? from : row.to })
              }
            />
            <DayField
              label="Last day"
              value={row.to}
              onChange={(to) =>
                to !== null && change(['calendar', 'off', row.id], { ...row, to, from: row.from > to ? to : row.from })
              }
            />
            <Button onClick={() => change(['calendar', 'off', row.id], undefined)}>Remove</Button>
          </li>
        ))}
      </ul>
      <div className="row wrap">
        <Button
          onClick={() => {
            const id = newId();
            change(['calendar', 'off', id], { id, from: today(), to: today() });
          }}
        >
          Add days off
        </Button>
        {busy.length > 0 ? (
          <>
            <span>{busy.length} busy times from a calendar file are kept free.</span>
            <Button onClick={() => changeAll([set(null, ['calendar', 'busy'], [])])}>Forget them</Button>
          </>
        ) : (
          <span className="soft">Busy times are read under Calendar file.</span>
        )}
      </div>
    </fieldset>
  );
}

function Rules({ calendar: { loud, trip, rest, room } }: Props) {
  const change = useChangeJob();
  const number = (key: 'trip' | 'rest' | 'room') => (value: number | null) =>
    value !== null && change(['calendar', key], value);
  return (
    <fieldset className="choice">
      <legend>Noise, room and waiting</legend>
      <div className="row wrap">
        <span>Saws, routers and sanders run</span>
        <TimeSpan
          from={loud.from}
          to={loud.to}
          onChange={(next) => change(['calendar', 'loud'], { ...loud, ...next })}
        />
      </div>
      <div className="grid-fields">
        <NumberField
          label="A trip to the yard"
          unit="min"
          least={0}
          most={600}
          value={trip}
          onChange={number('trip')}
        />
        <NumberField
          label="Boards lie before milling"
          unit="days"
          least={0}
          most={60}
          value={rest}
          onChange={number('rest')}
        />
        <NumberField
          label="Room for glue-ups and wet pieces"
          least={1}
          most={50}
          value={room}
          onChange={number('room')}
        />
      </div>
      <p className="soft">
        A week or two lets boards from the yard dry to the room. Under 12 percent on a meter they need no longer.
      </p>
    </fieldset>
  );
}

/** Hours of the yard: for the days from the first to the last at once, as a sign at its door has them. */
function Store({ calendar: { store } }: Props) {
  const changeAll = useChange();
  const [isOpen, setOpen] = useState(false);
  const put = (day: number, next: { readonly from?: number; readonly to?: number } | null) => {
    const known = store.find((row) => row.day === day);
    const id = known?.id ?? `store-${day}`;
    const row = { id, day, from: 8 * 60, to: 18 * 60, ...known, ...next };
    const change: Change = set(null, ['calendar', 'store', id], next === null ? undefined : row);
    changeAll([change]);
  };
  return (
    <fieldset className="choice">
      <legend>The yard is open</legend>
      {!isOpen ? (
        <div className="row wrap">
          <span>{store.length === 0 ? 'On no day.' : `On ${store.length} days a week.`}</span>
          <Button onClick={() => setOpen(true)}>Show its hours</Button>
        </div>
      ) : (
        <ul className="hours">
          {DAYS.map((name, at) => {
            const row = store.find(({ day }) => day === at + 1);
            return (
              <li key={name} className="row wrap">
                <label className="tick day-tick">
                  <input
                    type="checkbox"
                    checked={row !== undefined}
                    onChange={({ target }) => put(at + 1, target.checked ? {} : null)}
                  />
                  {name}
                </label>
                {row && <TimeSpan from={row.from} to={row.to} onChange={(next) => put(at + 1, next)} />}
              </li>
            );
          })}
        </ul>
      )}
    </fieldset>
  );
}
