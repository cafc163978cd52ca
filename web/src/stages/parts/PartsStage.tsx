import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useState } from 'react';
import { plain, printLength, printNominal, type Part } from '@sill/core';
import { DataTable, type Column } from '../../fields/DataTable';
import { PartPicture } from '../../drawing/PartPicture';
import { USUAL_VIEW } from '../../drawing/iso';
import { useFrom, useJob, usePiece, usePieceFacts, usePlan, useUnits } from '../../state/hooks';
import { Dim } from '../../words/Dim';
import { PartTag } from '../../words/PartTag';
import { Words } from '../../words/Words';
import { StageHead } from '../StageHead';
import { Waiting } from '../Waiting';

const madeFrom = (part: Part) => `${part.plies > 1 ? `${part.plies} × ` : ''}${printNominal(part.nominal)}`;

/** The exact list: tag, role, sizes, what it is made from, and what is cut to fit. */
export function PartsStage() {
  const job = useJob();
  const plan = usePlan();
  const piece = usePiece();
  const facts = usePieceFacts();
  const units = useUnits();
  const marked = useFrom((state) => state.view.marked);
  const [all, setAll] = useState(false);
  const nameOf = (id: string) => job.pieces.find((item) => item.id === id)!;
  const parts = all ? (plan?.parts ?? []) : (facts?.parts ?? []);
  const count = parts.reduce((sum, part) => sum + (nameOf(part.piece)?.copies ?? 1), 0);

  const size = (key: 'length' | 'width' | 'thickness', head: string): Column<Part> => ({
    key,
    head,
    number: true,
    value: (part) => part[key],
    csv: (part) => printLength(part[key], units),
    cell: (part) => <Dim of={part[key]} />,
  });
  const columns: Column<Part>[] = [
    ...(all ? [{ key: 'piece', head: 'Piece', value: (part: Part) => nameOf(part.piece).name }] : []),
    { key: 'tag', head: 'Tag', value: (part) => part.tag, cell: (part) => <PartTag id={part.id} tag={part.tag} /> },
    { key: 'role', head: 'Part', value: (part) => part.name },
    { key: 'count', head: 'Count', number: true, value: (part) => nameOf(part.piece).copies },
    size('length', 'Long'),
    size('width', 'Wide'),
    size('thickness', 'Thick'),
    { key: 'from', head: 'Made from', value: madeFrom },
    {
      key: 'fit',
      head: 'Fit',
      value: (part) => (part.fit ? `fit: ${plain(part.fit, units)}` : ''),
      cell: (part) => (part.fit ? <span className="fit">fit</span> : ''),
    },
  ];
  const shown = parts.find((part) => part.id === marked && part.piece === piece?.id);
  const fits = parts.filter((part) => part.fit !== null);
  return (
    <>
      <StageHead title="Parts" about={`${count} parts · finished sizes`}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={all}
          onChange={(_, value: boolean | null) => value !== null && setAll(value)}
          aria-label="Which pieces"
        >
          <ToggleButton value={false}>This piece</ToggleButton>
          <ToggleButton value={true}>Whole job</ToggleButton>
        </ToggleButtonGroup>
      </StageHead>
      <Waiting>
        <div className="parts-columns">
          <section className="sheet">
            <DataTable
              name="Parts"
              rows={parts}
              columns={columns}
              rowId={(part) => part.id}
              partOf={(part) => part.id}
            />
          </section>
          <section className="sheet parts-side" aria-label="Where it is">
            <PartPicture
              parts={(facts?.parts ?? []).map((part) => ({
                part,
                as: shown && part.id !== shown.id ? 'there' : shown ? 'new' : 'there',
              }))}
              view={USUAL_VIEW}
              width={250}
              measure={shown ?? 'outside'}
              label={`Where ${shown?.tag ?? 'each part'} is`}
            />
            <p className="soft">Point at a row to see the part.</p>
            {fits.length > 0 && (
              <>
                <h2>Cut these to fit</h2>
                <ul className="fit-list">
                  {fits.map((part) => (
                    <li key={part.id}>
                      <PartTag id={part.id} tag={part.tag} />: measure <Words of={part.fit!} piece={part.piece} />
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
