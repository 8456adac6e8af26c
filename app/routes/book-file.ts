import { createReadableStreamFromReadable } from '@react-router/node';
import { madeFiles } from '#server/files.ts';
import { idFrom, notFound, openStoredFile, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/book-file.ts';

const TYPES: Record<string, string> = {
  pdf: 'application/pdf',
  jpg: 'image/jpeg',
  json: 'application/json',
  csv: 'text/csv; charset=utf-8',
  zip: 'application/zip',
};

export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const files = await madeFiles(workspaceId, idFrom(params.book));
  const file = files.find(({ name }) => name === params.name);
  if (!file) throw notFound();
  const { stream } = await openStoredFile(file.hash);
  const type = TYPES[file.name.split('.').at(-1)!] ?? 'application/octet-stream';
  return new Response(createReadableStreamFromReadable(stream), {
    headers: {
      'content-type': type,
      'content-length': String(file.size),
      'content-disposition': `attachment; filename="${file.name}"`,
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, no-cache',
      etag: `"${file.hash}"`,
    },
  });
}
