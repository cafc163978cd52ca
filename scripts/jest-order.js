/**
 * In which order test files run where nothing is known yet of how long they take: the smallest rooms come last, so that
 * no worker waits long for the other. Single files, small as they are, start programs and take half a minute.
 */
import { sep } from 'node:path';
import Sequencer from '@jest/test-sequencer';

const isRoom = ({ path }) => path.includes(`${sep}.rooms${sep}`);

export default class extends Sequencer {
  sort(tests) {
    const bySize = super.sort(tests);
    return [...bySize.filter((test) => !isRoom(test)), ...bySize.filter(isRoom)];
  }
}
