import type { Bit, Fastening, JointKind, Piece } from '@sill/core';
import { CLIP_SLOT, listOf, dim } from '@sill/core';
import { usePiece, usePieceFacts } from '../../state/hooks';
import { Dim, Text } from '../../words/Dim';
import { PartTag } from '../../words/PartTag';
import { Words } from '../../words/Words';
import { StageHead } from '../StageHead';
import { Waiting } from '../Waiting';
import { PocketPicture } from './PocketPicture';

const KIND: Readonly<Record<JointKind, string>> = {
  edge: 'Boards, edge to edge',
  'rail end': 'Rail ends, pocket screws',
  'top clips': 'Top on base, clips',
  'top screws': 'Top on base, screws',
  lap: 'Half laps',
  glue: 'Glue and brads',
  lamination: 'Glue alone',
  screws: 'Screws through the face',
  bolt: 'Bolts',
  dado: 'Dados',
  groove: 'Grooves, left loose',
  hinge: 'Hinges',
  slide: 'Slides',
  pins: 'Shelf pins',
  plate: 'Plates and screws',
  rest: 'Rests, not fixed',
};

const BY: Readonly<Record<Fastening['by'], string>> = {
  'pocket screws': 'pocket screws',
  clips: 'clips',
  screws: 'wood screws',
  brads: 'glue and brads',
  bolts: 'bolts',
  glue: 'glue',
  hardware: 'its own hardware',
  nothing: 'nothing: it lies loose',
};

/** Joints worked the same way stand together: same kind, setting, screw and positions. */
export function alike(made: readonly Fastening[]): readonly (readonly Fastening[])[] {
  const groups = new Map<string, Fastening[]>();
  for (const item of made) {
    const key = [item.joint.kind, item.jig, item.screw, item.face, item.positions.join()].join('|');
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
      <StageHead title="Joints" about={`${made.length} joints · ${screws} screws and clips`} />
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
                <JointGroup key={group[0]!.joint.id} group={group} piece={piece!} />
              ))}
            </section>
          ))}
        </div>
      </Waiting>
    </>
  );
}

function JointGroup({ group, piece }: { readonly group: readonly Fastening[]; readonly piece: Piece }) {
  const { jig, screw, positions, from, face, by, reaches } = group[0]!;
  const where = listOf(positions.map((position): Bit => dim(position)));
  return (
    <article className="joint-group" data-short={!reaches}>
      <p className="joint-pairs">
        {group.map(({ joint, drilled, into }) => (
          <span key={joint.id} className="pair">
            <PartTag id={drilled.id} tag={drilled.tag} />→<PartTag id={into.id} tag={into.tag} />
          </span>
        ))}
      </p>
      {(by === 'pocket screws' || by === 'clips') && <PocketPicture fastening={group[0]!} />}
      <dl>
        {by === 'pocket screws' ? (
          <>
            <dt>Jig and collar</dt>
            <dd>
              <Dim of={jig} />
            </dd>
            <dt>Screw</dt>
            <dd>
              <Text of={screw} /> coarse
            </dd>
          </>
        ) : by === 'clips' ? (
          <>
            <dt>Clip</dt>
            <dd>
              slot <Dim of={CLIP_SLOT} /> below the top edge
            </dd>
          </>
        ) : (
          <>
            <dt>Held by</dt>
            <dd>
              {BY[by]} {screw !== '' && <Text of={screw} />}
            </dd>
          </>
        )}
        {positions.length > 0 && (
          <>
            <dt>How many</dt>
            <dd>
              {positions.length} each, {positions.length * group.length * piece.copies} in all
            </dd>
            <dt>Where</dt>
            <dd>
              <Words of={where} /> from the {from}, {face}
            </dd>
          </>
        )}
      </dl>
    </article>
  );
}
