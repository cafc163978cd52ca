import { Button } from '@mui/material';
import { BLADES, DRIVERS, KITS, TOOLS, TOOL_NAMES, inches, type Shop } from '@sill/core';
import { Choice } from '../../ui/Choice';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { useChangeJob, useJob } from '../../state/hooks';
import { USUAL_SHOP, useLazyShopsQuery, useSaveShopMutation } from '../../state/server';
import { useErrand } from '../../state/useErrand';
import './ShopForm.css';

type Lengths = 'crosscut' | 'kerf' | 'squareEnds' | 'edgeRip' | 'topExtra' | 'partExtra' | 'snipe' | 'car' | 'spacing';
const LENGTHS: readonly (readonly [Lengths, string])[] = [
  ['crosscut', 'Widest board the saw crosscuts'],
  ['kerf', 'Width of the saw’s cut'],
  ['squareEnds', 'Taken off each end to square a board'],
  ['edgeRip', 'Ripped off each rounded edge'],
  ['topExtra', 'Left on top boards until glued'],
  ['partExtra', 'Left on glued legs and fit parts'],
  ['snipe', 'Gouged by the planer at each end'],
  ['car', 'Longest board the car takes'],
  ['spacing', 'Pockets along an edge, at most'],
];

/** What else is counted: by name, with its unit and bounds. */
const NUMBERS = [
  ['mitre', 'The crosscut saw turns to', { unit: '°', least: 0, most: 90 }],
  ['lift', 'One person carries', { unit: 'lb', least: 1, most: 1000 }],
  ['spoiled', 'Boards spoiled of a hundred', { least: 0, most: 50, fractions: true }],
] as const;

type OwnedProps<T extends string> = {
  readonly all: readonly T[];
  readonly owned: readonly T[];
  readonly nameOf: (one: T) => string;
  readonly onChange: (owned: readonly T[]) => void;
};

/** Things a shop has or has not, each ticked by itself. */
function Owned<T extends string>({ all, owned, nameOf, onChange }: OwnedProps<T>) {
  return (
    <div className="chips">
      {all.map((one) => (
        <label key={one} className="chip">
          <input
            type="checkbox"
            checked={owned.includes(one)}
            onChange={({ target }) =>
              onChange(target.checked ? [...owned, one] : owned.filter((other) => other !== one))
            }
          />
          <span>{nameOf(one)}</span>
        </label>
      ))}
    </div>
  );
}

const TURN = { before: inches(36), after: inches(36) };
const LOAD = { length: inches(72), width: inches(40), height: inches(32) };

type Put = <Key extends keyof Shop>(key: Key, value: Shop[Key]) => void;
type NumberKey = { [Key in keyof Shop]: Shop[Key] extends number ? Key : never }[keyof Shop];
type PartProps = { readonly shop: Shop; readonly put: Put };

/** What a finished piece must pass between the workshop and where it stays. */
function WayOut({ shop, put }: PartProps) {
  const { turn, load } = shop;
  return (
    <fieldset className="choice">
      <legend>The way to where it stays</legend>
      <div className="chips">
        <label className="chip">
          <input
            type="checkbox"
            checked={turn !== null}
            onChange={({ target }) => put('turn', target.checked ? TURN : null)}
          />
          <span>a turn, as of stairs</span>
        </label>
        <label className="chip">
          <input
            type="checkbox"
            checked={load !== null}
            onChange={({ target }) => put('load', target.checked ? LOAD : null)}
          />
          <span>it is driven there</span>
        </label>
      </div>
      <div className="grid-fields">
        <LengthField
          label="Narrowest door on the way"
          least={inches(12)}
          value={shop.door}
          onChange={(value) => put('door', value)}
        />
        {turn &&
          (['before', 'after'] as const).map((side) => (
            <LengthField
              key={side}
              label={`Width ${side} the turn`}
              least={inches(12)}
              value={turn[side]}
              onChange={(value) => put('turn', { ...turn, [side]: value })}
            />
          ))}
        {load &&
          (['length', 'width', 'height'] as const).map((side) => (
            <LengthField
              key={side}
              label={`Load space, ${side}`}
              least={inches(12)}
              value={load[side]}
              onChange={(value) => put('load', { ...load, [side]: value })}
            />
          ))}
      </div>
      <p className="help">What does not pass whole is joined where it stays, and Build says which step that is.</p>
    </fieldset>
  );
}

