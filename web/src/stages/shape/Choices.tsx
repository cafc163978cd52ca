import { APRON_STOCK, LEGS, TOP_WIDTHS, printNominal, type Nominal, type Piece } from '@sill/core';
import { Choice } from '../../fields/Choice';
import { LengthField } from '../../fields/LengthField';
import { NumberField } from '../../fields/NumberField';
import { NoteFor } from '../../frame/Margin';
import { useChangePiece } from '../../state/hooks';

const LEG_NAMES: Record<(typeof LEGS)[number], string> = {
  '4x4': 'solid 4×4',
  'two 2x4': 'two 2×4, glued',
  'three 2x4': 'three 2×4, glued',
};

/** Every choice of the family, all in view. */
export function Choices({ piece, topNominal }: { readonly piece: Piece; readonly topNominal: Nominal | null }) {
  const change = useChangePiece(piece.id);
  const { top, legs, apron, overhang, setback, crossSupports } = piece.choices;
  const digit = top.thickness === '1x' ? '1' : '2';
  const cheapest = top.width === 'cheapest' && topNominal ? `cheapest (${printNominal(topNominal)} now)` : 'cheapest';
  return (
    <>
      <Choice
        label="Top thickness"
        value={top.thickness}
        options={[
          { value: '1x', label: '1× boards' },
          { value: '2x', label: '2× boards' },
        ]}
        onChange={(value) => change(['choices', 'top', 'thickness'], value)}
      />
      <Choice
        label="Top boards"
        value={top.width}
        options={TOP_WIDTHS.map((width) => ({
          value: width,
          label: width === 'cheapest' ? cheapest : `${digit}×${width}`,
        }))}
        onChange={(value) => change(['choices', 'top', 'width'], value)}
      />
      <Choice
        label="Straight edges"
        value={top.edges}
        options={[
          { value: 'ripped', label: 'ripped square' },
          { value: 'as bought', label: 'as bought' },
        ]}
        onChange={(value) => change(['choices', 'top', 'edges'], value)}
      />
      <Choice
        label="Legs"
        value={legs}
        options={LEGS.map((value) => ({ value, label: LEG_NAMES[value] }))}
        onChange={(value) => change(['choices', 'legs'], value)}
      />
      <Choice
        label="Aprons"
        mark={<NoteFor id="knees" />}
        value={apron}
        options={APRON_STOCK.map((value) => ({ value, label: printNominal(value) }))}
        onChange={(value) => change(['choices', 'apron'], value)}
      />
      <Choice
        label="Top on base"
        mark={<NoteFor id="movement" />}
        value={top.fixing}
        options={[
          { value: 'clips', label: 'clips, free to move' },
          { value: 'screwed', label: 'screwed fast' },
        ]}
        onChange={(value) => change(['choices', 'top', 'fixing'], value)}
      />
      <fieldset className="sizes two">
        <legend>
          Overhang <NoteFor id="tipping" />
        </legend>
        <LengthField
          label="ends"
          value={overhang.ends}
          onChange={(value) => change(['choices', 'overhang', 'ends'], value)}
        />
        <LengthField
          label="sides"
          value={overhang.sides}
          onChange={(value) => change(['choices', 'overhang', 'sides'], value)}
        />
      </fieldset>
      <fieldset className="sizes two">
        <legend>
          Below <NoteFor id="sag" />
        </legend>
        <LengthField
          label="apron set back"
          value={setback}
          onChange={(value) => change(['choices', 'setback'], value)}
        />
        <NumberField
          label="cross supports"
          least={0}
          most={12}
          value={crossSupports}
          onChange={(value) => change(['choices', 'crossSupports'], value)}
        />
      </fieldset>
    </>
  );
}
