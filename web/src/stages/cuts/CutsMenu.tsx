import { Button, Divider, ListSubheader, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { cutListCsv, layoutOf, orderCsv, svgOf, type Plan } from '@sill/core';
import { saveFile } from '../../platform/files';
import { useJob } from '../../state/hooks';
import { useLabel } from '../../words/labels';
import { AimDialog } from './AimDialog';

/** A choice of the view that stands in the menu. */
type ViewChoice = {
  readonly name: string;
  readonly options: Readonly<Record<string, string>>;
  readonly value: string;
  readonly onChange: (value: string) => void;
};

type Props = { readonly plan: Plan; readonly views: readonly ViewChoice[] };

/** Tape readings and size of the drawings, labels to print, and the layouts as files for other programs. */
export function CutsMenu({ plan, views }: Props) {
  const job = useJob();
  const label = useLabel();
  const navigate = useNavigate();
  const { id } = useParams();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [aiming, setAiming] = useState(false);
  const { boards } = plan.buying;
  const layouts = () => boards.map((board) => layoutOf(board, label));
  const choose = (work: () => void) => () => {
    setAnchor(null);
    work();
  };
  const items: readonly [string, () => void][] = [
    ['What boards are chosen for', () => setAiming(true)],
    ['Print labels for the pieces', () => void navigate(`/jobs/${id}/labels`)],
    [
      'Save the pieces as CSV',
      () => saveFile(`${job.name} pieces.csv`, 'text/csv', cutListCsv(boards, plan.cuts, job.units, label)),
    ],
    [
      'Save the order of cuts as CSV',
      () => saveFile(`${job.name} cuts.csv`, 'text/csv', orderCsv(plan.setups, plan.cuts, job.units, label)),
    ],
    ['Save the layouts as SVG', () => saveFile(`${job.name} layouts.svg`, 'image/svg+xml', svgOf(layouts(), job.name))],
    [
      'Save the layouts as DXF',
      () =>
        void import('@sill/core/formats/out').then(({ dxfOf }) =>
          saveFile(`${job.name} layouts.dxf`, 'application/dxf', dxfOf(layouts(), job.name)),
        ),
    ],
  ];
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Tape, files
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {views.flatMap(({ name, options, value, onChange }) => [
          <ListSubheader key={name}>{name}</ListSubheader>,
          ...Object.entries(options).map(([key, words]) => (
            <MenuItem
              key={`${name} ${key}`}
              role="menuitemradio"
              aria-checked={key === value}
              selected={key === value}
              onClick={choose(() => onChange(key))}
            >
              {words}
            </MenuItem>
          )),
          <Divider key={`${name} end`} />,
        ])}
        {items.map(([name, work]) => (
          <MenuItem key={name} onClick={choose(work)}>
            {name}
          </MenuItem>
        ))}
      </Menu>
      {aiming && <AimDialog onClose={() => setAiming(false)} />}
    </>
  );
}
