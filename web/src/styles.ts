import type { Interpolation, Theme } from '@mui/material';
import { drawingStyles } from './styles/drawings';
import { frameStyles } from './styles/frame';
import { packetStyles } from './styles/packet';
import { stageStyles } from './styles/stages';

/** One sheet for the frame, the stages, the drawings and paper. Colours are the theme's variables. */
export const styles: Interpolation<Theme> = [frameStyles, stageStyles, drawingStyles, packetStyles];