/** What there is to work with. */
function Tools({ shop, put }: PartProps) {
  return (
    <fieldset className="choice">
      <legend>Tools</legend>
      <Owned
        all={TOOL_NAMES}
        owned={shop.tools}
        nameOf={(tool) => TOOLS[tool]}
        onChange={(tools) => put('tools', tools)}
      />
      <p className="help">What these can not do is told in the margin, with another way.</p>
      <div className="row wrap">
        {KITS.map((kit) => (
          <Button key={kit.name} size="small" title={kit.about} onClick={() => put('tools', kit.tools)}>
            {kit.name}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}

/** Sizes that the plan counts on, and what this builder can. */
function Numbers({ shop, put }: PartProps) {
  const set = (key: NumberKey, value: number | null) => value !== null && put(key, value);
  return (
    <div className="grid-fields">
      {LENGTHS.map(([key, label]) => (
        <LengthField
          key={key}
          label={label}
          {...(key === 'kerf' ? { least: inches(1 / 64), most: inches(0.4) } : {})}
          value={shop[key]}
          onChange={(value) => set(key, value)}
        />
      ))}
      {NUMBERS.map(([key, label, rest]) => (
        <NumberField key={key} label={label} value={shop[key]} onChange={(value) => set(key, value)} {...rest} />
      ))}
    </div>
  );
}

/** How wide each saw really cuts. */
function SawCuts({ shop, put }: PartProps) {
  return (
    <fieldset className="choice">
      <legend>Each saw’s own cut</legend>
      <div className="grid-fields">
        {BLADES.filter((blade) => shop.tools.includes(blade)).map((blade) => (
          <LengthField
            key={blade}
            label={`Cut of the ${TOOLS[blade]}`}
            least={inches(1 / 64)}
            most={inches(0.4)}
            value={shop.blades[blade] ?? shop.kerf}
            onChange={(value) => put('blades', { ...shop.blades, [blade]: value })}
          />
        ))}
      </div>
      <p className="help">
        Make one cut in scrap and measure the slot. The cut plan counts the wider of what crosscuts and what rips.
      </p>
    </fieldset>
  );
}

/** Clamps by how far they open, and what is glued up on. */
function ClampsAndBench({ shop, put }: PartProps) {
  const { clamps } = shop;
  return (
    <fieldset className="choice">
      <legend>Clamps and bench</legend>
      {clamps.map((row, at) => (
        <div key={at} className="row clamp-row">
          <NumberField
            label={`Clamps, row ${at + 1}`}
            least={1}
            most={200}
            value={row.count}
            onChange={(count) => count !== null && put('clamps', clamps.with(at, { ...row, count }))}
          />
          <LengthField
            label={`Row ${at + 1} opens to`}
            least={inches(1)}
            value={row.length}
            onChange={(length) => put('clamps', clamps.with(at, { ...row, length }))}
          />
          <Button
            size="small"
            aria-label={`Take row ${at + 1} of clamps away`}
            onClick={() => put('clamps', clamps.toSpliced(at, 1))}
          >
            Take away
          </Button>
        </div>
      ))}
      <Button size="small" onClick={() => put('clamps', [...clamps, { length: inches(36), count: 2 }])}>
        Add clamps
      </Button>
      <div className="grid-fields">
        {(['length', 'width'] as const).map((side) => (
          <LengthField
            key={side}
            label={`Bench, ${side}`}
            least={inches(6)}
            value={shop.bench[side]}
            onChange={(value) => put('bench', { ...shop.bench, [side]: value })}
          />
        ))}
      </div>
    </fieldset>
  );
}

/** What the plan may count on in this shop. */
export function ShopForm() {
  const { shop, spares } = useJob();
  const change = useChangeJob();
  const { busy, run } = useErrand();
  const [shops] = useLazyShopsQuery();
  const [save] = useSaveShopMutation();
  const usual = async () => (await shops({}).unwrap()).find((row) => row.id === USUAL_SHOP);
  const keep = () =>
    run(async () => {
      const revision = (await usual())?.revision ?? 0;
      await save({ params: { id: USUAL_SHOP }, body: { revision, value: shop } }).unwrap();
      return 'Kept as your usual shop. New jobs start with it.';
    });
  const take = () =>
    run(async () => {
      const found = await usual();
      if (!found) throw new Error('There is no usual shop yet. Keep this one first.');
      change(['shop'], found.value);
      return 'Your usual shop is taken.';
    });
  const put: Put = (key, value) => change(['shop', key], value);
  return (
    <section className="sheet form shop" aria-label="My shop">
      <Tools shop={shop} put={put} />
      <Numbers shop={shop} put={put} />
      <SawCuts shop={shop} put={put} />
      <ClampsAndBench shop={shop} put={put} />
      <fieldset className="choice">
        <legend>Drivers</legend>
        <Owned
          all={DRIVERS}
          owned={shop.drivers}
          nameOf={(driver) => driver}
          onChange={(drivers) => put('drivers', drivers)}
        />
      </fieldset>
      <WayOut shop={shop} put={put} />
      <Choice
        label="Spare boards"
        value={spares}
        options={[
          { value: 'none', label: 'the exact count' },
          { value: 'each', label: 'one of each size' },
          { value: 'likely', label: 'as many as is likely' },
        ]}
        onChange={(value) => change(['spares'], value)}
      />
      <p className="soft">
        Exact count: when the yard is near and you pick straight boards. One of each: when a second trip costs an
        afternoon. As many as is likely: by how many of a hundred you spoil, so that nine times in ten no size runs out.
      </p>
      <div className="row">
        <Button disabled={busy} onClick={take}>
          Take my usual shop
        </Button>
        <Button disabled={busy} onClick={keep}>
          Keep as my usual shop
        </Button>
      </div>
    </section>
  );
}
