import { expose } from 'comlink';
import { type Answer, type Asked, answersTo, type Shelf } from '@/kitchen/brief/brief-answers';

/** The newest question; older ones are left off. */
let newest = 0;
let shelf: Shelf | undefined;

const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));
/** ms of work between two looks for a newer question. */
const BREATH_MS = 40;

const door = {
  /** Takes the kitchen's formulas and larder, once. */
  async open(given: Shelf): Promise<void> {
    shelf = given;
  },

  /** Ranks what a brief could start from, telling what it has found and how far it is; nothing when a newer question came meanwhile. */
  async propose(asked: Asked, onAnswer: (answer: Answer, share: number) => void): Promise<Answer | undefined> {
    newest += 1;
    const mine = newest;
    if (!shelf) return undefined;
    let last: Answer | undefined;
    let told = 0;
    for (const { answer, share } of answersTo(asked, shelf)) {
      last = answer;
      if (performance.now() - told < BREATH_MS) continue;
      onAnswer(answer, share);
      await breathe();
      if (mine !== newest) return undefined;
      told = performance.now();
    }
    return last;
  },
};

export type BriefDoor = typeof door;

expose(door);
