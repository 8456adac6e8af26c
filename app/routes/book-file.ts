import { createReadableStreamFromReadable } from '@react-router/node';
import { downloadName } from '#core/export/download-name.ts';
import { openStored } from '#server/books.ts';
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
  const id = idFrom(params.book);
  const [found, files] = await Promise.all([openStored(workspaceId, id), madeFiles(workspaceId, id)]);
  const file = files.find(({ name }) => name === params.name);
  if (!found || !file) throw notFound();
  const title = 'opened' in found ? found.opened.recipe.title : found.unreadable.title;
  const { stream } = await openStoredFile(file.hash);
  const type = TYPES[file.name.split('.').at(-1)!] ?? 'application/octet-stream';
  return new Response(createReadableStreamFromReadable(stream), {
    headers: {
      'content-type': type,
      'content-length': String(file.size),
      'content-disposition': `attachment; filename="${downloadName(title, file.name)}"`,
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, no-cache',
      etag: `"${file.hash}"`,
    },
  });
}
