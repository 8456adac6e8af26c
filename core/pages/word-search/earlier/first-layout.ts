import { fitText, type Typesetter } from '../../../scene/index.ts';
import { LIST_FACE, type PageLayout, type PageToLayOut, REFERENCE_SIZE, TITLE_FACE } from './draw.ts';

interface ListLayout {
  columns: number;
  lines: number;
  size: number;
  leading: number;
  height: number;
}

/** Even columns under the grid: the largest type at which every word fits its column. */
function listLayout(words: readonly string[], width: number, type: Typesetter, max: number): ListLayout {
  const at = (size: number): ListLayout => {
    const widest = Math.max(0, ...words.map((word) => type.width(word, LIST_FACE, size)));
    const columns = Math.max(1, Math.min(4, Math.floor(width / (widest + size * 1.1))));
    const lines = Math.ceil(words.length / columns);
    return { columns, lines, size, leading: size * 1.42, height: lines * size * 1.42 };
  };
  let layout = at(max);
  while (layout.columns < 3 && layout.size > 8) layout = at(layout.size - 0.5);
  // Columns as even as can be: fifteen words in four columns stand better in three.
  for (let columns = layout.columns; columns >= 3; columns--) {
    if (words.length % columns === 0)
      return {
        ...layout,
        columns,
        lines: words.length / columns,
        height: (words.length / columns) * layout.leading,
      };
  }
  return layout;
}

/** The list always stands under the grid, in the room that it needs. */
export function firstLayout({ body, search, name, words, referred, type }: PageToLayOut): PageLayout {
  const middle = body.x + body.width / 2;
  const titleSize = Math.min(26, Math.max(16, body.width / 19));
  const title = fitText(
    type,
    name,
    TITLE_FACE,
    { width: body.width, height: titleSize },
    { max: titleSize, min: 9, lines: 1 },
  );
  const list = listLayout(words, body.width, type, Math.min(18, Math.max(10, body.width / 27)));
  const referenceHeight = referred ? REFERENCE_SIZE * 2 : 0;
  const titleHeight = titleSize * 1.6;
  const gap = titleSize * 0.8;

  const room = {
    width: body.width - 1,
    height: body.height - titleHeight - list.height - gap - referenceHeight,
  };
  const padding = 0.5;
  const cell = Math.min(room.width / (search.columns + padding), room.height / (search.rows + padding));
  const outer = { width: cell * (search.columns + padding), height: cell * (search.rows + padding) };
  const slack = Math.max(0, room.height - outer.height);
  const top = body.y + titleHeight + Math.min(slack * 0.15, 18);
  const frame = { x: middle - outer.width / 2, y: top, ...outer };

  const listTop = top + outer.height + gap + Math.min(slack * 0.15, 18);
  const columnWidth = Math.min(body.width, outer.width) / list.columns;
  const listLeft = middle - (columnWidth * list.columns) / 2;
  return {
    frame,
    cell,
    title: {
      lines: [title.lines[0] ?? name],
      size: title.size,
      x: middle,
      y: body.y + titleSize,
      leading: 0,
    },
    listSize: list.size,
    listed: words.map((_, i) => ({
      x: listLeft + (Math.floor(i / list.lines) + 0.5) * columnWidth,
      y: listTop + ((i % list.lines) + 0.75) * list.leading,
    })),
    reference: { x: middle, y: body.y + body.height - 2 },
  };
}
