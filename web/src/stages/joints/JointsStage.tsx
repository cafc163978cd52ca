import { Button } from '@mui/material';
import { useState } from 'react';
import {
  type Bit,
  boredFor,
  CLIP_SLOT,
  dim,
  type Fastening,
  first,
  type JointKind,
  listOf,
  nth,
  type Piece,
  printThread,
  sure,
  WAYS_FOR,
  WAYS_TO_JOIN,
} from '@sill/core';
import { usePiece, usePieceFacts } from '../../state/hooks';
import { Dim, Text } from '../../words/Dim';
import { PartTag } from '../../words/PartTag';
import { Words } from '../../words/Words';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { FastenerTable } from './FastenerTable';
import { PocketPicture } from './PocketPicture';
import { ScrewPicture } from './ScrewPicture';
import { WaysDialog } from './WaysDialog';
import './JointsStage.css';

const KIND: Readonly<Record<JointKind, string>> = {
  edge: 'Boards, edge to edge',
  'rail end': 'Rail ends',
  'top clips': 'Top on base, free to move',
  'top screws': 'Top on base, screwed',
  float: 'End boards, free to move',
  lap: 'Half laps',
  glue: 'Faces glued',
  lamination: 'Glue alone',
  screws: 'Screws through the face',
  bolt: 'Bolted',
  dado: 'Dados',
  groove: 'Grooves, left loose',
  hinge: 'Hinges',
  'long hinge': 'Long hinges',
  slide: 'Slides',
  pins: 'Shelf pins',
  plate: 'Plates and screws',
  fold: 'Folding brackets',
  rest: 'Rests, not fixed',
  set: 'Tiles in adhesive',
};

const held = (by: Fastening['by']): string =>
  by === 'hardware' ? 'its own hardware' : by === 'nothing' ? 'nothing: it lies loose' : WAYS_TO_JOIN[by].name;

/** Joints worked the same way stand together: same kind, setting, screw and positions. */
function alike(made: readonly Fastening[]): readonly (readonly Fastening[])[] {
  const groups = new Map<string, Fastening[]>();
  for (const item of made) {
    const key = [
      item.joint.kind,
      item.by,
      item.jig,
      item.screw,
      item.face,
      item.positions.join(),
      item.hinges.join(),
      item.troubles.join(),
    ].join('|');
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups.values()];
}

/** Each joint with its jig setting, screw, count and positions. */
export function JointsStage() {
  const piece = usePiece();
  const facts = usePieceFacts();
  const made = facts?.fastenings ?? [];
  const screws = made.reduce((sum, item) => sum + item.positions.length, 0);
  const kinds = [...new Set(made.map((item) => item.joint.kind))];
  return (
    <>
      <StageHead title="Joints" about={facts ? `${made.length} joints · ${screws} fasteners` : ''} />
      <Waiting>
        <div className="stack">
          <p className="caution">
            Glasses on. Clamp the work before you drill a pocket: if the bit grabs, the jig spins. The jig’s own chart
            comes first; try each setting on offcuts.
          </p>
          {kinds.map((kind) => (
            <section key={kind} className="sheet" aria-label={KIND[kind]}>
              <h2>{KIND[kind]}</h2>
              {alike(made.filter((item) => item.joint.kind === kind)).map((group) => (
                <JointGroup key={first(group).joint.id} group={group} piece={sure(piece, 'piece')} />
              ))}
            </section>
          ))}
          {screws > 0 && (
            <section className="sheet" aria-label="Fasteners">
              <h2>Fasteners and what is drilled for them</h2>
              <FastenerTable made={made} copies={sure(piece, 'piece').copies} />
              <p className="soft">
                Pilots by the harder of the two woods. Try one on an offcut; the maker’s own chart comes first.
              </p>
            </section>
          )}
        </div>
      </Waiting>
    </>
  );
}

function JointGroup({ group, piece }: { readonly group: readonly Fastening[]; readonly piece: Piece }) {
  const [open, setOpen] = useState(false);
  const facts = sure(usePieceFacts(), 'plan of the piece in view');
  const first = nth(group, 0);
  const { jig, screw, positions, hinges, from, by, reaches, troubles, shanks, joint } = first;
  // Of hinges the middles are told, of all else each place.
  const places = hinges.length > 0 ? hinges : positions;
  const where = listOf(places.map((place): Bit => dim(place)));
  const bored = boredFor(facts.steps, joint.id);
  const pockets = by === 'pocket screws';
  const choice = WAYS_FOR[joint.kind].length > 1;
  return (
    <article className="joint-group" data-short={!reaches || troubles.length > 0}>
      <div>
        <p className="joint-pairs">
          {group.map(({ joint: one, drilled, into }) => (
            <span key={one.id} className="pair">
              <PartTag id={drilled.id} tag={drilled.tag} />→<PartTag id={into.id} tag={into.tag} />
            </span>
          ))}
        </p>
        {choice && (
          <Button
            size="small"
            onClick={() => setOpen(true)}
            aria-label={`Other ways to join ${first.drilled.tag} to ${first.into.tag}`}
          >
            Other ways
          </Button>
        )}
      </div>
      <div className="joint-pictures">
        {(pockets || by === 'clips') && <PocketPicture fastening={first} />}
        {shanks.length > 0 && by !== 'hardware' && <ScrewPicture fastening={first} />}
      </div>
      <dl>
        {pockets && (
          <>
            <dt>Jig and collar</dt>
            <dd>
              <Dim of={jig} />
            </dd>
            <dt>Screw</dt>
            <dd>
              <Text of={printThread(screw)} />
            </dd>
          </>
        )}
        {by === 'clips' && (
          <>
            <dt>Clip</dt>
            <dd>
              slot <Dim of={CLIP_SLOT} /> below the top edge
            </dd>
          </>
        )}
        {!pockets && by !== 'clips' && (
          <>
            <dt>Held by</dt>
            <dd>
              {held(by)} {screw !== '' && <Text of={screw} />}
            </dd>
          </>
        )}
        {places.length > 0 && (
          <>
            <dt>How many</dt>
            <dd>
              {places.length} each, {places.length * group.length * piece.copies} in all
            </dd>
            {hinges.length > 0 && (
              <>
                <dt>Middles</dt>
                <dd>
                  <Words of={where} /> from the {from}
                </dd>
              </>
            )}
            {bored.length > 0 && <dt>Where</dt>}
            {bored.map((words, at) => (
              <dd key={at}>
                <Words of={words} piece={piece.id} />
              </dd>
            ))}
          </>
        )}
      </dl>
      {open && <WaysDialog piece={piece} group={group} topNominal={facts.topNominal} onClose={() => setOpen(false)} />}
    </article>
  );
}
