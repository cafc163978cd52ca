import { Button } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import {
  cameTo,
  counted,
  dayWords,
  earnedAnHour,
  isBoard,
  SPECIES,
  printMaterial,
  readingsOf,
  ownRecord,
  speciesOf,
  standingEntries,
  type EntryOf,
  type Job,
  type Plan,
  type Recipe,
} from '@sill/core';
import { NoPlan } from '../stages/shared/NoPlan';
import { useJob, usePlan } from '../state/hooks';
import { photoAddress } from '../state/usePhoto';
import { spanWords } from '../words/days';
import { Dim } from '../words/Dim';
import { MISHAP_WORDS } from '../words/entries';
import { useLabel } from '../words/labels';
import { difference, dollars } from '../words/money';
import { Words } from '../words/Words';
import type { Paper } from './heights';
import { PaperChoice } from './PaperChoice';
import './BuildRecord.css';

type Facts = Plan['pieces'][number];

/** Photos that a page has room for. */
const PHOTOS = 4;

/** The build record, a page a piece: what it is made of and how, what it came to, to keep or to stick underneath. */
export default function BuildRecord() {
  const job = useJob();
  const plan = usePlan();
  const navigate = useNavigate();
  const [paper, setPaper] = useState<Paper>(job.units === 'mm' ? 'a4' : 'letter');
  if (!plan) return <NoPlan />;
  const pieces = plan.pieces.filter(({ parts }) => parts.length > 0);
  return (
    <div className="packet" data-paper={paper}>
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <h1>Build record</h1>
        <PaperChoice paper={paper} onChange={setPaper} />
        <Button className="print-now" variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {pieces.map((facts, at) => (
        <section key={facts.piece.id} className="page build-record">
          <header>
            <h1>{facts.piece.name}</h1>
            <p>{job.name} · build record</p>
          </header>
          <div className="page-body">
            <PieceRecord job={job} plan={plan} facts={facts} />
            {at === 0 && <JobRecordPart job={job} plan={plan} />}
            <Told job={job} piece={facts.piece.id} isFirst={at === 0} />
            <Underneath job={job} facts={facts} />
          </div>
          <footer>
            <span>Loads are estimates for ordinary home use, not an engineer’s rating.</span>
            <span>
              {at + 1} of {pieces.length}
            </span>
          </footer>
        </section>
      ))}
    </div>
  );
}

/** Woods of a piece by their names. */
const woodsOf = ({ parts }: Facts): string =>
  [
    ...new Set(
      parts.map(({ material }) => (isBoard(material) ? SPECIES[speciesOf(material)].name : printMaterial(material))),
    ),
  ].join(', ');

