import Heap from '../heap/Heap';
import { Apart } from './Apart';

/** The heap of a workspace, of all its devices. */
export default function HeapPage() {
  return (
    <Apart wide>
      <main>
        <Heap />
      </main>
    </Apart>
  );
}
