import type { Interpolation, Theme } from '@mui/material';
import { baseStyles } from './base';
import { boardStyles } from './boards';
import { costStyles } from './costs';
import { drawingStyles } from './drawings';
import { frameStyles } from './frame';
import { jobStyles } from './jobs';
import { packetStyles } from './packet';
import { partsStyles } from './parts';
import { rehearseStyles } from './rehearse';
import { sillStyles } from './sill';
import { stageStyles } from './stages';
import { workStyles } from './work';
import { yardStyles } from './yard';

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