/** Ways its joints are made, the commonest first. */
function waysOf({ fastenings }: Facts): string {
  const counts = new Map<string, number>();
  for (const { by } of fastenings) if (by !== 'nothing') counts.set(by, (counts.get(by) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([by, count]) => `${by} (${count})`)
    .join(', ');
}

const ON: Readonly<Record<Recipe['by'], string>> = {
  brush: 'by brush',
  wipe: 'wiped on',
  roller: 'by roller',
  spray: 'by spray',
};

/** What was put on a piece, so that it can be renewed with the same. */
function finishOf({ finishing }: Facts): readonly string[] {
  const told = finishing.treatments.map(({ recipe, coats }) => {
    const { sandTo, colours, coat, by } = recipe;
    return [
      ...(sandTo > 0 ? [`sanded to ${sandTo}`] : []),
      ...colours.map(({ product, mix }) => `${product} ${mix.map(({ tone }) => tone).join(' and ')}`),
      ...(coat !== 'none' && coats > 0 ? [`${counted(coats, 'coat')} of ${coat} ${ON[by]}`] : []),
    ].join(', ');
  });
  return [...new Set(told.filter((words) => words !== ''))];
}

/** Days on which it was coated. */
function coatedOn({ finishing, steps }: Facts, { ledger }: Job): string {
  if (finishing.treatments.length === 0) return '';
  const coats = new Set(
    steps.flatMap(({ operations }) => operations.flatMap(({ kind, id }) => (kind === 'coat' ? [id] : []))),
  );
  const days = standingEntries(ledger).flatMap((entry) =>
    entry.what === 'done' && coats.has(entry.of) && entry.at !== null ? [entry.at.slice(0, 10)] : [],
  );
  return [...new Set(days)].map(dayWords).join(', ');
}

function PieceRecord({ job, facts }: { readonly job: Job; readonly plan: Plan; readonly facts: Facts }) {
  const { piece, parts } = facts;
  const { asBuilt } = readingsOf(job, piece.id);
  const coated = coatedOn(facts, job);
  const measured = Object.entries(asBuilt).filter(
    ([, sizes]) => sizes.length !== undefined || sizes.width !== undefined,
  );
  return (
    <dl className="record-facts">
      <dt>Size</dt>
      <dd>
        <Dim of={piece.size.length} mark /> × <Dim of={piece.size.width} mark /> × <Dim of={piece.size.height} mark />
        {piece.copies > 1 && `, ${piece.copies} alike`}
      </dd>
      <dt>Wood</dt>
      <dd>
        {woodsOf(facts)}, {counted(parts.length, 'part')}, {Math.round(facts.weight)} lb
      </dd>
      <dt>Joints</dt>
      <dd>{waysOf(facts)}</dd>
      <dt>Finish</dt>
      <dd>
        {finishOf(facts).join('; ') || 'bare'}
        {coated !== '' && <> ({coated})</>}
      </dd>
      {measured.length > 0 && (
        <>
          <dt>As built</dt>
          <dd>
            {measured.slice(0, 12).map(([tag, sizes]) => (
              <span key={tag} className="as-built">
                {tag} {sizes.length !== undefined && <Dim of={sizes.length} mark />}
                {sizes.length === undefined && sizes.width !== undefined && <Dim of={sizes.width} mark />}
              </span>
            ))}
          </dd>
        </>
      )}
    </dl>
  );
}

/** What the whole job came to, planned and real. */
function JobRecordPart({ job, plan }: { readonly job: Job; readonly plan: Plan }) {
  const { setOut, closed, from, minutes, cents, boards } = ownRecord(job);
  const moisture = standingEntries(job.ledger).flatMap((entry) => (entry.what === 'moisture' ? [entry] : []));
  const so = closed ?? cameTo(job, plan, null);
  const paid = so.cents || cents;
  const earned = closed ? earnedAnHour(closed.bought, closed) : null;
  return (
    <dl className="record-facts">
      <dt>Built</dt>
      <dd>
        {from === null ? 'not begun' : dayWords(from)}
        {closed?.ready ? ` to ${dayWords(closed.ready)}` : from === null ? '' : ', not finished'}
      </dd>
      <dt>Hours</dt>
      <dd>
        {spanWords(Math.round(so.minutes || minutes))}
        {setOut && `, planned ${spanWords(setOut.minutes)}`}
      </dd>
      <dt>Money</dt>
      <dd>
        {dollars(paid)}
        {setOut && `, planned ${dollars(setOut.cents)}`}
        {setOut && setOut.cents !== paid && ` (${difference(paid - setOut.cents)})`}
        {typeof closed?.bought === 'number' && `; bought ${dollars(closed.bought)}`}
        {earned !== null && earned > 0 && `: ${dollars(earned)} for an hour`}
      </dd>
      <dt>Boards</dt>
      <dd>
        {boards.taken}, {boards.spoiled} spoiled
      </dd>
      {moisture.length > 0 && (
        <>
          <dt>Moisture</dt>
          <dd>
            {moisture
              .map(
                ({ percent, at, simulated }) =>
                  `${percent} %${at ? ` on ${dayWords(at.slice(0, 10))}` : ''}${simulated ? ', a simulated reading' : ''}`,
              )
              .join('; ')}
          </dd>
        </>
      )}
    </dl>
  );
}

/** Words and pictures, what went wrong, and what is done otherwise next time. */
function Told({ job, piece, isFirst }: { readonly job: Job; readonly piece: string; readonly isFirst: boolean }) {
  const label = useLabel();
  const entries = standingEntries(job.ledger).filter(
    (entry): entry is EntryOf<'note' | 'mishap'> =>
      (entry.what === 'note' || entry.what === 'mishap') &&
      (entry.piece === piece || (isFirst && entry.piece === null)),
  );
  const photos = entries.flatMap((entry) => (entry.what === 'note' && entry.photo !== null ? [entry] : []));
  if (entries.length === 0) return null;
  return (
    <>
      <h2>What was written down</h2>
      <ul className="record-words">
        {entries
          .filter((entry) => entry.what === 'mishap' || entry.text !== '')
          .map((entry) => (
            <li key={entry.id}>
              {entry.what === 'mishap' ? (
                <>
                  <b>{MISHAP_WORDS[entry.how]}</b>
                  {entry.part !== '' && `, ${label(entry.part)}`}. {entry.note}
                </>
              ) : (
                <>
                  {entry.next && <b>Next time: </b>}
                  {entry.text}
                </>
              )}
            </li>
          ))}
      </ul>
      {photos.length > 0 && (
        <div className="record-photos">
          {photos.slice(0, PHOTOS).map(({ id, photo, text }) => (
            <img key={id} src={photoAddress(photo ?? '')} alt={text || 'Taken while it was built'} />
          ))}
        </div>
      )}
    </>
  );
}

/** A card to cut out and stick underneath. */
function Underneath({ job, facts }: { readonly job: Job; readonly facts: Facts }) {
  const { closed, to } = ownRecord(job);
  const day = closed?.ready ?? to;
  const { top } = facts.piece.carries;
  const anchor = facts.model.findings.find(({ kind }) => kind === 'anchor');
  return (
    <aside className="underneath" aria-label="To stick underneath">
      <b>{facts.piece.name}</b>
      <p>
        {woodsOf(facts)}
        {day && ` · ${format(parseISO(day), 'MMM yyyy')}`}
      </p>
      <p>Finish: {finishOf(facts).join('; ') || 'bare'}</p>
      {top !== null && <p>Built to carry {top} lb on its top</p>}
      {anchor && (
        <p>
          <Words of={anchor.title} />
        </p>
      )}
    </aside>
  );
}
