import { Slider } from '@mui/material';
import { Component, lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import type { Part } from '@sill/core';
import { USUAL_VIEW } from './iso';
import { PartPicture } from './PartPicture';

const Model = lazy(() => import('./Model'));

/** Whether this browser can draw in space at all. */
function hasWebGl(): boolean {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
}

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

/** The live picture of a piece, with a drawn one where WebGL is missing. */
export function ModelView({ parts, label }: { readonly parts: readonly Part[]; readonly label: string }) {
  const [apart, setApart] = useState(0);
  const able = useMemo(() => hasWebGl(), []);
  const drawn = useMemo(() => parts.map((part) => ({ part, as: 'there' as const })), [parts]);
  const paper = <PartPicture parts={drawn} view={USUAL_VIEW} measure="outside" label={label} />;
  return (
    <div className="model">
      <div className="model-space" data-space={able}>
        {able ? (
          <Guard instead={paper}>
            <Suspense fallback={paper}>
              <Model parts={parts} apart={apart} />
            </Suspense>
          </Guard>
        ) : (
          paper
        )}
      </div>
      {able && (
        <div className="model-foot">
          <span className="soft">Drag to turn · scroll to come closer</span>
          <span className="soft" id="apart">
            apart
          </span>
          <Slider
            size="small"
            min={0}
            max={1}
            step={0.05}
            value={apart}
            onChange={(_, value) => setApart(value as number)}
            aria-labelledby="apart"
          />
        </div>
      )}
    </div>
  );
}
