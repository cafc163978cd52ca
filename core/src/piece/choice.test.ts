import { inches } from '../length';
import { angle, count, measure, pick, settled, wrongWith, yes } from './choice';

const specs = {
  wood: pick('Wood', { pine: 'pine', oak: 'oak' }, 'pine'),
  reach: measure('Reach', inches(2), inches(1), inches(4)),
  rails: count('Rails', 2, 0, 5),
  lean: angle('Lean', 10, 5, 15),
  feet: yes('Feet', false),
};

test('what is not chosen is what it starts with; what is chosen stands, a no and a nought too', () => {
  expect(settled(specs, {})).toEqual({ wood: 'pine', reach: inches(2), rails: 2, lean: 10, feet: false });
  expect(settled(specs, { wood: 'oak', rails: 0, feet: true })).toMatchObject({ wood: 'oak', rails: 0, feet: true });
  expect(settled({ feet: yes('Feet', true) }, { feet: false })).toEqual({ feet: false });
});

test('a choice of another family is none of these', () => {
  expect(Object.keys(settled(specs, { struts: 4 }))).toEqual(Object.keys(specs));
});

test.each([
  ['wood', 'oak', null],
  ['wood', 'elm', 'must be one of pine, oak'],
  // What every object has is no choice.
  ['wood', 'toString', 'must be one of pine, oak'],
  ['wood', 1, 'must be one of pine, oak'],
  ['reach', inches(1), null],
  ['reach', inches(4), null],
  ['reach', inches(1) - 1, `must be at least ${inches(1)}`],
  ['reach', inches(4) + 1, `must be at most ${inches(4)}`],
  ['reach', inches(2) + 0.5, 'must be a whole number'],
  ['reach', '2', 'must be a number'],
  ['reach', NaN, 'must be a number'],
  ['reach', Infinity, 'must be a number'],
  ['rails', 5, null],
  ['rails', 2.5, 'must be a whole number'],
  ['rails', -1, 'must be at least 0'],
  ['rails', 6, 'must be at most 5'],
  // Angles alone have parts of a degree.
  ['lean', 7.5, null],
  ['lean', 4.9, 'must be at least 5'],
  ['lean', 15.1, 'must be at most 15'],
  ['feet', false, null],
  ['feet', 0, 'must be true or false'],
  ['feet', undefined, 'must be true or false'],
] as const)('%s: %s', (name, value, wrong) => {
  expect(wrongWith(specs[name], value)).toBe(wrong);
});
