import { found, sure } from '@sill/core';
import { Button, Slider, ToggleButton } from '@mui/material';
import { Component, lazy, Suspense, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import type { Part, PieceModel, Vec } from '@sill/core';
import { saveData, saveFile } from '../platform/files';
import { useApp } from '../state/hooks';
import { said } from '../state/view';
import { Dim } from '../words/Dim';
import { PartTag } from '../words/PartTag';
import { USUAL_VIEW } from './iso';
import type { Look3D, ModelHandle } from './Model';
import { PartPicture } from './PartPicture';
import { firstLean, middleOn, useLeaning, type LeanOn } from './leaning';
import { LeanSwitch, LeanTools } from './LeanTools';
import type { Section } from './scene';
import { useRoomForSpace } from './useRoomForSpace';
import { hasWebGl } from './webgl';
import { Segmented } from '../ui/Segmented';
import './ModelView.css';

const Model = lazy(() => import('./Model'));

/** Shows `instead` where the model throws, as when the graphics driver is lost. */
class Guard extends Component<
  { readonly instead: ReactNode; readonly children: ReactNode },
  { readonly broken: boolean }
> {
  override state = { broken: false };
  static getDerivedStateFromError = () => ({ broken: true });
  override render() {
    return this.state.broken ? this.props.instead : this.props.children;
  }
}

const PLAIN: Look3D = { apart: 0, open: 0, ghost: false, tags: false, section: null, picked: null };
const TURN = Math.PI / 16;
const SECTIONS = [
  ['none', 'whole', null],
  ['across', 'cut across', 0],
  ['along', 'cut along', 1],
  ['level', 'cut level', 2],
] as const;

const SWITCHES = [
  ['ghost', 'see through'],
  ['tags', 'tags'],
] as const;

/** What each key does to the picture. */
const keysOf = (
  hand: ModelHandle | null,
  step: (by: number) => void,
  clear: () => void,
): Readonly<Record<string, () => void>> => ({
  ArrowLeft: () => hand?.turn(-TURN, 0),
  ArrowRight: () => hand?.turn(TURN, 0),
  ArrowUp: () => hand?.turn(0, TURN),
  ArrowDown: () => hand?.turn(0, -TURN),
  '+': () => hand?.zoom(0.85),
  '=': () => hand?.zoom(0.85),
  '-': () => hand?.zoom(1.18),
  Home: () => hand?.reset(),
  ']': () => step(1),
  '[': () => step(-1),
  Escape: clear,
});

type Props = {
  readonly model: PieceModel;
  readonly label: string;
  /** What comes of a load; left out where none can be put on it. */
  readonly leanOn?: LeanOn;
};

/** The live picture of a piece with its tools, and a drawn one where WebGL is missing. */
export function ModelView({ model, label, leanOn }: Props) {
  const [look, setLook] = useState(PLAIN);
  const dispatch = useApp();
  const handle = useRef<ModelHandle>(null);
  const room = useRoomForSpace();
  // Looked at only when there is room: the look takes as long as the beginning.
  const able = !room || hasWebGl();
  const placed = useMemo(() => model.parts.filter((part) => !part.loose), [model.parts]);
  const drawn = useMemo(() => placed.map((part) => ({ part, as: 'there' as const })), [placed]);
  const paper = <PartPicture parts={drawn} view={USUAL_VIEW} measure="outside" label={label} />;
  const set = (change: Partial<Look3D>) => setLook((before) => ({ ...before, ...change }));
  const { leaning, result, leaned, times, setLeaning } = useLeaning(placed, leanOn);
  const pick = (id: string | null, at: Vec | null) => {
    set({ picked: id });
    if (leaning && id && at) setLeaning({ ...leaning, part: id, at });
  };
  const picked = placed.find((part) => part.id === look.picked) ?? null;

  const step = (by: number) => {
    const at = placed.findIndex((part) => part.id === look.picked);
    const next = placed[(at + by + placed.length) % placed.length];
    set({ picked: next?.id ?? null });
    if (leaning && next) setLeaning({ ...leaning, ...middleOn(next) });
  };
  const onKey = (event: KeyboardEvent) => {
    // Sliders and buttons inside keep their own keys.
    if (event.target !== event.currentTarget) return;
    const act = keysOf(handle.current, step, () => set({ picked: null }))[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  const savePng = () => {
    const picture = handle.current?.picture();
    if (picture) saveData(`${label}.png`, picture);
  };
  const saveGltf = async () => {
    try {
      const { gltfOf } = await import('@sill/core/formats/out');
      saveFile(`${label}.gltf`, 'model/gltf+json', await gltfOf(placed, label));
    } catch (error) {
      dispatch(said({ text: error instanceof Error ? error.message : 'The model could not be saved.', bad: true }));
    }
  };

  return (
    <div className="model">
      <div
        className="model-space"
        data-space={able}
        {...(able
          ? {
              tabIndex: 0,
              role: 'group',
              'aria-label': `${label} in space. Arrow keys turn, plus and minus come closer and go back, Home resets, square brackets step through the parts.`,
              onKeyDown: onKey,
            }
          : {})}
      >
        {room && able ? (
          <Guard instead={paper}>
            <Suspense fallback={paper}>
              <Model
                model={model}
                look={look}
                onPick={pick}
                lean={leaning && { leaning, leaned, times }}
                handle={handle}
                until={paper}
              />
            </Suspense>
          </Guard>
        ) : (
          paper
        )}
        {picked && <Picked part={picked} />}
      </div>
      {able && (
        <LookTools look={look} set={set} moves={movesAs(model.motions)}>
          {leanOn && <LeanSwitch on={leaning !== null} onChange={(on) => setLeaning(on ? firstLean(placed) : null)} />}
          <Button size="small" onClick={savePng}>
            PNG
          </Button>
          <Button size="small" onClick={() => void saveGltf()}>
            glTF
          </Button>
        </LookTools>
      )}
      {leaning && (
        <LeanTools
          leaning={leaning}
          result={result}
          times={times}
          set={(change) => setLeaning({ ...leaning, ...change })}
        />
      )}
    </div>
  );
}

type ToolsProps = {
  readonly look: Look3D;
  readonly set: (change: Partial<Look3D>) => void;
  /** Something slides or swings. */
  /** What moving what moves is called; null where nothing does. */
  readonly moves: 'open' | 'fold' | null;
  readonly children: ReactNode;
};

/** Doors and drawers open, legs fold. */
const movesAs = (motions: PieceModel['motions']): ToolsProps['moves'] =>
  motions.length === 0 ? null : motions.every(({ id }) => id.startsWith('fold-')) ? 'fold' : 'open';

/** How the piece is looked at: cut open, seen through, with its tags, pulled apart, its drawers out. */
function LookTools({ look, set, moves, children }: ToolsProps) {
  return (
    <div className="model-foot">
      <Segmented
        label="Cut open"
        value={found(SECTIONS, ([, , axis]) => axis === (look.section?.axis ?? null))[0]}
        options={SECTIONS.map(([name, words]) => [name, words])}
        onChange={(name) => {
          const axis = found(SECTIONS, ([one]) => one === name)[2];
          set({ section: axis === null ? null : { axis, share: 0.5 } });
        }}
      />
      {look.section && (
        <Share
          label="where"
          value={look.section.share}
          onChange={(share) => set({ section: { axis: sure(look.section, 'section').axis, share } as Section })}
        />
      )}
      {SWITCHES.map(([name, words]) => (
        <ToggleButton
          key={name}
          className="segment"
          size="small"
          value={name}
          selected={look[name]}
          onChange={() => set({ [name]: !look[name] })}
        >
          {words}
        </ToggleButton>
      ))}
      <Share label="apart" value={look.apart} onChange={(apart) => set({ apart })} />
      {moves && <Share label={moves} value={look.open} onChange={(open) => set({ open })} />}
      <span className="grow" />
      {children}
    </div>
  );
}

type ShareProps = { readonly label: string; readonly value: number; readonly onChange: (share: number) => void };

/** From nothing to all of it. */
function Share({ label, value, onChange }: ShareProps) {
  return (
    <label className="share">
      <span className="soft">{label}</span>
      <Slider
        className="share-track"
        size="small"
        min={0}
        max={1}
        step={0.02}
        value={value}
        onChange={(_, next) => onChange(next as number)}
        slotProps={{ input: { 'aria-label': label } }}
      />
    </label>
  );
}

/** The part that was clicked: its tag, name and sizes. */
function Picked({ part }: { readonly part: Part }) {
  return (
    <p className="picked" role="status">
      <PartTag id={part.id} tag={part.tag} /> {part.name}: <Dim of={part.length} /> × <Dim of={part.width} /> ×{' '}
      <Dim of={part.thickness} />
    </p>
  );
}
