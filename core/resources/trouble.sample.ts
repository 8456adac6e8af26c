import { ResourceTrouble } from './resource.ts';

/** What is said against a content, or null where it is read. @throws whatever else than a trouble comes of reading it */
export async function troubleIn(reading: Promise<unknown>): Promise<string | null> {
  try {
    await reading;
    return null;
  } catch (error) {
    if (error instanceof ResourceTrouble) return error.message;
    throw error;
  }
}
