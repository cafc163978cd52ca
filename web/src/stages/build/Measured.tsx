import { Button, MenuItem, TextField } from '@mui/material';
import { useState } from 'react';
import {
  inches,
  type Length,
  measurable,
  nth,
  type Part,
  type Plan,
  rackOf,
  type Side,
  SIDES,
  type Step,
  sure,
  WHOLE_TOP,
} from '@sill/core';
import { LengthField } from '../../ui/LengthField';
import { usePiece } from '../../state/hooks';
import { useLazyTapeQuery } from '../../state/server';
import { useErrand } from '../../state/useErrand';
import { about, STAMP, useReadings, useTell } from '../../state/useLedger';
import { Dim } from '../../words/Dim';
import './Measured.css';

type Facts = Plan['pieces'][number];

/** A length that the digital tape sends, held where the plan says about so much. */
function TapeButton({
  about,
  onRead,
}: {
  readonly about: Length;
  readonly onRead: (length: Length, simulated: boolean) => void;
}) {
  const { busy, run } = useErrand();
  const [read] = useLazyTapeQuery();
  const [press, setPress] = useState(0);
  return (
    <Button
      size="small"
      disabled={busy}
      onClick={() =>
        run(async () => {
          const { length, simulated } = await read({ query: { about: String(about), press: String(press) } }).unwrap();
          setPress(press + 1);
          onRead(length, simulated);
          return simulated ? 'The simulated tape sent an invented reading.' : 'The tape sent its reading.';
        })
      }
    >
      From the tape
    </Button>
  );
}

/** Stands beside every reading that was invented. */
const Simulated = () => <em className="soft">simulated</em>;

/** Readings nearer than this to the plan are the plan's. */
const MARK: Length = inches(1 / 8);

/** Both diagonals as read, and which corner to push by how much. */
export function Diagonals({ step }: { readonly step: Step }) {
  const tell = useTell();
  // What was said stands in the job; the plan follows a moment later.
  const { id: piece } = sure(usePiece(), 'piece in view');
  const { diagonals, from } = useReadings(piece);
  if (!step.diagonals) return null;
  const should = step.diagonals;
  const [one, two] = diagonals[step.id] ?? [null, null];
  const read = [one ?? should[0], two ?? should[1]] as const;
  const known = diagonals[step.id] !== undefined;
  const record = (which: 0 | 1, length: Length, simulated = false) =>
    tell([{ id: STAMP.id(), at: STAMP.at, what: 'diagonal', piece, step: step.id, which, size: length, simulated }]);
  const lastOf = (at: 0 | 1) =>
    from
      .flatMap((entry) => (entry.what === 'diagonal' && entry.step === step.id && entry.which === at ? [entry] : []))
      .at(-1);
  // What a simulated tape said is said once a person reads the same.
  const isUnsaid = (at: 0 | 1) => nth([one, two], at) === null || lastOf(at)?.simulated === true;
  const invented = ([0, 1] as const).filter((at) => lastOf(at)?.simulated);
  const racked = known && step.sides ? rackOf(step.sides, read) : null;
  const off = read.map((length, at) => Math.abs(length - nth(should, at)) > MARK);
  return (
    <div className="sheet measured">
      <h3>Diagonals</h3>
      <div className="measured-row wide">
        <LengthField
          label="First, near left to far right"
          value={read[0]}
          unsaid={isUnsaid(0)}
          least={1}
          isReading
          onChange={(length) => record(0, length)}
        />
        <TapeButton about={should[0]} onRead={(length, made) => record(0, length, made)} />
        <LengthField
          label="Second, near right to far left"
          value={read[1]}
          unsaid={isUnsaid(1)}
          least={1}
          isReading
          onChange={(length) => record(1, length)}
        />
        <TapeButton about={should[1] + 127} onRead={(length, made) => record(1, length, made)} />
      </div>
      {invented.length > 0 && (
        <p className="measured-line">
          {invented.map((at) => (at === 0 ? 'First' : 'Second')).join(' and ')} reading: <Simulated />. Measure before
          you build on it.
        </p>
      )}
      {known && (
        <p role="status">
          {racked ? (
            <>
              The {racked.long} is longer. Push its two corners towards each other until the long side has slid by{' '}
              <Dim of={racked.push} about mark />: both then read <Dim of={racked.should} about mark />.
            </>
          ) : off.some(Boolean) ? (
            <>
              {step.sides ? 'They match, so it is square, but they' : 'They'} should read{' '}
              <Dim of={should[0]} about mark />
              {should[0] !== should[1] && (
                <>
                  {' '}
                  and <Dim of={should[1]} about mark />
                </>
              )}
              : a side is not as planned. Measure the sides before you go on.
            </>
          ) : step.sides ? (
            <>They match: it is square.</>
          ) : (
            <>Both read what they should: the frame has its shape.</>
          )}
        </p>
      )}
    </div>
  );
}

