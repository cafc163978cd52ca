import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { endText, found, type Part, type Piece, plain, printLength, printMaterial, sure, type Units } from '@sill/core';
import { DataTable, type TableColumn } from '../../ui/DataTable';
import { PartPicture } from '../../drawing/PartPicture';
import { USUAL_VIEW } from '../../drawing/iso';
import { useFrom, useJob, usePiece, usePieceFacts, usePlan, useUnits } from '../../state/hooks';
import { Dim, Text } from '../../words/Dim';
import { PartTag } from '../../words/PartTag';
import { Words } from '../../words/Words';
import { StageHead } from '../shared/StageHead';
import { useBuilt } from '../shared/useBuilt';
import { Waiting } from '../shared/Waiting';
import { PartPanel } from './PartPanel';
import { PartsTools } from './PartsTools';
import { Segmented } from '../../ui/Segmented';
import './PartsStage.css';

const WHICH = [
  [false, 'This piece'],
  [true, 'Whole job'],
] as const;

const madeFrom = (part: Part) =>
  `${part.plies > 1 ? `${part.plies} × ` : ''}${part.bought ? 'bought' : printMaterial(part.material)}`;
/** Both ends in a few signs: `15°` for mitres alike, `22.5° / 45° bevel` else. */
const endsOf = (part: Part): string => {
  const [left, right] = [endText(part.ends.left), endText(part.ends.right)].map((text) =>
    text.replace(' mitre', ''),
  ) as [string, string];
  return left === right ? left : `${left || 'square'} / ${right || 'square'}`;
};
const cutsOf = (part: Part): string => [...new Set(part.cuts.map(({ kind }) => kind))].join(', ');

const NONE: readonly Part[] = [];

/** What the list tells of a part; of the whole job also whose it is. */
function columnsOf(
  parts: readonly Part[],
  all: boolean,
  units: Units,
  nameOf: (piece: string) => Piece,
): readonly TableColumn<Part>[] {
  const size = (key: 'length' | 'width' | 'thickness', head: string): TableColumn<Part> => ({
    key,
    head,
    number: true,
    value: (part) => part[key],
    csv: (part) => printLength(part[key], units),
    cell: (part) => (
      <span className={key in part.changed ? 'changed' : ''}>
        <Dim of={part[key]} />
      </span>
    ),
  });
  return [
    ...(all ? [{ key: 'piece', head: 'Piece', value: (part: Part) => nameOf(part.piece).name }] : []),
    { key: 'tag', head: 'Tag', value: (part) => part.tag, cell: (part) => <PartTag id={part.id} tag={part.tag} /> },
    {
      key: 'role',
      head: 'Part',
      value: (part) => (part.fit ? `${part.name}, fit` : part.name),
      cell: (part) => (
        <>
          {part.name}
          {part.fit && (
            <span className="fit" title={`fit: ${plain(part.fit, units)}`}>
              {' '}
              fit
            </span>
          )}
        </>
      ),
    },
    { key: 'count', head: 'Count', number: true, value: (part) => part.count * nameOf(part.piece).copies },
    size('length', 'Long'),
    size('width', 'Wide'),
    size('thickness', 'Thick'),
    // A column that nothing stands in only takes room.
    ...[
      { key: 'ends', head: 'Ends', value: endsOf },
      { key: 'cuts', head: 'Cut out', value: cutsOf },
    ].filter(({ value }) => parts.some((part) => value(part) !== '')),
    { key: 'from', head: 'Made from', value: madeFrom, cell: (part) => <Text of={madeFrom(part)} /> },
  ];
}

/** The exact list: tag, role, sizes, ends, cut-outs, what it is made from, and what is cut to fit. */
export function PartsStage() {
  const job = useJob();
  const plan = usePlan();
  const piece = usePiece();
  const facts = usePieceFacts();
  const units = useUnits();
  const marked = useFrom((state) => state.view.marked);
  const [search, setSearch] = useSearchParams();
  const [all, setAll] = useState(false);
  const nameOf = (id: string) => found(job.pieces, (item) => item.id === id);
  // Before the first plan there are the parts of the piece, where no plan has to choose the boards of its top.
  const built = useBuilt(plan || all ? null : piece);
  const early = built?.settled ? built.model.parts : null;
  const own = facts?.parts ?? early ?? NONE;
  const parts = all ? (plan?.parts ?? NONE) : own;
  const count = parts.reduce((sum, part) => sum + part.count * (nameOf(part.piece)?.copies ?? 1), 0);
  const picked = parts.find((part) => part.tag === search.get('part') && part.piece === piece?.id) ?? null;
  const pick = (tag: string | null, of?: string) =>
    setSearch((before) => {
      const next = Object.fromEntries(before);
      delete next.part;
      return { ...next, ...(tag ? { part: tag } : {}), ...(of ? { piece: of } : {}) };
    });

  const columns = columnsOf(parts, all, units, nameOf);
  const shown = picked ?? parts.find((part) => part.id === marked && part.piece === piece?.id) ?? null;
  const drawn = useMemo(
    () =>
      own
        .filter((part) => !part.loose)
        .map((part) => ({ part, as: shown && part.id === shown.id ? ('new' as const) : ('there' as const) })),
    [own, shown],
  );
  const fits = parts.filter((part) => part.fit !== null);
  return (
    <>
      <StageHead title="Parts" about={parts.length > 0 ? `${count} parts · finished sizes` : ''}>
        {piece && facts && facts.parts.length > 0 && <PartsTools piece={piece} parts={facts.parts} onAdded={pick} />}
        <Segmented label="Which pieces" value={all} options={WHICH} onChange={setAll} />
      </StageHead>
      <Waiting early={early !== null && early.length > 0}>
        <div className="parts-columns">
          <section className="sheet">
            <DataTable
              name="Parts"
              rows={parts}
              columns={columns}
              rowId={(part) => part.id}
              partOf={(part) => part.id}
              picked={picked?.id ?? null}
              onPick={(part) => pick(part.tag, part.piece)}
            />
          </section>
          <section className="sheet parts-side" aria-label="Where it is">
            <PartPicture
              parts={drawn}
              view={USUAL_VIEW}
              width={250}
              measure={shown && !shown.loose ? shown : 'outside'}
              label={`Where ${shown?.tag ?? 'each part'} is`}
            />
            {picked && piece ? (
              <PartPanel key={picked.id} part={picked} piece={piece} />
            ) : (
              <p className="soft">Point at a row to see the part. Click it for its template, or to set it by hand.</p>
            )}
            {!picked && fits.length > 0 && (
              <>
                <h2>Cut these to fit</h2>
                <ul className="fit-list">
                  {fits.slice(0, 12).map((part) => (
                    <li key={part.id}>
                      <PartTag id={part.id} tag={part.tag} />: measure{' '}
                      <Words of={sure(part.fit, 'measure of the part')} piece={part.piece} />
                    </li>
                  ))}
                </ul>
              </>
            )}
          </section>
        </div>
      </Waiting>
    </>
  );
}
