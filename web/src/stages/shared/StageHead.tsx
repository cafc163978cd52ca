import type { ReactNode } from 'react';
import './StageHead.css';

/** Title of a stage, what it is about, and its own tools at the right. */
export function StageHead({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about: ReactNode;
  readonly children?: ReactNode;
}) {
  return (
    <div className="stage-head">
      <h1>{title}</h1>
      <p className="soft">{about}</p>
      <span className="grow" />
      {children}
    </div>
  );
}
