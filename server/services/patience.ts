import { setTimeout as wait } from 'node:timers/promises';
import { TransientServiceError } from './printing-service.ts';

/** Tries of one step before it is given up; waits double from one second. */
export const TRIES = 6;
const FIRST_WAIT_MS = 1000;
/** Rests that a service may ask for in one step: being asked to wait is no failure, but has an end. */
const MOST_RESTS = 60;

/**
 * Makes one step again after trouble, waiting longer each time. A service that asks for a rest gets it, and the try
 * does not count.
 * @param onTrouble what to tell who waits, and the trouble itself
 */
export async function withRetries<T>(
  step: () => Promise<T>,
  onTrouble: (told: string, trouble: TransientServiceError) => void = () => {},
): Promise<T> {
  let rests = 0;
  for (let attempt = 1; ; ) {
    try {
      return await step();
    } catch (error) {
      if (!(error instanceof TransientServiceError)) throw error;
      const rest = error.retryAfter !== undefined && ++rests <= MOST_RESTS;
      if (!rest && attempt === TRIES) throw error;
      console.warn(error);
      onTrouble(`${error.message} Trying again (${attempt + 1} of ${TRIES}).`, error);
      await wait(error.retryAfter ? error.retryAfter * 1000 : FIRST_WAIT_MS * 2 ** (attempt - 1));
      if (!rest) attempt++;
    }
  }
}
