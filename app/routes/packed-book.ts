import { PassThrough } from 'node:stream';
import { createReadableStreamFromReadable } from '@react-router/node';
import { downloadName } from '#core/export/download-name.ts';
import { writeBookFile } from '#server/book-file.ts';
import { openBook } from '#server/books.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/packed-book.ts';

/** The book as one file: its recipe and everything that it uses, to be opened anywhere. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const book = await openBook(workspaceId, idFrom(params.book));
  if (!book) throw notFound();
  const stream = new PassThrough();
  void writeBookFile(workspaceId, book.recipe, stream).catch((error: Error) => stream.destroy(error));
  return new Response(createReadableStreamFromReadable(stream), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${downloadName(book.recipe.title, 'book.zip')}"`,
      'x-content-type-options': 'nosniff',
      'cache-control': 'no-store',
    },
  });
}
