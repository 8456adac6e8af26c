import { eachMark, type Scene } from '../../scene/index.ts';
import type { Check, Finding, ProofContext } from '../finding.ts';

const FIELDS = { title: 'title', subtitle: 'subtitle', penName: 'pen name', imprint: 'imprint' } as const;
type Field = keyof typeof FIELDS;

const folded = (text: string) => text.replace(/\s+/g, ' ').trim();

/** The words a scene quotes of a field, one string for each unbroken run of quoting marks. */
function quoted(scene: Scene, field: Field): string[] {
  const runs: string[][] = [];
  let open = false;
  for (const layer of scene.layers) {
    eachMark(layer.marks, (mark) => {
      const quotes = mark.type === 'text' && mark.sourceField === field;
      if (quotes && open) runs.at(-1)!.push(mark.text);
      else if (quotes) runs.push([mark.text]);
      open = quotes;
    });
  }
  return runs.map((run) => folded(run.join(' ')));
}

function differing(context: ProofContext, scene: Scene, where: string, place: Finding['place']): Finding[] {
  return (Object.keys(FIELDS) as Field[]).flatMap((field) =>
    quoted(scene, field)
      .filter((words) => words !== folded(context.book.recipe[field] as string))
      .map((words) => ({
        check: 'names',
        severity: 'fix' as const,
        message: `${where}: the ${FIELDS[field]} reads “${words}”, but the book’s is “${context.book.recipe[field]}”.`,
        place,
      })),
  );
}

/** Title and pen name read letter for letter the same wherever they stand. */
export const names: Check = {
  id: 'names',
  name: 'Title and pen name the same everywhere',
  ofPage: (context, { page, scene }) =>
    differing(context, scene, `Page ${page.number}`, { view: 'page', page: page.number }),
  ofBook(context) {
    const { recipe } = context.book;
    const scenes = context.cover.map(({ scene }) => scene);
    const findings = scenes.flatMap((scene) => differing(context, scene, 'Wrap', { view: 'wrap' }));
    for (const field of ['title', 'penName'] as const) {
      if (recipe[field] && scenes.every((scene) => quoted(scene, field).length === 0)) {
        findings.push({
          check: 'names',
          severity: 'fix',
          message: `Wrap: the ${FIELDS[field]} is not on the cover.`,
          place: { view: 'wrap' },
        });
      }
    }
    if (!recipe.penName)
      findings.push({
        check: 'names',
        severity: 'fix',
        message: 'The book has no pen name. Choose one in the listing.',
        place: { view: 'listing', field: 'penName' },
      });
    return findings;
  },
};
