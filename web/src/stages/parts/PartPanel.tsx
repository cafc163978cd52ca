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
import { useApp, useChangePiece, usePlan, useUnits } from '../../state/hooks';
import { said } from '../../state/view';
import { Dim } from '../../words/Dim';
import { PartTag } from '../../words/PartTag';
import { Words } from '../../words/Words';
import { ABOUT_THE_JOB } from '../shared/NoteDialog';
import { Notes } from '../shared/Notes';
import './PartPanel.css';

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
      <Notes about={{ ...ABOUT_THE_JOB, piece: piece.id, family: piece.family, part: part.id }} />
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

function MaterialField({ value, onChange }: { readonly value: Stocked; readonly onChange: (value: Stocked) => void }) {
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

type FieldsProps = {
  readonly part: Part;
  readonly piece: Piece;
  /** Where in the piece it is said. */
  readonly at: readonly ['overrides' | 'loose', string];
  readonly countLabel: string;
  readonly leastCount: number;
};

/** Sizes, stock and count of a part, as a person says. */
function PartFields({ part, piece, at, countLabel, leastCount }: FieldsProps) {
  const change = useChangePiece(piece.id);
  return (
    <div className="sizes two">
      <LengthField
        label="length"
        value={part.length}
        least={1}
        onChange={(value) => change([...at, 'length'], value)}
      />
      <LengthField label="width" value={part.width} least={1} onChange={(value) => change([...at, 'width'], value)} />
      <MaterialField value={part.material as Stocked} onChange={(value) => change([...at, 'material'], value)} />
      <NumberField
        label={countLabel}
        least={leastCount}
        most={500}
        value={part.count}
        onChange={(value) => value !== null && change([...at, 'count'], value)}
      />
    </div>
  );
}

/** Sizes, stock and count set by hand. What was worked out stays beside it and can be had back. */
function ByHand({ part, piece }: { readonly part: Part; readonly piece: Piece }) {
  const change = useChangePiece(piece.id);
  const units = useUnits();
  const at = ['overrides', part.tag] as const;
  const changed = Object.keys(part.changed).length > 0;
  return (
    <fieldset className="by-hand" key={units}>
      <legend>Set by hand</legend>
      <PartFields part={part} piece={piece} at={at} countLabel="count, each piece" leastCount={0} />
      {changed && (
        <p className="changed">
          Worked out:{' '}
          {Object.entries(part.changed).map(([key, value]) => (
            <span key={key}>
              {key} {typeof value === 'number' && key !== 'count' ? <Dim of={value} /> : value}{' '}
            </span>
          ))}
          <Button size="small" onClick={() => change(at, undefined)}>
            Take back
          </Button>
        </p>
      )}
    </fieldset>
  );
}

/** A part that was added by hand. */
function LooseFields({ part, piece }: { readonly part: Part; readonly piece: Piece }) {
  const change = useChangePiece(piece.id);
  const at = ['loose', part.tag] as const;
  return (
    <fieldset className="by-hand">
      <legend>Added by hand</legend>
      <PartFields part={part} piece={piece} at={at} countLabel="count" leastCount={1} />
      <Button size="small" onClick={() => change(at, undefined)}>
        Remove it
      </Button>
    </fieldset>
  );
}