/** What a part measures as built: typed, or sent by the tape. What depends on it follows. */
export function AsBuilt({ facts, step }: { readonly facts: Facts; readonly step: Step }) {
  const tell = useTell();
  const { id: piece } = sure(usePiece(), 'piece in view');
  const { asBuilt, from } = useReadings(piece);
  const there = new Set([...step.adds, ...step.there]);
  const parts = measurable(facts.parts).filter(({ id, tag }) =>
    tag === WHOLE_TOP ? facts.parts.some((part) => part.role === 'top' && there.has(part.id)) : there.has(id),
  );
  const [tag, setTag] = useState('');
  const [side, setSide] = useState<Side>('length');
  const part = parts.find((one) => one.tag === tag) ?? parts.find(({ id }) => step.adds.includes(id)) ?? parts[0];
  if (!part) return null;
  const planned = (of: Part, which: Side): Length => (of.changed[which] as number | undefined) ?? of[which];
  const said = asBuilt[part.tag];
  const value = said?.[side] ?? planned(part, side);
  const record = (length: Length, simulated = false) =>
    tell([
      {
        ...{ id: STAMP.id(), at: STAMP.at, what: 'measured', piece, tag: part.tag, side },
        ...{ size: length, simulated, planned: planned(part, side) },
      },
    ]);
  const isInvented = (name: string, one: Side) =>
    from
      .flatMap((entry) => (entry.what === 'measured' && entry.tag === name && entry.side === one ? [entry] : []))
      .at(-1)?.simulated;
  const recorded = Object.entries(asBuilt).filter(([name]) => parts.some((one) => one.tag === name));
  const takeBack = (isIt: (entry: (typeof from)[number]) => boolean) =>
    tell(from.filter(isIt).map(({ id }) => about('corrected', id)));
  const forget = (name: string) => takeBack((entry) => entry.what !== 'diagonal' && entry.tag === name);
  const setCut = (cut: boolean) =>
    cut
      ? tell([{ id: STAMP.id(), at: STAMP.at, what: 'fitted', piece, tag: part.tag }])
      : takeBack((entry) => entry.what === 'fitted' && entry.tag === part.tag);
  return (
    <details className="sheet measured" open={recorded.length > 0}>
      <summary>Measured as built</summary>
      <div className="measured-row">
        <TextField select label="Part" value={part.tag} onChange={(event) => setTag(event.target.value)}>
          {parts.map((one) => (
            <MenuItem key={one.tag} value={one.tag}>
              {one.tag} {one.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField select label="Side" value={side} onChange={(event) => setSide(event.target.value as Side)}>
          {SIDES.map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </TextField>
        <LengthField
          key={`${part.tag} ${side}`}
          label="Reads"
          value={value}
          unsaid={said?.[side] === undefined || isInvented(part.tag, side) === true}
          least={1}
          isReading
          onChange={(length) => record(length)}
        />
        <TapeButton about={planned(part, side)} onRead={record} />
      </div>
      {part.fit !== null && (
        <label className="tick">
          <input type="checkbox" checked={said?.cut ?? false} onChange={(event) => setCut(event.target.checked)} />
          <span>{part.tag} is cut</span>
        </label>
      )}
      {recorded.map(([name, sizes]) => (
        <p key={name} className="measured-line">
          <strong>{name}</strong>{' '}
          {SIDES.flatMap((one) => (sizes[one] === undefined ? [] : [[one, sizes[one]] as const])).map(([one, size]) => (
            <span key={one}>
              {one} <Dim of={size} mark /> {isInvented(name, one) && <Simulated />}{' '}
            </span>
          ))}
          <Button size="small" onClick={() => forget(name)} aria-label={`Forget what ${name} measures`}>
            Forget
          </Button>
        </p>
      ))}
      {facts.model.adaptations
        .filter(({ measured }) => parts.some((one) => one.tag === measured))
        .map(({ part: name, from, to, then, measured, changes }) => (
          <p key={`${measured} ${name} ${changes}`} className="measured-line">
            {name}: <Dim of={from} mark /> becomes <Dim of={to} mark />
            {then === 'follows' ? ', in the plan' : `; it is cut: ${then}`}
          </p>
        ))}
    </details>
  );
}
