import { SvgIcon } from '@mui/material';

type Props = {
  /** The icon's outline in a square of 24. */
  readonly path: string;
  readonly small?: boolean;
};

/** A picture on a button, in the colour of its words; the button itself has the name. */
export function Icon({ path, small = false }: Props) {
  return (
    <SvgIcon fontSize={small ? 'small' : 'medium'}>
      <path d={path} />
    </SvgIcon>
  );
}
