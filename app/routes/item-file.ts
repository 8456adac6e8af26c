import * as v from 'valibot';
import { downloadName } from '#core/export/download-name.ts';
import { PICTURE_FORMS } from '#core/pages/item-formats.ts';
import { openBook } from '#server/books.ts';
import { filesOfItem } from '#server/jobs/item-files.ts';
import { idFrom, notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/item-file.ts';

const Asked = v.object({
  item: v.pipe(v.string(), v.regex(/^[1-9]\d{0,5}$/), v.transform(Number)),
  form: v.picklist(PICTURE_FORMS),
});

const TYPES = { svg: 'image/svg+xml', png: 'image/png', pdf: 'application/pdf' } as const;

/** One puzzle of a book alone, or its answer, as a file to keep. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { workspaceId } = await requireVisitor(request);
  const asked = v.safeParse(Asked, params);
  const book = await openBook(workspaceId, idFrom(params.book));
  if (!asked.success || !book) throw notFound();
  const { item, form } = asked.output;
  const section = idFrom(params.section);
  const answer = new URL(request.url).searchParams.has('answer');
  const files = await filesOfItem(workspaceId, book.recipe, { section, item, form });
  const file = files.find((one) => one.answer === answer);
  if (!file) throw notFound();
  return new Response(file.bytes as unknown as BodyInit, {
    headers: {
      'content-type': TYPES[form],
      'content-disposition': `attachment; filename="${downloadName(book.recipe.title, file.name)}"`,
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
      // An SVG that is opened by itself runs nothing and loads nothing.
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
    },
  });
}
