import { GlobalStyles, ToggleButton, ToggleButtonGroup } from '@mui/material';
import type { Paper } from './heights';

type Props = { readonly paper: Paper; readonly onChange: (paper: Paper) => void };

/** Letter or A4: what is chosen, and the size the printer is told. */
export function PaperChoice({ paper, onChange }: Props) {
  return (
    <>
      <GlobalStyles styles={{ '@page': { size: paper === 'letter' ? 'letter' : 'A4', margin: '13mm' } }} />
      <ToggleButtonGroup
        size="small"
        exclusive
        value={paper}
        onChange={(_, value: Paper | null) => value && onChange(value)}
        aria-label="Paper"
      >
        <ToggleButton value="letter">Letter</ToggleButton>
        <ToggleButton value="a4">A4</ToggleButton>
      </ToggleButtonGroup>
    </>
  );
}
