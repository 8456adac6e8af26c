import { readFace } from '#core/faces/faces-from-disk.ts';
import { isShippedFace } from '#core/faces/index.ts';
import { notFound, requireVisitor } from '../visitor.server.ts';
import type { Route } from './+types/face.ts';

/** The file of a typeface that ships with the program. Its address names the version, so a browser keeps it. */
export async function loader({ request, params }: Route.LoaderArgs) {
  await requireVisitor(request);
  const face = params.face ?? '';
  if (!isShippedFace(face)) throw notFound();
  return new Response(readFace(face) as unknown as BodyInit, {
    headers: {
      'content-type': 'font/ttf',
      'x-content-type-options': 'nosniff',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
