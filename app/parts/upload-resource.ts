import { picture, type Rights } from '#core/resources/index.ts';
import type { KeptResource } from '#server/resources/resources.ts';

/** Lines of JSON, of which the last is the answer. */
export const LINES = 'application/x-ndjson';

type Answer = { kept: KeptResource[] } | { problem: string };

/**
 * Sends a content to the workspace's resources.
 * @param onPages told how many pages of it were read, of how many
 * @returns what is kept of it, one or more, or why nothing is
 */
export async function uploadResource(
  type: string,
  name: string,
  content: Uint8Array | File,
  rights: Rights = {},
  onPages?: (read: number, of: number) => void,
): Promise<Answer> {
  const away = { problem: 'It could not be saved: the server cannot be reached. Try again.' };
  try {
    const response = await fetch(`/resources?${new URLSearchParams({ type, name, ...rights })}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream', ...(onPages ? { accept: LINES } : {}) },
      body: content as BodyInit,
    });
    if (response.redirected) return away;
    return onPages && response.headers.get('content-type') === LINES
      ? ((await lastLine(response, onPages)) ?? away)
      : await response.json();
  } catch {
    return away;
  }
}

const MOST_NAME = 100;

/** Sends a picture, under the name of its file. @throws Error with a sentence that goes behind the name of the file */
export async function uploadPicture(file: File): Promise<KeptResource> {
  const name = file.name.replace(/\.[^.]+$/, '').slice(0, MOST_NAME) || file.name;
  const answer = await uploadResource(picture.id, name, file);
  if ('problem' in answer) throw new Error(answer.problem);
  return answer.kept[0]!;
}

async function lastLine(
  response: Response,
  onPages: (read: number, of: number) => void,
): Promise<Answer | null> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  let answer: Answer | null = null;
  for (;;) {
    const { done, value = '' } = await reader.read();
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      const said = JSON.parse(line) as Answer | { read: number; of: number };
      if ('read' in said) onPages(said.read, said.of);
      else answer = said;
    }
    if (done) return answer;
  }
}
