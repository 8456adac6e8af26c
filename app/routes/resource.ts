import { createReadableStreamFromReadable } from '@react-router/node';
import { storeName } from '#server/resources/loader.ts';
import { hasContent } from '#server/resources/resources.ts';
import { hashFrom, notFound, openStoredFile, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/resource.ts';

/** A content of the workspace's own. Its address is its hash, so a browser keeps it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const hash = hashFrom(params.hash);
  if (!(await hasContent(workspaceId, hash))) throw notFound();
  const { size, stream } = await openStoredFile(storeName(hash));
  return new Response(createReadableStreamFromReadable(stream), {
    headers: {
      // Whatever it is, no browser shows or runs it.
      'content-type': 'application/octet-stream',
      'content-disposition': 'attachment',
      'content-length': String(size),
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
