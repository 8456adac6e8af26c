import type { Rights } from '#core/resources/index.ts';
import type { KeptResource } from '#server/resources/resources.ts';

/** Sends a content to the workspace's resources. @returns what is kept of it, one or more, or why nothing is */
export async function uploadResource(
  type: string,
  name: string,
  content: Uint8Array | File,
  rights: Rights = {},
): Promise<{ kept: KeptResource[] } | { problem: string }> {
  const away = { problem: 'It could not be saved: the server cannot be reached. Try again.' };
  try {
    const response = await fetch(`/resources?${new URLSearchParams({ type, name, ...rights })}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: content as BodyInit,
    });
    return response.redirected ? away : await response.json();
  } catch {
    return away;
  }
}
