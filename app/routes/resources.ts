import * as v from 'valibot';
import { ResourceTrouble, resourceType, rightsEntries, typeIdSchema } from '#core/resources/index.ts';
import { keepUpload } from '#server/resources/resources.ts';
import { StoreTrouble } from '#server/store/index.ts';
import { LINES } from '../parts/upload-resource.ts';
import { requireVisitor, streamFrom } from '../visitor.server.ts';
import type { Route } from './+types/resources.ts';

const Asked = v.object({
  type: typeIdSchema,
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(100)),
  ...rightsEntries,
});
type Asked = v.InferOutput<typeof Asked>;

/**
 * Takes an upload: the content is the body as it is; type, name and rights are in the address. Who accepts lines of JSON is
 * told on the way how many pages were read; the last line is the answer.
 */
export async function action({ request }: Route.ActionArgs) {
  const { workspaceId } = await requireVisitor(request);
  const read = v.safeParse(Asked, Object.fromEntries(new URL(request.url).searchParams));
  if (!read.success) throw new Response(read.issues[0].message, { status: 400 });
  const asked = read.output;
  if (request.headers.get('accept') !== LINES) {
    const { status, ...answer } = await keep(workspaceId, asked, request);
    return Response.json(answer, { status });
  }
  const encoder = new TextEncoder();
  // Nobody listens any more: what is read is kept all the same.
  let gone = false;
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const line = (value: object) => {
        if (!gone) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`));
      };
      try {
        const { status: _, ...answer } = await keep(workspaceId, asked, request, line);
        line(answer);
        if (!gone) controller.close();
      } catch (error) {
        if (!gone) controller.error(error);
      }
    },
    cancel() {
      gone = true;
    },
  });
  return new Response(body, { headers: { 'content-type': LINES, 'cache-control': 'no-store' } });
}

async function keep(
  workspaceId: string,
  { type, name, ...rights }: Asked,
  request: Request,
  onPages?: (pages: object) => void,
) {
  try {
    const kept = await keepUpload(workspaceId, { type, name, rights }, streamFrom(request), onPages);
    return { status: 200, kept };
  } catch (error) {
    if (error instanceof ResourceTrouble)
      return { status: 422, problem: `${resourceType(type).name} “${name}” ${error.message}` };
    if (error instanceof StoreTrouble) return { status: 503, problem: error.message };
    throw error;
  }
}
