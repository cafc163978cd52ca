import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import {
  type Change,
  COAT_NAMES,
  COATS,
  type Colour,
  COLOUR_NAMES,
  type Job,
  type Piece,
  type Recipe,
  recipeChanges,
  SAND_TO,
  TONES,
  UNDER,
} from '@sill/core';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { TextLine } from '../../ui/TextLine';

type Props = {
  readonly job: Job;
  readonly piece: Piece;
  readonly recipe: Recipe;
  readonly onKeep: (changes: readonly Change[]) => void;
  readonly onClose: () => void;
};

const BY: Readonly<Record<Recipe['by'], string>> = { brush: 'brush', wipe: 'rag', roller: 'roller', spray: 'sprayer' };
const NEW_COLOUR: Colour = { product: 'oil stain', mix: [{ tone: 'nut brown', parts: 1 }], leave: 10 };
/** Colours one over another, and tones in one. */
const [MOST_COLOURS, MOST_TONES] = [3, 4] as const;

const plain = <Name extends string>(names: readonly Name[]) => names.map((name) => [name, name] as const);

/** One colour: its product, how long it lies, what it is mixed of. */
function ColourFields({
  colour,
  onChange,
  onRemove,
}: {
  readonly colour: Colour;
  readonly onChange: (next: Colour) => void;
  readonly onRemove: () => void;
}) {
  const { product, mix, leave } = colour;
  return (
    <fieldset className="recipe-colour">
      <legend>Colour</legend>
      <div className="row wrap">
        <Pick
          label="Product"
          value={product}
          options={plain(COLOUR_NAMES)}
          onChange={(next) => onChange({ ...colour, product: next, leave: UNDER[next].wipe ?? leave })}
        />
        <NumberField
          label="Wiped after"
          unit="min"
          least={1}
          most={60}
          value={leave}
          onChange={(minutes) => minutes !== null && onChange({ ...colour, leave: minutes })}
        />
        <Button size="small" onClick={onRemove}>
          Leave it out
        </Button>
      </div>
      {mix.map(({ tone, parts }, at) => (
        <div className="row wrap" key={at}>
          <Pick
            label="Tone"
            value={tone}
            options={plain(TONES)}
            onChange={(next) => onChange({ ...colour, mix: mix.with(at, { tone: next, parts }) })}
          />
          <NumberField
            label="Parts"
            least={1}
            most={20}
            value={parts}
            onChange={(next) => next !== null && onChange({ ...colour, mix: mix.with(at, { tone, parts: next }) })}
          />
          {mix.length > 1 && (
            <Button size="small" onClick={() => onChange({ ...colour, mix: mix.filter((_, k) => k !== at) })}>
              Less
            </Button>
          )}
        </div>
      ))}
      {mix.length < MOST_TONES && (
        <Button size="small" onClick={() => onChange({ ...colour, mix: [...mix, { tone: 'honey', parts: 1 }] })}>
          Mix in another tone
        </Button>
      )}
    </fieldset>
  );
}

/** What covers it, in how many coats, put on with what. */
function CoatFields({
  draft,
  onChange: change,
}: {
  readonly draft: Recipe;
  readonly onChange: (next: Partial<Recipe>) => void;
}) {
  return (
    <>
      <Pick
        label="Covered with"
        value={draft.coat}
        options={COAT_NAMES.map((name) => [name, name === 'none' ? 'nothing' : name] as const)}
        onChange={(coat) =>
          change(
            coat === 'none'
              ? { coat, coats: 0 }
              : { coat, coats: COATS[coat].coats, by: COATS[coat].wipe === null ? draft.by : 'wipe' },
          )
        }
      />
      {draft.coat !== 'none' && (
        <div className="row wrap">
          <NumberField
            label="Coats"
            least={1}
            most={12}
            value={draft.coats}
            onChange={(coats) => coats !== null && change({ coats })}
          />
          <Pick
            label="Put on with"
            value={draft.by}
            options={(Object.keys(BY) as Recipe['by'][]).map((by) => [by, BY[by]] as const)}
            onChange={(by) => change({ by })}
          />
          {draft.coat === 'enamel' && (
            <Pick label="Tone" value={draft.tone} options={plain(TONES)} onChange={(tone) => change({ tone })} />
          )}
        </div>
      )}
    </>
  );
}

/** A recipe, to be changed: one of the job's own for all that takes it, one that is ready as a copy. */
export function RecipeDialog({ job, piece, recipe, onKeep, onClose }: Props) {
  const [draft, setDraft] = useState(recipe);
  const change = (next: Partial<Recipe>) => setDraft({ ...draft, ...next });
  const isOwn = job.recipes.some(({ id }) => id === recipe.id);
  const { colours } = draft;
  const tick = (label: string, on: boolean, set: (next: boolean) => void) => (
    <label className="tick">
      <input type="checkbox" checked={on} onChange={({ target }) => set(target.checked)} />
      <span>{label}</span>
    </label>
  );
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="recipe-title">
      <DialogTitle id="recipe-title">{recipe.name}</DialogTitle>
      <DialogContent>
        <div className="form finish-form">
          <p className="soft">
            {isOwn
              ? 'It changes wherever this job takes it.'
              : 'It is kept in this job as your own; the one that is ready stays as it is.'}
          </p>
          <TextLine label="Name" value={draft.name} most={120} required onChange={(name) => change({ name })} />
          <Pick
            label="Sanded to"
            value={draft.sandTo}
            options={SAND_TO.map((grit) => [grit, grit === 0 ? 'not at all' : String(grit)] as const)}
            onChange={(sandTo) => change({ sandTo })}
          />
          {tick('Wetted before the last grit, so that the grain does not rise later', draft.wetted, (wetted) =>
            change({ wetted }),
          )}
          {colours.map((colour, at) => (
            <ColourFields
              key={at}
              colour={colour}
              onChange={(next) => change({ colours: colours.with(at, next) })}
              onRemove={() => change({ colours: colours.filter((_, k) => k !== at) })}
            />
          ))}
          {colours.length > 0 &&
            tick('Conditioner first, for woods that blotch', draft.conditioner, (conditioner) =>
              change({ conditioner }),
            )}
          {colours.length < MOST_COLOURS && (
            <Button size="small" onClick={() => change({ colours: [...colours, colours.at(-1) ?? NEW_COLOUR] })}>
              {colours.length === 0 ? 'Colour it' : 'Another colour over it'}
            </Button>
          )}
          <CoatFields draft={draft} onChange={change} />
          {tick('Edges rubbed through to the wood at the end', draft.rubbed, (rubbed) => change({ rubbed }))}
          <TextLine label="What its sample said" value={draft.note} most={400} onChange={(note) => change({ note })} />
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          color="primary"
          onClick={() => {
            const { id, name, ...rest } = draft;
            void id;
            onKeep(recipeChanges(job, piece, recipe, name === recipe.name ? rest : { ...rest, name }));
            onClose();
          }}
        >
          Keep it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
