import { Autocomplete, Button, TextField } from '@mui/material';
import { useNavigate, useParams } from 'react-router';
import {
  cutsInWords,
  endsInWords,
  isSheet,
  LUMBER,
  lumberOf,
  printMaterial,
  STOCKED,
  shortLength,
  angled,
  settingName,
  settingWords,
  workOn,
  wordsOf,
  svgOf,
  templatesOf,
  type Part,
  type Piece,
  type Stocked,
} from '@sill/core';
import { LengthField } from '../../ui/LengthField';
import { NumberField } from '../../ui/NumberField';
import { saveFile } from '../../platform/files';
import { PartSheet } from '../../drawing/PartSheet';
import { useApp, useChange, usePlan, useUnits } from '../../state/hooks';
import { said } from '../../state/view';
import { Dim } from '../../words/Dim';
import { PartTag } from '../../words/PartTag';
import { Words } from '../../words/Words';

/** One part: how it is cut, its full-size template, and what a person may set by hand. */
export function PartPanel({ part, piece }: { readonly part: Part; readonly piece: Piece }) {
  const ends = endsInWords(part);
  const units = useUnits();
  const facts = usePlan()?.pieces.find((one) => one.piece.id === piece.id);
  const cuts = facts ? cutsInWords(part, facts.model, units) : [];
  return (
    <>
      <h2>
        <PartTag id={part.id} tag={part.tag} /> {part.name}
      </h2>
      {part.bought === null && <PartSheet part={part} />}
      <dl className="facts">
        <dt>Size</dt>
        <dd>
          <Dim of={part.length} /> × <Dim of={part.width} /> × <Dim of={part.thickness} />
          {angled(part) && (
            <>
              {' '}
              long point to long point; <Dim of={shortLength(part)} /> between the short points
            </>
          )}
        </dd>
        {ends && (
          <>
            <dt>Ends</dt>
            <dd>
              <Words of={ends} piece={part.piece} />
            </dd>
          </>
        )}
        {cuts.length > 0 && (
          <>
            <dt>Cut out</dt>
            {cuts.map((cut, at) => (
              <dd key={at}>
                <Words of={cut} piece={part.piece} />
              </dd>
            ))}
          </>
        )}
        {part.fit && (
          <>
            <dt>Fit</dt>
            <dd>
              measure <Words of={part.fit} piece={part.piece} />
              {part.dependsOn.length > 0 && <> It depends on {part.dependsOn.join(', ')}.</>}
            </dd>
          </>
        )}
      </dl>
      <Milling part={part} />
      {part.bought === null && <TemplateButtons part={part} />}
      {part.bought === null &&
        (part.loose ? <LooseFields part={part} piece={piece} /> : <ByHand part={part} piece={piece} />)}
    </>
  );
}

/** From the store's board to the part: the saw settings that it goes through, then what is done to it. */
function Milling({ part }: { readonly part: Part }) {
  const plan = usePlan();
  const facts = plan?.pieces.find((one) => one.piece.id === part.piece);
  const settings = plan?.setups.filter(({ parts }) => parts.some(({ id }) => id === part.id)) ?? [];
  const work = facts ? workOn(facts.steps, part.id) : [];
  if (settings.length + work.length === 0) return null;
  return (
    <>
      <h3>From board to part</h3>
      <ol className="milling">
        {settings.map((setup) => (
          <li key={setup.id}>
            <Words of={settingName(setup)} />: <Words of={settingWords(setup)} piece={part.piece} />
          </li>
        ))}
        {work.map((operation) => (
          <li key={operation.id}>
            <Words of={wordsOf(operation)} piece={part.piece} />
          </li>
        ))}
      </ol>
    </>
  );
}

