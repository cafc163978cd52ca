import { Button } from '@mui/material';
import { useClock } from '../../state/useClock';

/** To the bench: the clock runs from there on. */
export function BenchButton({ onOpen }: { readonly onOpen: () => void }) {
  const { begin } = useClock();
  return (
    <Button
      onClick={() => {
        begin();
        onOpen();
      }}
    >
      At the bench
    </Button>
  );
}
