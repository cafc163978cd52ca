import { Button, DialogActions } from '@mui/material';

type Props = {
  /** Nothing can be written down yet. */
  readonly disabled: boolean;
  readonly onClose: () => void;
  readonly onWrite: () => void;
};

/** The foot of a dialog in which something is written down. */
export const WriteActions = ({ disabled, onClose, onWrite }: Props) => (
  <DialogActions>
    <Button onClick={onClose}>Close</Button>
    <Button variant="contained" color="primary" disabled={disabled} onClick={onWrite}>
      Write it down
    </Button>
  </DialogActions>
);
