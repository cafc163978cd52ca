import { useMediaQuery } from '@mui/material';
import { Line, OrbitControls } from '@react-three/drei';
import { Canvas, useFrame, useThree } from '@react-three/fiber';
import {
  useCallback,
  useEffect,
  useImperativeHandle,
  useMemo,
  useRef,
  useState,
  type ComponentProps,
  type ReactNode,
  type Ref,
} from 'react';
import { Raycaster, Spherical, Vector3, type BufferGeometry, type Object3D } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import { type Box, extent, first, middleOf, type Part, type PieceModel, solidOf, toInches, type Vec } from '@sill/core';
import { useApp, useFrom } from '../state/hooks';
import { marked } from '../state/view';
import { Dim } from '../words/Dim';
import { Bent } from './Bent';
import { Lights } from './Lights';
import { middle, outsideMeasures, partMeasures, type Measure } from './measures';
import { Ready } from './Ready';
import { rendererLater } from './renderer';
import { useSpace } from './space';
import {
  faceMiddles,
  linesOf,
  openReachOf,
  placeOf,
  reachOf,
  shownSolid,
  surfaceOf,
  wholeOf,
  worldOf,
  type Section,
  type Vector,
} from './scene';

/** Name of what hides what is behind it. */
const BODY = 'body';

/** How the piece is looked at. */
export type Look3D = {
  readonly apart: number;
  readonly open: number;
  readonly ghost: boolean;
  readonly tags: boolean;
  readonly section: Section | null;
  readonly picked: string | null;
};

/** What the keys and buttons around the picture can ask of it. */
export type ModelHandle = {
  readonly turn: (across: number, up: number) => void;
  readonly zoom: (factor: number) => void;
  readonly reset: () => void;
  /** The picture as a PNG data address. */
  readonly picture: () => string;
};

/** Pulled apart: away from the middle of the piece, and up by a share of its height for the top. */
function apartBy(part: Part, [x, , z]: Vector, apart: number, height: number): Vector {
  const lift =
    part.role === 'top' || part.role === 'edging' ? 0.3 : part.role === 'leg' || part.role === 'foot' ? -0.06 : 0.08;
  const spread = part.role === 'top' ? 0.3 : 0.6;
  return [x * 0.3 * apart, apart * height * lift, z * spread * apart];
}

type BodyProps = {
  readonly part: Part;
  readonly surface: BufferGeometry;
  readonly lines: BufferGeometry;
  readonly offset: Vector;
  readonly ghost: boolean;
  readonly picked: boolean;
  readonly onPick: (id: string, at: Vector) => void;
};

function Body({ part, surface, lines, offset, ghost, picked, onPick }: BodyProps) {
  const dispatch = useApp();
  const isMarked = useFrom((state) => state.view.marked === part.id) || picked;
  const invalidate = useThree((state) => state.invalidate);
  useEffect(() => invalidate(), [invalidate, isMarked, offset, surface, ghost]);
  useEffect(
    () => () => {
      surface.dispose();
      lines.dispose();
    },
    [surface, lines],
  );
  const clear = ghost && !isMarked;
  const space = useSpace();
  const isStone = part.bought?.kind === 'top' || part.bought?.kind === 'tile';
  const own = isStone ? space.stone : part.bought ? space.metal : space.wood;
  return (
    <group position={offset}>
      <mesh
        name={BODY}
        geometry={surface}
        onPointerOver={(event) => {
          event.stopPropagation();
          dispatch(marked(part.id));
        }}
        onPointerOut={() => dispatch(marked(null))}
        onClick={(event) => {
          // A drag that turns the piece is no click on it.
          if (event.delta > 4) return;
          event.stopPropagation();
          const { x, y, z } = event.point;
          onPick(part.id, [x, y, z]);
        }}
      >
        <meshLambertMaterial
          // What was opaque is compiled so.
          key={String(clear)}
          color={isMarked ? space.lit : own}
          transparent={clear}
          opacity={clear ? 0.16 : 1}
          depthWrite={!clear}
          polygonOffset
          polygonOffsetFactor={1}
          polygonOffsetUnits={1}
        />
      </mesh>
      <lineSegments geometry={lines}>
        <lineBasicMaterial
          color={isMarked ? space.litLine : space.line}
          transparent={clear}
          opacity={clear ? 0.55 : 1}
        />
      </lineSegments>
    </group>
  );
}

/** A word's place, or several it may stand at: the first that nothing hides. Where all are hidden it is not shown. */
type Label = { readonly at: Vector } | { readonly faces: readonly Vector[] };
type LabelsProps = { readonly labels: readonly Label[]; readonly spans: React.RefObject<(HTMLSpanElement | null)[]> };

/** A point may be so much behind what hides it, inches: it lies on a face itself. */
const ON_FACE = 0.03;

