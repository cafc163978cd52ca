import { Button, GlobalStyles } from '@mui/material';
import { useNavigate, useSearchParams } from 'react-router';
import { type Part, pathOf, STROKES, type Template, templatesOf } from '@sill/core';
import { useJob, usePlan, useUnits } from '../state/hooks';
import { printLength } from '@sill/core';
import { tilesOf, type Tile } from './tiles';
import { NoPlan } from '../stages/shared/NoPlan';
import './Templates.css';

/** Usable part of a page in millimetres: it lies inside Letter and A4 alike. */
const PAGE = { width: 180, height: 240 } as const;
/** Pages overlap so far, to be glued on each other. */
const OVERLAP = 10;

/**
 * One part at full size over as many pages as it takes, each with its place, cross marks and a line to check the scale.
 */
export default function Templates() {
  const job = useJob();
  const plan = usePlan();
  const units = useUnits();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const piece = search.get('piece') ?? job.pieces[0]?.id;
  const part = plan?.parts.find((one) => one.piece === piece && one.tag === search.get('part'));
  if (!plan) return <NoPlan />;
  if (!part)
    return (
      <section className="empty" role="alert">
        <h2>No such part</h2>
        <p>Pick a part in Parts, then print its template.</p>
      </section>
    );
  const name = job.pieces.find((one) => one.id === piece)?.name ?? '';
  const pages = templatesOf(part).flatMap((template) =>
    tilesOf(template.width, template.height, PAGE, OVERLAP).map((tile) => ({ template, tile })),
  );
  return (
    <div className="packet templates">
      <GlobalStyles styles={{ '@page': { size: 'auto', margin: '10mm' } }} />
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <span className="soft">
          {part.tag} {part.name}: {pages.length} {pages.length === 1 ? 'page' : 'pages'} at full size. Print without
          “fit to page”, then measure the check line.
        </span>
        <Button className="print-now" variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {pages.map(({ template, tile }) => (
        <Page
          key={`${template.view} ${tile.name}`}
          template={template}
          tile={tile}
          part={part}
          title={`${name} · ${part.tag} ${part.name}, ${template.view}`}
          size={printLength(part.length, units)}
        />
      ))}
    </div>
  );
}

/** Where four pages meet: crosses a little within the corners of a page that begins at a place. */
const cornersOf = (x: number, y: number) =>
  [
    [x + OVERLAP, y + OVERLAP],
    [x + PAGE.width - OVERLAP, y + OVERLAP],
    [x + OVERLAP, y + PAGE.height - OVERLAP],
    [x + PAGE.width - OVERLAP, y + PAGE.height - OVERLAP],
  ] as const;

type PageProps = {
  readonly template: Template;
  readonly tile: Tile;
  readonly part: Part;
  readonly title: string;
  readonly size: string;
};

function Page({ template, tile, part, title, size }: PageProps) {
  const { x, y, columns, rows, name } = tile;
  return (
    <section className="template-page">
      <header>
        <strong>{title}</strong> <span>{part.name === title ? '' : `${size} long`}</span>{' '}
        <span>
          page {name} of {columns} across, {rows} down
        </span>
      </header>
      <svg
        width={`${PAGE.width}mm`}
        height={`${PAGE.height}mm`}
        viewBox={`${x} ${y} ${PAGE.width} ${PAGE.height}`}
        role="img"
        aria-label={`${title}, page ${name}`}
      >
        {template.lines.map(({ kind, points }, at) => (
          <path
            key={at}
            className="template-line"
            d={pathOf(points, template.height)}
            strokeWidth={STROKES[kind].width}
            strokeDasharray={STROKES[kind].dash ?? undefined}
          />
        ))}
        {cornersOf(x, y).map(([cx, cy], at) => (
          <path key={at} className="template-mark" d={`M${cx - 4} ${cy}h8M${cx} ${cy - 4}v8`} />
        ))}
        <path className="template-mark" d={`M${x + 20} ${y + PAGE.height - 6}h100m0 -2v4m-100 -4v4`} />
        <text x={x + 124} y={y + PAGE.height - 4.5} fontSize={4}>
          100 mm
        </text>
      </svg>
    </section>
  );
}
