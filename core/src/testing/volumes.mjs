import process from 'node:process';
import Module from 'manifold-3d';

/**
 * Volumes by another library, as an independent calculation. Reads JSON on standard input: bodies as an outline drawn
 * up, planes that keep the side their normal points away from, cutters along an axis, and a frame; pairs of bodies by
 * number. Prints the volume and surface of each body, and the volume each pair shares. Run in a process of its own:
 * the library is a module that the test runner can not load.
 */
const { Manifold, CrossSection } = await Module().then((wasm) => (wasm.setup(), wasm));

const column = ([a, b, c], d = 0) => [a, b, c, d];
const ALONG = {
  0: [...column([0, 1, 0]), ...column([0, 0, 1]), ...column([1, 0, 0]), ...column([0, 0, 0], 1)],
  1: [...column([1, 0, 0]), ...column([0, 0, 1]), ...column([0, 1, 0]), ...column([0, 0, 0], 1)],
  2: [...column([1, 0, 0]), ...column([0, 1, 0]), ...column([0, 0, 1]), ...column([0, 0, 0], 1)],
};
const drawn = (outline, from, to) =>
  Manifold.extrude(new CrossSection([outline], 'NonZero'), to - from).translate([0, 0, from]);

const bodyOf = ({ outline, height, planes = [], cutters = [], frame }) => {
  let body = drawn(outline, 0, height);
  for (const { normal, reach } of planes)
    body = body.trimByPlane(
      normal.map((value) => -value),
      -reach,
    );
  for (const { axis, outline: hole, from, to } of cutters)
    body = body.subtract(drawn(hole, from, to).transform(ALONG[axis]));
  if (!frame) return body;
  const { at, u, v } = frame;
  const w = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  return body.transform([...column(u), ...column(v), ...column(w), ...column(at, 1)]);
};

let text = '';
for await (const chunk of process.stdin) text += chunk;
const { bodies, pairs = [] } = JSON.parse(text);
const made = bodies.map(bodyOf);
process.stdout.write(
  JSON.stringify({
    volumes: made.map((body) => body.volume()),
    surfaces: made.map((body) => body.surfaceArea()),
    shared: pairs.map(([a, b]) => made[a].intersect(made[b]).volume()),
  }),
);
