import { useMark } from '../state/hooks';
import './PartTag.css';

/** A part's tag; under the pointer it marks the part everywhere. */
export function PartTag({ id, tag }: { readonly id: string | null; readonly tag: string }) {
  const { marked, handlers } = useMark(id);
  return (
    <span className={marked ? 'tag marked' : 'tag'} {...handlers}>
      {tag}
    </span>
  );
}