/** Keeps words, which are ordinary text over the picture, at their places in the model. */
function Labels({ labels, spans }: LabelsProps) {
  const point = useMemo(() => new Vector3(), []);
  const ray = useMemo(() => new Raycaster(), []);
  useFrame(({ camera, size, scene }) => {
    const bodies: Object3D[] = [];
    scene.traverse((object) => {
      if (object.name === BODY) bodies.push(object);
    });
    const seen = (at: Vector): boolean => {
      point.set(...at).sub(camera.position);
      const far = point.length();
      ray.set(camera.position, point.normalize());
      ray.far = far - ON_FACE;
      return ray.intersectObjects(bodies, false).length === 0;
    };
    labels.forEach((label, index) => {
      const at = 'at' in label ? label.at : label.faces.find(seen);
      const style = spans.current[index]?.style;
      if (at) {
        point.set(...at).project(camera);
        const [x, y] = [((point.x + 1) / 2) * size.width, ((1 - point.y) / 2) * size.height];
        style?.setProperty('transform', `translate(${x}px, ${y}px) translate(-50%, -50%)`);
      }
      style?.setProperty('visibility', at ? 'visible' : 'hidden');
    });
  });
  return null;
}

/** Turning, coming closer and taking a picture, for keys and buttons outside. */
function Hand({
  handle,
  home,
  target,
  back,
  piece,
}: {
  readonly handle: Ref<ModelHandle>;
  readonly home: Vector;
  readonly target: Vector;
  /** How many times as far off, as it opens. */
  readonly back: number;
  readonly piece: string | undefined;
}) {
  const { gl, scene, camera, invalidate } = useThree();
  const controls = useThree((state) => state.controls) as Controls | null;
  const about = useMemo(() => new Vector3(...target), [target]);
  const reset = useCallback(() => {
    camera.position.set(...home);
    camera.lookAt(about);
    controls?.update();
    invalidate();
  }, [camera, controls, home, about, invalidate]);
  const place = useCallback(
    (change: (spherical: Spherical) => void) => {
      const spherical = new Spherical().setFromVector3(camera.position.clone().sub(about));
      change(spherical);
      spherical.phi = Math.min(Math.PI - 0.05, Math.max(0.05, spherical.phi));
      camera.position.setFromSpherical(spherical).add(about);
      camera.lookAt(about);
      controls?.update();
      invalidate();
    },
    [camera, controls, about, invalidate],
  );
  const zoom = useCallback((factor: number) => place((spherical) => void (spherical.radius *= factor)), [place]);
  const shown = useRef({ piece, back: 1 });
  useEffect(() => {
    // Another piece is looked at from its own place; the same one, changed, from where it was, farther off as it opens.
    if (shown.current.piece !== piece) reset();
    else if (shown.current.back !== back) zoom(back / shown.current.back);
    shown.current = { piece, back };
  }, [piece, back, reset, zoom]);
  useImperativeHandle(
    handle,
    () => ({
      turn: (across, up) =>
        place((spherical) => {
          spherical.theta += across;
          spherical.phi -= up;
        }),
      zoom,
      reset,
      picture: () => {
        gl.render(scene, camera);
        return gl.domElement.toDataURL('image/png');
      },
    }),
    [gl, scene, camera, place, zoom, reset],
  );
  return null;
}

type WrittenProps = {
  readonly measures: readonly Measure[];
  readonly tagged: readonly Part[];
  readonly spans: React.RefObject<(HTMLSpanElement | null)[]>;
};

/** The words that `Labels` keeps at their places: dimensions, then tags. */
function Written({ measures, tagged, spans }: WrittenProps) {
  return (
    <>
      {measures.map(({ length }, at) => (
        <span
          key={`m${at}`}
          className="model-dim"
          ref={(element) => {
            spans.current[at] = element;
          }}
        >
          <Dim of={length} />
        </span>
      ))}
      {tagged.map((part, at) => (
        <span
          key={part.id}
          className="model-tag"
          ref={(element) => {
            spans.current[measures.length + at] = element;
          }}
        >
          {part.tag}
        </span>
      ))}
    </>
  );
}

/** Height of what the eye takes in, degrees, and where it is: towards it, a unit long. */
const FIELD = 28;
const EYE: Vector = [0.496, 0.431, 0.754];
/** Where the eye is, so far off what it looks at. */
const eyeAt = (reach: number, [x, y, z]: Vector): Vector => [
  EYE[0] * reach + x,
  EYE[1] * reach + y,
  EYE[2] * reach + z,
];

type Props = {
  readonly model: Pick<PieceModel, 'parts' | 'motions'>;
  readonly look: Look3D;
  /** A part, and where on it in the piece; null beside all. */
  readonly onPick: (id: string | null, at: Vec | null) => void;
  /** A load on the piece, and what comes of it once that is known. */
  readonly lean: Pick<ComponentProps<typeof Bent>, 'leaning' | 'leaned' | 'times'> | null;
  readonly handle: Ref<ModelHandle>;
  /** Stands in its place until the first picture is made. */
  readonly until: ReactNode;
};

