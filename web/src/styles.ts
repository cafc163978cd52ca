import type { Interpolation, Theme } from '@mui/material';
import { baseStyles } from './styles/base';
import { boardStyles } from './styles/boards';
import { costStyles } from './styles/costs';
import { drawingStyles } from './styles/drawings';
import { frameStyles } from './styles/frame';
import { jobStyles } from './styles/jobs';
import { packetStyles } from './styles/packet';
import { partsStyles } from './styles/parts';
import { rehearseStyles } from './styles/rehearse';
import { sillStyles } from './styles/sill';
import { stageStyles } from './styles/stages';
import { workStyles } from './styles/work';
import { yardStyles } from './styles/yard';

/** Styles of the frame, the stages, the drawings and paper. Colours are the theme's variables. */
export const styles: Interpolation<Theme> = [
  baseStyles,
  frameStyles,
  sillStyles,
  stageStyles,
  partsStyles,
  workStyles,
  rehearseStyles,
  costStyles,
  drawingStyles,
  boardStyles,
  jobStyles,
  packetStyles,
  yardStyles,
];
