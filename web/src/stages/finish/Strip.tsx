import { bareColour, expectedColour, first, type Plan } from '@sill/core';

type Facts = Plan['pieces'][number];
type Tried = Facts['finishing']['tries'][number];
type Material = Facts['parts'][number]['material'];

/** What samples are made of: the wood of the top, where there is one. */
export const sampleWood = ({ parts }: Facts): Material =>
  (parts.find(({ role, material }) => material !== 'bought' && role === 'top') ?? first(parts)).material;

/** What a strip shows from its left: bare, each colour, then the coats. */
function bandsOf({ recipe, coats }: Pick<Tried, 'recipe' | 'coats'>, material: Material) {
  const bands = [{ name: recipe.sandTo > 0 ? `sanded to ${recipe.sandTo}` : 'as it is', colour: bareColour(material) }];
  recipe.colours.forEach(({ product, mix }, at) => {
    const colours = recipe.colours.slice(0, at + 1);
    bands.push({
      name: `${product}: ${mix.map(({ tone, parts }) => (mix.length > 1 ? `${parts} ${tone}` : tone)).join(', ')}`,
      colour: expectedColour(material, { recipe: { ...recipe, colours, coat: 'none' }, coats: 0 }),
    });
  });
  if (recipe.coat !== 'none' && coats > 0)
    bands.push({
      name: `${coats} x ${recipe.coat}${recipe.coat === 'enamel' ? `, ${recipe.tone}` : ''}`,
      colour: expectedColour(material, { recipe, coats }),
    });
  return bands;
}

/** A recipe as a strip of the offcut it is tried on, from bare wood to the last coat, and in words beside it. */
export function Strip({
  of,
  material,
  about,
}: {
  readonly of: Pick<Tried, 'recipe' | 'coats'>;
  readonly material: Material;
  /** What is said of it last: the surfaces that take it, why it lost. */
  readonly about: string;
}) {
  const bands = bandsOf(of, material);
  const { recipe } = of;
  return (
    <>
      <div className="strip" role="img" aria-label={bands.map(({ name }) => name).join(', then ')}>
        {bands.map(({ name, colour }) => (
          <span key={name} ref={(element) => element?.style.setProperty('background', colour)} />
        ))}
      </div>
      <div className="strip-words">
        <strong>{recipe.name}</strong>
        <span>{bands.map(({ name }) => name).join(' · ')}</span>
        {recipe.note !== '' && <span>{recipe.note}</span>}
        <span className="soft">{about}</span>
      </div>
    </>
  );
}