function TemplateButtons({ part }: { readonly part: Part }) {
  const navigate = useNavigate();
  const { id } = useParams();
  const dispatch = useApp();
  const title = `${part.tag} ${part.name}`;
  const saveDxf = async () => {
    try {
      const { dxfOf } = await import('@sill/core/formats/out');
      saveFile(`${title}.dxf`, 'application/dxf', dxfOf(templatesOf(part), title));
    } catch (error) {
      dispatch(said({ text: error instanceof Error ? error.message : 'The drawing could not be saved.', bad: true }));
    }
  };
  return (
    <div className="row" role="group" aria-label="Full-size template">
      <span className="soft">Template</span>
      <Button size="small" onClick={() => void navigate(`/jobs/${id}/templates?piece=${part.piece}&part=${part.tag}`)}>
        Print full size
      </Button>
      <Button size="small" onClick={() => saveFile(`${title}.svg`, 'image/svg+xml', svgOf(templatesOf(part), title))}>
        SVG
      </Button>
      <Button size="small" onClick={() => void saveDxf()}>
        DXF
      </Button>
    </div>
  );
}

/** Grouped by line, the order they are offered in. */
const groupOf = (material: Stocked): string => (isSheet(material) ? 'Sheets' : LUMBER[lumberOf(material)].name);

export function MaterialField({
  value,
  onChange,
}: {
  readonly value: Stocked;
  readonly onChange: (value: Stocked) => void;
}) {
  return (
    <Autocomplete
      options={STOCKED}
      groupBy={groupOf}
      getOptionLabel={printMaterial}
      value={value}
      disableClearable
      onChange={(_, material) => onChange(material)}
      renderInput={(input) => <TextField {...input} label="made from" />}
    />
  );
}

/** Sizes, stock and count set by hand. What was worked out stays beside it and can be had back. */
function ByHand({ part, piece }: { readonly part: Part; readonly piece: Piece }) {
  const change = useChange();
  const units = useUnits();
  const own = piece.overrides[part.tag] ?? {};
  const put = (value: Piece['overrides'][string] | null) => {
    const others = Object.fromEntries(Object.entries(piece.overrides).filter(([tag]) => tag !== part.tag));
    change([
      { piece: piece.id, path: ['overrides'], value: value === null ? others : { ...others, [part.tag]: value } },
    ]);
  };
  const set = (key: string, value: unknown) => put({ ...own, [key]: value });
  const changed = Object.keys(part.changed).length > 0;
  return (
    <fieldset className="by-hand" key={units}>
      <legend>Set by hand</legend>
      <div className="sizes two">
        <LengthField label="length" value={part.length} least={1} onChange={(value) => set('length', value)} />
        <LengthField label="width" value={part.width} least={1} onChange={(value) => set('width', value)} />
        <MaterialField value={part.material as Stocked} onChange={(value) => set('material', value)} />
        <NumberField
          label="count, each piece"
          least={0}
          most={500}
          value={part.count}
          onChange={(value) => value !== null && set('count', value)}
        />
      </div>
      {changed && (
        <p className="changed">
          Worked out:{' '}
          {Object.entries(part.changed).map(([key, value]) => (
            <span key={key}>
              {key} {typeof value === 'number' && key !== 'count' ? <Dim of={value} /> : value}{' '}
            </span>
          ))}
          <Button size="small" onClick={() => put(null)}>
            Take back
          </Button>
        </p>
      )}
    </fieldset>
  );
}

/** A part that was added by hand. */
function LooseFields({ part, piece }: { readonly part: Part; readonly piece: Piece }) {
  const change = useChange();
  const at = piece.loose.findIndex((row) => row.tag === part.tag);
  const set = (key: string, value: unknown) => change([{ piece: piece.id, path: ['loose', at, key], value }]);
  return (
    <fieldset className="by-hand">
      <legend>Added by hand</legend>
      <div className="sizes two">
        <LengthField label="length" value={part.length} least={1} onChange={(value) => set('length', value)} />
        <LengthField label="width" value={part.width} least={1} onChange={(value) => set('width', value)} />
        <MaterialField value={part.material as Stocked} onChange={(value) => set('material', value)} />
        <NumberField
          label="count"
          least={1}
          most={500}
          value={part.count}
          onChange={(value) => value !== null && set('count', value)}
        />
      </div>
      <Button
        size="small"
        onClick={() =>
          change([{ piece: piece.id, path: ['loose'], value: piece.loose.filter((row) => row.tag !== part.tag) }])
        }
      >
        Remove it
      </Button>
    </fieldset>
  );
}
