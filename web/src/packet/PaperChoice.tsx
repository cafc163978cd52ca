import { GlobalStyles } from '@mui/material';
import type { Paper } from './heights';
import { Segmented } from '../ui/Segmented';
import './paper.css';

const PAPERS = [
  ['letter', 'Letter'],
  ['a4', 'A4'],
] as const;

type Props = { readonly paper: Paper; readonly onChange: (paper: Paper) => void };

/** Letter or A4: what is chosen, and the size the printer is told. */
export function PaperChoice({ paper, onChange }: Props) {
  return (
    <>
      <GlobalStyles styles={{ '@page': { size: paper === 'letter' ? 'letter' : 'A4', margin: '13mm' } }} />
      <Segmented label="Paper" value={paper} options={PAPERS} onChange={onChange} />
    </>
  );
}