/** The parts as they are shown: open so far, cut where a section is; what a section takes away is not among them. */
function useBodies(
  parts: readonly Part[],
  whole: Box,
  motions: PieceModel['motions'],
  { section, open }: Pick<Look3D, 'section' | 'open'>,
) {
  return useMemo(
    () =>
      parts.flatMap((part) => {
        const solid = shownSolid(part, whole, motions, open, section);
        return solid.length === 0
          ? []
          : [
              {
                part,
                surface: surfaceOf(solid, whole),
                lines: linesOf(solid, whole),
                centre: worldOf(middleOf(solidOf(part)), whole),
                faces: faceMiddles(solid).map((point) => worldOf(point, whole)),
              },
            ];
      }),
    [parts, whole, motions, open, section],
  );
}

/** The piece in space: drag to turn, scroll to come closer, click a part for its sizes. */
export default function Model({ model, look, onPick, lean, handle, until }: Props) {
  const space = useSpace();
  const parts = useMemo(() => model.parts.filter((part) => !part.loose), [model.parts]);
  const whole = useMemo(() => wholeOf(parts), [parts]);
  // What opens of another piece may still be open.
  const open = model.motions.length > 0 ? look.open : 0;
  const { apart } = look;
  const bodies = useBodies(parts, whole, model.motions, look);
  const picked = parts.find((part) => part.id === look.picked) ?? null;
  const size = (axis: 0 | 1 | 2) => toInches(extent(whole, axis));
  const [length, width, height] = [size(0), size(1), size(2)];
  const measures = useMemo(
    () => (apart > 0 || (open > 0 && !picked) ? [] : picked ? partMeasures(picked, whole) : outsideMeasures(whole)),
    [apart, open, picked, whole],
  );
  const tagged = useMemo(
    () =>
      look.tags
        ? bodies.map(({ part, centre, faces }) => {
            const [x, y, z] = apartBy(part, centre, apart, height);
            const moved = faces.map((face): Vector => [face[0] + x, face[1] + y, face[2] + z]);
            // Through clear parts every tag is seen.
            return look.ghost ? { part, at: first(moved) } : { part, faces: moved };
          })
        : [],
    [look.tags, look.ghost, bodies, apart, height],
  );
  const labels = useMemo(
    () => [...measures.map((measure) => ({ at: middle(measure) })), ...tagged],
    [measures, tagged],
  );
  const spans = useRef<(HTMLSpanElement | null)[]>([]);
  const [ready, setReady] = useState(false);
  const begin = useCallback(() => setReady(true), []);
  // A narrow picture needs the eye farther back to hold the whole width.
  const narrow = useMediaQuery('(max-width: 599px)');
  const target = useMemo<Vector>(() => [0, height / 2, 0], [height]);
  const aspect = narrow ? 0.85 : 1.35;
  const closed = useMemo(() => reachOf([length, height, width], aspect, EYE, FIELD), [length, width, height, aspect]);
  const isOpen = open > 0;
  const opened = useMemo(
    () => (isOpen ? openReachOf(parts, model.motions, aspect, EYE, FIELD) : 0),
    [isOpen, parts, model.motions, aspect],
  );
  const back = 1 + open * Math.max(0, opened / closed - 1);
  const reach = closed * back;
  const begun = useMemo(() => eyeAt(closed, target), [closed, target]);
  const home = useMemo(() => eyeAt(reach, target), [reach, target]);
  return (
    <>
      {!ready && until}
      <div className="model-scene" data-ready={ready}>
        <Canvas
          key={String(narrow)}
          frameloop={ready ? 'demand' : 'never'}
          gl={rendererLater}
          flat
          dpr={[1, 2]}
          camera={{ fov: FIELD, near: 1, far: 5000, position: begun }}
          role="img"
          aria-label="The piece in space"
          onPointerMissed={() => onPick(null, null)}
        >
          <Lights />
          {bodies.map(({ part, surface, lines, centre }) => (
            <Body
              key={part.id}
              part={part}
              surface={surface}
              lines={lines}
              offset={apartBy(part, centre, apart, height)}
              ghost={look.ghost || lean !== null}
              picked={part.id === look.picked}
              onPick={(id, at) => onPick(id, placeOf(at, whole))}
            />
          ))}
          {measures.map(({ from, to }, at) => (
            <Line key={at} points={[from, to]} color={space.measure} lineWidth={1.5} />
          ))}
          {lean && <Bent {...lean} whole={whole} />}
          <Labels labels={labels} spans={spans} />
          <OrbitControls
            makeDefault
            target={target}
            enablePan={false}
            minDistance={reach * 0.15}
            maxDistance={reach * 2.5}
          />
          <Ready onReady={begin} />
          <Hand handle={handle} home={home} target={target} back={back} piece={parts[0]?.piece} />
        </Canvas>
        <Written measures={measures} tagged={tagged.map(({ part }) => part)} spans={spans} />
      </div>
    </>
  );
}
